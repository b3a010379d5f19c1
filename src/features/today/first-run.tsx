import { Check } from 'lucide-react';
import { Link } from '@/ui/link';
import type { ReactNode } from 'react';
import { counted } from '@/core/base/words';
import { AddPlace } from '@/features/venues/add-place';
import { NewSession } from '@/features/plan/sessions/new-session';
import { AddPlayer } from '@/features/players/add-player';
import type { TodayView } from '@/server/views/today';
import { type ButtonLook } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';

type Start = NonNullable<TodayView['start']>;

interface Stair {
  readonly title: string;
  readonly text: string;
  readonly done: boolean;
  readonly action: (look: ButtonLook) => ReactNode;
}

function stairsOf(view: TodayView, start: Start): Stair[] {
  const year = Number(view.today.slice(0, 4));
  const { places, kit, session } = start;
  const players = view.squad.length;
  return [
    {
      title: 'Your children',
      text: players > 0 ? `${counted(players, 'player')} on the squad.` : 'A name, a year, a sport, a hand.',
      done: players > 0,
      action: (look) => (
        <AddPlayer year={year} look={look} text={players > 0 ? 'Add another' : 'Add the first player'} />
      ),
    },
    {
      title: 'Where',
      text: places > 0 ? `${counted(places, 'place')} described.` : 'Size, ceiling, wall. May wait.',
      done: places > 0,
      action: (look) => <AddPlace look={look} text={places > 0 ? 'Add another' : 'Add a place'} />,
    },
    {
      title: 'What with',
      text:
        kit > 0 ? `${counted(kit, 'thing')} counted.` : 'Until you count, everything is assumed to be there.',
      done: kit > 0,
      action: (look) => (
        <ButtonLink look={look} href="/places">
          Count the kit
        </ButtonLink>
      ),
    },
    {
      title: 'A plan',
      text: session
        ? session.blocks > 0
          ? `${session.title}: ${counted(session.blocks, 'block')}.`
          : `${session.title} is booked: add its drills.`
        : 'Book an hour, choose drills: the tape shows whether they fit.',
      done: session !== null && session.blocks > 0,
      action: (look) =>
        session ? (
          <ButtonLink look={look} href={`/sessions/${session.id}/plan`}>
            Open the plan
          </ButtonLink>
        ) : (
          players > 0 && <NewSession today={view.today} squad={view.squad} button="Plan a session" />
        ),
    },
    {
      title: 'On court',
      text: 'Big zones to tap, a clock that counts in; nothing tapped is lost.',
      done: false,
      action: (look) =>
        session &&
        session.blocks > 0 && (
          <ButtonLink look={look} href={`/sessions/${session.id}/run`}>
            Start the session
          </ButtonLink>
        ),
    },
  ];
}

const tallest = 5;

/** The way to the first session, as a flight of steps: what is done, what comes next, and each step in reach. */
export function FirstRun({ view, start }: { readonly view: TodayView; readonly start: Start }) {
  const stairs = stairsOf(view, start);
  // Over the day's own page it is a part of it.
  const Heading = view.squad.length === 0 ? 'h1' : 'h2';
  // What is past the furthest step that is done comes next: place and kit may be passed by.
  const next = Math.max(0, stairs.findLastIndex((stair) => stair.done) + 1);
  return (
    <section aria-label="First steps" className="pt-6 pb-4">
      <Heading className="text-3xl">Five steps to the first session</Heading>
      <p className="mt-1 max-w-3xl text-soft">
        Nothing leaves this computer. To look at a full book first, stop here and type{' '}
        <code className="rounded-sm bg-chalk px-1 font-semibold text-ink">npm run demo</code>: it has a book
        of its own, and yours stays as it is. Short answers are under{' '}
        <Link href="/help" className="font-semibold text-ink underline underline-offset-4">
          Help
        </Link>
        .
      </p>
      <ol className="mt-5 grid grid-cols-1 items-end md:grid-cols-5">
        {stairs.map(({ title, text, done, action }, index) => (
          <li
            key={title}
            aria-current={index === next ? 'step' : undefined}
            className={cx(
              'flex flex-col border-t-4 border-l-4 border-ink p-3 last:border-r-4',
              index === next ? 'bg-chalk' : 'bg-sheet',
            )}
            style={{ minHeight: 170 + (tallest - stairs.length + index) * 28 }}
          >
            <h3 className="flex items-center gap-2 text-xl">
              <span className="tabular">{index + 1}</span> {title}
              {done && <Check role="img" aria-label="done" size={22} className="text-safe" />}
            </h3>
            <p className="mt-1 mb-2">{text}</p>
            <div className="mt-auto">{action(index === next ? 'now' : 'plain')}</div>
          </li>
        ))}
      </ol>
    </section>
  );
}
