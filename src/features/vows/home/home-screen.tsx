'use client';

import { CloudCheck, CloudOff, HardDrive } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { shortDay } from '@/core/base/day-words';
import { dayNumber, isoDay } from '@/core/base/days';
import { counted } from '@/core/base/words';
import type { HomeView } from '@/session/vows/home-view';
import { buttonClass } from '@/ui/button-class';
import { cx } from '@/ui/class-names';
import { chosenLook } from './chosen-look';
import type { LoadEar } from './ear-later';
import { restsOn } from './rests-on';
import { homeToday, type HomeLog } from './use-home';
import { VowToday } from './vow-today';
import { Week } from './week';

interface Props {
  readonly view: HomeView;
  readonly home: HomeLog;
  /** Rounds counted before this one went out already and are closed; 0 where nothing is closed. */
  readonly closedRounds?: (blockId: string) => number;
  /** Fetches an ear; null where nothing may be counted by ear. */
  readonly loadEar: LoadEar | null;
  readonly children?: ReactNode;
}

/** A child's vows for today, on any phone: what to do, counting it, how it felt, and the week so far. */
export function HomeScreen({ view, home, loadEar, closedRounds = () => 0, children }: Props) {
  const [nowMs, setNowMs] = useState(view.madeAtMs);
  useEffect(() => {
    const look = () => setNowMs(Date.now());
    look();
    const timer = setInterval(look, 60_000);
    return () => clearInterval(timer);
  }, []);
  const today = homeToday(view, Math.max(nowMs, view.madeAtMs));
  const [chosen, setChosen] = useState<string | null>(null);
  const [extra, setExtra] = useState<string | null>(null);
  const day = chosen ?? today;
  const yesterday = isoDay(dayNumber(today) - 1);
  const open = view.vows.flatMap((vow) => {
    const one = vow.days.find((other) => other.day === day);
    if (!one) return [];
    // A day that is not promised can be done all the same, and stays open once it was begun.
    const begun = one.parts.some(({ blockId }) => home.log.events(blockId, view.playerId).length > 0);
    const shown = (one.asked && !restsOn(vow, day)) || begun || extra === day;
    return shown ? [{ vow, asked: one }] : [];
  });
  const could = view.vows.some((vow) => vow.days.some((one) => one.day === day));
  return (
    <main className="mx-auto max-w-xl space-y-5 px-4 pt-4 pb-16 text-lg">
      <header className="flex items-baseline justify-between gap-3">
        <h1 className="text-3xl">{view.name}’s vow</h1>
        <p className="text-base text-soft">{shortDay(day)}</p>
      </header>
      <State home={home} file={children !== undefined} />
      <div className="grid grid-cols-2 gap-2">
        {(['today', 'yesterday'] as const).map((which) => {
          const own = which === 'today' ? today : yesterday;
          return (
            <button
              key={which}
              type="button"
              aria-pressed={day === own}
              onClick={() => setChosen(which === 'today' ? null : own)}
              className={buttonClass('plain', cx('min-h-14', day === own && chosenLook))}
            >
              {which === 'today' ? 'Today' : 'Yesterday'}
            </button>
          );
        })}
      </div>
      {open.length === 0 && (
        <Nothing view={view} day={day} today={today}>
          {could && (
            <button
              type="button"
              onClick={() => setExtra(day)}
              className={buttonClass('plain', 'mt-3 min-h-14 w-full')}
            >
              Do it anyway
            </button>
          )}
        </Nothing>
      )}
      {open.map(({ vow, asked }) => (
        <VowToday
          key={`${vow.key} ${day}`}
          vow={vow}
          view={view}
          home={home}
          loadEar={loadEar}
          closedRounds={closedRounds}
          asked={asked}
        />
      ))}
      <Week view={view} home={home} today={today} />
      {view.vows.flatMap(({ key, thanks }) =>
        thanks
          ? [
              <p key={key} className="rounded-md border-2 border-safe px-4 py-3">
                Your coach says: “{thanks}”
              </p>,
            ]
          : [],
      )}
      {children}
    </main>
  );
}

function Nothing({
  view,
  day,
  today,
  children,
}: {
  view: HomeView;
  day: string;
  today: string;
  children: ReactNode;
}) {
  const rests = view.vows.some((vow) => restsOn(vow, day));
  const next = view.vows
    .flatMap((vow) => vow.days.filter((one) => one.asked && one.day > today && !restsOn(vow, one.day)))
    .map((one) => one.day)
    .sort()[0];
  return (
    <div className="rounded-md border-2 border-edge px-4 py-6">
      <p>
        {rests ? 'Your vow rests on this day.' : 'Nothing is promised for this day.'}
        {next
          ? ` The next is ${shortDay(next)}.`
          : view.vows.length === 0
            ? ' Your coach makes the next vow with you.'
            : ''}
      </p>
      {children}
    </div>
  );
}

function State({ home, file }: { home: HomeLog; file: boolean }) {
  const { waiting, loose, heldBack, reachable, closed, trouble, safe } = home.state;
  const left = waiting + loose;
  if (file)
    return (
      <p className="flex items-center gap-2 text-base" data-waiting={left}>
        <HardDrive aria-hidden size={20} /> Counts are kept in this browser until you send them.
      </p>
    );
  const Icon = left === 0 ? CloudCheck : reachable ? HardDrive : CloudOff;
  return (
    <div className="text-base" role="status" data-safe={safe} data-waiting={left}>
      <p className={`flex items-center gap-2 ${left === 0 ? 'text-safe' : ''}`}>
        <Icon aria-hidden size={20} />
        {left === 0
          ? 'Everything is with your coach.'
          : `${counted(left, 'mark')} kept on this phone, sent when it can be.`}
        {!reachable && ' No connection just now.'}
      </p>
      {closed && <p className="font-semibold text-stop">{closed}</p>}
      {trouble && <p>{trouble}</p>}
      {heldBack.length > 0 && (
        <p className="font-semibold">
          {counted(heldBack.length, 'mark')} could not be taken: {heldBack[0]!.message}. They stay on this
          phone; show it to your coach.
        </p>
      )}
    </div>
  );
}
