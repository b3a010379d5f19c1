'use client';

import { CircleHelp, Search, Settings2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { usePathname } from 'next/navigation';
import type { CSSProperties } from 'react';
import { KeysOnQuestion } from '@/features/help/keys-on-question';
import { screens, topicOf } from './screens';
import { ThemeSwitch } from './theme-switch';

const places = [
  { topic: 'today', screen: screens.today },
  { topic: 'sessions', screen: screens.sessions },
  { topic: 'squad', screen: screens.squad },
  { topic: 'vows', screen: screens.vows },
  { topic: 'drills', screen: screens.drills },
  { topic: 'calculators', screen: { title: 'Calculators', route: '/benches' } },
  { topic: 'places', screen: screens.places },
] as const;

const aside = [
  { href: screens.find.route, title: screens.find.title, icon: Search },
  { href: screens.help.route, title: screens.help.title, icon: CircleHelp },
  { href: screens.settings.route, title: screens.settings.title, icon: Settings2 },
] as const;

const risePx = 5;

/** The way round the application: a flight of steps, the ball on the one you stand on. */
export function Header({ theme }: { theme: 'day' | 'night' }) {
  const path = usePathname();
  return (
    <header className="flex flex-wrap items-end justify-between border-b-2 border-ink pt-2">
      <div className="flex max-w-full flex-wrap items-end">
        <Link
          href="/"
          className="hit mr-8 mb-2 flex items-center gap-2 font-head text-2xl font-extrabold tracking-tight"
        >
          <svg aria-hidden viewBox="0 0 34 30" width="34" height="30">
            <path d="M1 29 V21 H12 V13 H23 V5 H33 V29" fill="none" stroke="currentColor" strokeWidth="3" />
            <circle cx="17.5" cy="7.5" r="4.5" fill="var(--now)" stroke="currentColor" strokeWidth="2" />
          </svg>
          Vow Step
        </Link>
        <nav
          aria-label="Main"
          className="flex max-w-full flex-wrap items-end sm:flex-nowrap sm:overflow-x-auto sm:overflow-y-hidden"
        >
          {places.map(({ topic, screen: { title, route: href } }, index) => {
            const current = topicOf(path) === topic;
            return (
              <Link
                key={href}
                href={href}
                aria-current={current ? 'page' : undefined}
                style={{ '--rise': `${index * risePx}px` } as CSSProperties}
                // On a phone the flight lies flat: every place is in reach, and nothing is cut off.
                className="relative flex min-h-11 flex-auto items-center gap-1 border-b-2 border-ink px-1.5 pt-1 font-semibold hover:bg-chalk sm:mb-(--rise) sm:min-w-24 sm:gap-2 sm:px-3"
              >
                {index > 0 && (
                  <span
                    aria-hidden
                    style={{ height: risePx + 2, bottom: -risePx - 2 }}
                    className="absolute left-0 hidden border-l-2 border-ink sm:block"
                  />
                )}
                <span
                  aria-hidden
                  className={`size-3.5 rounded-full border-2 ${current ? 'border-ink bg-now' : 'border-transparent'}`}
                />
                {title}
              </Link>
            );
          })}
          <span
            aria-hidden
            style={{ height: places.length * risePx - risePx }}
            className="hidden border-l-2 border-ink sm:block"
          />
        </nav>
      </div>
      <div className="mb-1 flex flex-wrap items-center">
        {aside.map(({ href, title, icon: Icon }) => (
          <Link
            key={href}
            href={href}
            aria-current={path === href ? 'page' : undefined}
            className="inline-flex min-h-11 items-center gap-1 rounded-md px-1.5 text-sm font-semibold hover:bg-chalk aria-[current=page]:bg-chalk"
          >
            <Icon aria-hidden size={16} /> {title}
          </Link>
        ))}
        <ThemeSwitch theme={theme} />
      </div>
      <KeysOnQuestion />
    </header>
  );
}
