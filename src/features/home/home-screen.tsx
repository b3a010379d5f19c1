'use client';

import { CloudCheck, CloudOff, HardDrive } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { shortDay } from '@/core/day-words';
import { liveEvents } from '@/core/counting/live';
import { countKinds } from '@/core/counting/event';
import { conditionsNow } from '@/core/counting/conditions';
import { counted } from '@/core/words';
import type { CardPart } from '@/session/vow/card';
import { dayShare, doneShare, doseOn } from '@/session/vow/done-share';
import { tally } from '@/core/counting/tally';
import type { HomeDay, HomeDayPart, HomeView, HomeVow } from '@/session/vow/home-view';
import { undoKept } from '@/court/kept-together';
import type { NewEvent, RunLog } from '@/court/run-log';
import type { PartEars } from '@/session/vow/ears';
import { buttonClass } from '@/ui/button-class';
import { cx } from '@/ui/class-names';
import { CountPart } from './count-part';
import type { LoadEar } from './ear-later';
import { dayNumber, isoDay } from '@/core/days';
import { isKept } from '@/core/planning/vow/keeping';
import { weekdayOf } from '@/core/planning/vow/vow';
import { Felt } from './felt';
import { homeToday, saidOn, usePartTally, type HomeLog } from './use-home';

interface Props {
  readonly view: HomeView;
  readonly home: HomeLog;
  /** Rounds counted before this one went out already and are closed; 0 where nothing is closed. */
  readonly closedRounds?: (blockId: string) => number;
  /** Fetches an ear; null where nothing may be counted by ear. */
  readonly loadEar: LoadEar | null;
  readonly children?: ReactNode;
}

/** What is chosen; the one warm colour is for what to do now. */
const chosenLook = 'border-ink! bg-ink! text-paper! hover:bg-ink!';

const marks: ReadonlySet<string> = new Set([...countKinds]);

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
        <VowToday key={`${vow.key} ${day}`} {...{ vow, view, home, loadEar, closedRounds }} asked={asked} />
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

const restsOn = ({ rests }: HomeVow, day: string): boolean =>
  rests.some(([from, until]) => day >= from && (until === null || day <= until));

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

function VowToday({
  vow,
  asked,
  view,
  home,
  loadEar,
  closedRounds,
}: {
  vow: HomeVow;
  asked: HomeDay;
  view: HomeView;
  home: HomeLog;
  loadEar: LoadEar | null;
  closedRounds: (blockId: string) => number;
}) {
  const first = asked.parts[0]!;
  const { log } = home;
  const { felt, text } = saidOn(log, first.blockId, view.playerId);
  return (
    <section className="space-y-4 rounded-md border-2 border-edge bg-sheet p-4" aria-label={vow.card.title}>
      {asked.parts.map((one) => (
        <PartToday
          key={one.blockId}
          part={vow.card.parts[one.part]!}
          hears={vow.ears[one.part] ?? {}}
          {...{ one, view, home, loadEar }}
          round={closedRounds(one.blockId) + 1}
        />
      ))}
      <Felt
        felt={felt}
        text={text}
        onSay={(value, line) =>
          void log.log({ blockId: first.blockId, playerId: view.playerId, kind: 'note', value, text: line })
        }
      />
    </section>
  );
}

function PartToday({
  part,
  hears,
  loadEar,
  one,
  view,
  home,
  round,
}: {
  part: CardPart;
  hears: PartEars;
  loadEar: LoadEar | null;
  one: HomeDayPart;
  view: HomeView;
  home: HomeLog;
  round: number;
}) {
  const { log } = home;
  const { blockId } = one;
  const { playerId } = view;
  const count = usePartTally(home, blockId, playerId, part.measure);
  const stepId = conditionsNow(log.eventsOf(blockId, playerId)).stepId ?? one.stepId;
  const step = part.choices.find((choice) => choice.stepId === stepId) ?? part;
  const dose = doseOn(one, part.choices, stepId);
  const heard = hears[stepId];
  const last = liveEvents(log.events(blockId, playerId)).findLast(
    ({ kind, id, attempt }) => marks.has(kind) && log.isMine(id) && attempt >= round,
  );
  return (
    <div className="space-y-3">
      <h2 className="text-2xl">{part.drill}</h2>
      <p className="text-xl font-semibold">{step.title}</p>
      <p>{stepId === one.stepId ? one.words : step.words}</p>
      <p className="border-l-4 border-now pl-3 text-xl">“{part.cue}”</p>
      {part.choices.length > 1 && (
        <fieldset className="flex flex-wrap gap-2">
          <legend className="pb-1 text-base">You choose</legend>
          {part.choices.map((choice) => (
            <button
              key={choice.stepId}
              type="button"
              aria-pressed={choice.stepId === stepId}
              onClick={() =>
                choice.stepId !== stepId &&
                void log.log({ blockId, playerId, kind: 'step', text: choice.stepId, value: 1 })
              }
              className={buttonClass('plain', cx('min-h-14', choice.stepId === stepId && chosenLook))}
            >
              {choice.title}
            </button>
          ))}
        </fieldset>
      )}
      <CountPart
        {...{ part, dose, count, round }}
        name={view.name}
        own={{ blockId, playerId }}
        ear={loadEar && heard ? { step: heard, load: loadEar } : null}
        onMark={(mark) => void log.log({ blockId, playerId, ...mark })}
        onMarks={(marks) => void logAll(log, marks)}
        onUndo={last ? () => undoKept(log, last) : null}
      />
      <details className="text-base">
        <summary className="cursor-pointer py-2 font-semibold">What to look for, and help</summary>
        <ul className="list-disc space-y-1 pl-5">
          {part.task && <li>{part.task}</li>}
          {part.checkpoints.map((line) => (
            <li key={line}>{line}</li>
          ))}
          {part.care.map((line) => (
            <li key={line}>{line}</li>
          ))}
          {part.helper.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </details>
    </div>
  );
}

/** One after the other, as they were heard. */
async function logAll(log: RunLog, marks: readonly NewEvent[]): Promise<void> {
  for (const mark of marks) await log.log(mark);
}

/** The week so far: which days were asked, begun and kept. */
function Week({ view, home, today }: { view: HomeView; home: HomeLog; today: string }) {
  const number = dayNumber(today);
  const monday = number - weekdayOf(number) + 1;
  const days = Array.from({ length: 7 }, (_, i) => isoDay(monday + i));
  const shareOf = (day: string): number | null => {
    const shares = view.vows.flatMap((vow) =>
      vow.days
        .filter(
          (one) =>
            one.day === day &&
            ((one.asked && !restsOn(vow, day)) ||
              one.parts.some(({ blockId }) => home.log.events(blockId, view.playerId).length > 0)),
        )
        .map(({ parts }) =>
          dayShare(
            parts.map((one) => {
              const { measure, choices } = vow.card.parts[one.part]!;
              const { attempts } = tally(home.log.eventsOf(one.blockId, view.playerId), measure);
              const stepId = attempts.at(-1)?.conditions.stepId ?? null;
              return doneShare(doseOn(one, choices, stepId), attempts);
            }),
          ),
        ),
    );
    return shares.length === 0 ? null : shares.reduce((sum, one) => sum + one, 0) / shares.length;
  };
  const shares = days.map(shareOf);
  const kept = shares.filter((share) => share !== null && isKept(share)).length;
  return (
    <section aria-label="This week">
      <h2 className="text-xl">This week</h2>
      <ol className="mt-2 grid grid-cols-7 gap-1 text-center text-sm">
        {days.map((day, i) => {
          const share = shares[i] ?? null;
          const word =
            share === null
              ? 'free'
              : isKept(share)
                ? 'kept'
                : share > 0
                  ? 'begun'
                  : day < today
                    ? 'not done'
                    : 'to do';
          return (
            <li
              key={day}
              aria-current={day === today ? 'date' : undefined}
              className={`rounded-md border-2 px-0.5 py-2 ${day === today ? 'border-ink' : 'border-edge'} ${share !== null && isKept(share) ? 'bg-safe text-on-now' : ''}`}
            >
              <span className="block font-semibold">{shortDay(day).slice(0, 3)}</span>
              <span className="block text-xs">{word}</span>
            </li>
          );
        })}
      </ol>
      <p className="pt-2 text-base">
        {kept === 0 ? 'Every day is a new one.' : `${counted(kept, 'day')} kept this week.`}
      </p>
    </section>
  );
}
