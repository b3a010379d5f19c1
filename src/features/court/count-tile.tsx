'use client';

import { Keyboard } from 'lucide-react';
import {
  memo,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ComponentType,
  type ReactNode,
} from 'react';
import type { Step } from '@/drills/base/types';
import { better, numberInWords, reaches, type Measure } from '@/core/counting/measure';
import type { CountKind, TouchEvent } from '@/core/counting/event';
import { summaryOf, tally, type Tally } from '@/core/counting/tally';
import { doneInWords, triesSoFar } from '@/core/counting/limits';
import type { LimitsUnder } from '@/session/court/limits';
import type { Dose } from '@/core/dose/dose';
import { roundWords as wordsOfRound } from '@/core/court/sides';
import { growingRoundAt, roundNow } from '@/core/court/round';
import type { Phase } from '@/core/court/phases';
import { cx } from '@/ui/class-names';
import { usePart } from '@/ui/use-part';
import { BesideBar } from './beside-bar';
import { PressZone } from './press-zone';
import { SideButton, type SideProps } from './side-button';
import { TargetZones } from './target-zones';

/** How counting by ear is offered on a tile. */
export interface TileEar {
  readonly Button: ComponentType<SideProps>;
  readonly open: (playerId: string) => void;
}

export interface CountTileProps {
  readonly playerId: string;
  readonly name: string;
  /** The number this player is counted by, 1 to 12: theirs for the whole session. */
  readonly digit: number;
  readonly step: Step;
  readonly dose: Dose;
  /** True when this player works on a step of their own: its name stands on the tile. */
  readonly ownStep?: boolean;
  /** What else differs from the plan, in a few words. */
  readonly under?: string;
  readonly target: number;
  /** True when this dose is too small to pass the step. */
  readonly tooShort?: boolean;
  readonly bestEver: number | null;
  /** What its attempts can be. */
  readonly limitsUnder: LimitsUnder;
  /** Marks the dose has room for. */
  readonly inAll: number;
  readonly events: readonly TouchEvent[];
  readonly onMark: (playerId: string, kind: CountKind, value?: number, lateMs?: number) => void;
  /** An answer beside the mark of that id. */
  readonly onBeside: (playerId: string, markId: string, text: string) => void;
  readonly onType: (playerId: string) => void;
  /** Counts by ear; left out where nothing of the step can be heard. */
  readonly ear?: TileEar;
  readonly onSay: (sentence: string) => void;
  /** Seconds of the running hold so far; 0 for other measures. */
  readonly heldS: number;
  readonly phases: readonly Phase[];
  /** The round of the clock, from 1 within a turn. */
  readonly round: number;
  /** Strokes of the sequence that is called now: all of them can be counted with one press. */
  readonly pass?: number | null;
  /** Whose turn it is where stations hold fewer than the group. */
  readonly turn: 'now' | 'waits' | null;
  /** True where the tile has to share the screen with other stations: its presses stand beside the count. */
  readonly compact?: boolean;
}

/** The round a child is in: sets and growing counts go by what was done, holds and time boxes by the clock. */
function roundOf({ dose, phases, round }: CountTileProps, tries: number): number {
  if (dose.kind === 'growing') return growingRoundAt(dose, tries);
  return dose.kind === 'reps' || dose.kind === 'course' ? (roundNow(dose, phases, 0, tries) ?? 1) : round;
}

/** One child on court: the count, and the zones that make it. */
export const CountTile = memo(function CountTile(props: CountTileProps) {
  const { playerId, name, digit, step, dose, target, tooShort, bestEver, events, heldS, limitsUnder, inAll } =
    props;
  const { onMark, onBeside, onType, ear, compact = false, pass = null } = props;
  const { measure } = step;
  const result = useMemo(() => tally(events, measure, limitsUnder), [events, measure, limitsUnder]);
  useSpoken(props, result);
  const [missed, sawMiss] = useMoment(missSeenMs);
  const mark = (kind: CountKind, value: number | undefined, lateMs: number) =>
    onMark(playerId, kind, value, lateMs);
  const tries = result.touches + result.drops;
  const round = roundOf(props, tries);
  const { set, side } = wordsOfRound(dose, measure, round);
  const title = <Title {...props} roundWords={[side, set].filter(Boolean).join(' · ')} />;
  const line = (
    <Line
      measure={measure}
      result={result}
      target={target}
      tooShort={tooShort}
      bestEver={bestEver}
      pass={pass}
      inAll={inAll}
    />
  );

  if (measure === 'points' || measure === 'grade') {
    const left = Math.max(0, inAll - result.shots);
    const most = result.score + left * Math.max(...(step.zones ?? []).map((zone) => zone.points), 0);
    return (
      <Frame {...props}>
        <div
          className={cx(
            'grid min-h-0 flex-1',
            compact
              ? 'grid-cols-[minmax(0,2fr)_minmax(0,3fr)] grid-rows-[minmax(0,1fr)] gap-1 p-1'
              : 'grid-rows-[auto_minmax(0,1fr)] gap-2 p-2 @md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] @md:grid-rows-[minmax(0,1fr)]',
          )}
        >
          <div className="flex min-w-0 flex-col items-center justify-between text-center">
            {title}
            {!compact && <Count value={result.score} roomy />}
            <div className={cx('flex w-full justify-between gap-1', compact ? 'items-center' : 'items-end')}>
              <p className={cx('min-w-0 flex-1 leading-tight', compact ? 'text-sm' : 'text-lg')}>
                {measure === 'grade' ? `${result.shots} graded` : `${result.shots} shots`}
                {result.drops > 0 && <span data-misses>{`, ${result.drops} missed`}</span>}, {left} left
                {left > 0 && !compact && <span className="block">at most {most}</span>}
                {line}
              </p>
              {compact ? (
                <Count value={result.score} compact />
              ) : (
                <>
                  {ear && <ear.Button name={name} onPress={() => ear.open(playerId)} />}
                  <TypeButton name={name} onPress={() => onType(playerId)} />
                </>
              )}
            </div>
            {compact && (
              // Where two share a low station there is no room: a count is typed under the station’s three dots.
              <span className="w-full [@container_(max-height:9rem)]:hidden">
                <TypeButton name={name} onPress={() => onType(playerId)} />
              </span>
            )}
          </div>
          <TargetZones
            name={name}
            digit={digit}
            step={step}
            onZone={(points, lateMs) => mark(measure === 'grade' ? 'grade' : 'zone', points, lateMs)}
          />
        </div>
        {!compact && <div data-ear-of={digit} className="empty:hidden" />}
        {step.beside && (
          <BesideBar
            name={name}
            playerId={playerId}
            events={events}
            onBeside={onBeside}
            beside={step.beside}
          />
        )}
      </Frame>
    );
  }

  const pressed = (
    <span className="sr-only">
      {step.lapParts ? `count a ${step.lapParts.noun}` : (pressWords[measure] ?? 'count a touch')}
    </span>
  );
  const count = <Count value={numberInWords(measure, shown(result, step))} compact={compact} />;
  const hold = measure === 'hold';
  const lap = measure === 'lap';
  const fullHoldS = dose.kind === 'hold' ? dose.holdS : 0;
  const press = (lateMs: number) =>
    hold ? mark('hold', fullHoldS, lateMs) : mark(lap ? 'lap' : 'touch', undefined, lateMs);
  return (
    <Frame {...props}>
      <PressZone
        data-touch-of={digit}
        onPress={press}
        className={cx(
          'flex min-h-0 flex-1 flex-col items-center justify-center active:bg-chalk',
          compact && 'pr-20',
        )}
      >
        {compact ? (
          // In a low tile the count stands beside what it is about.
          <span className="flex w-full items-center justify-around gap-2 px-1">
            <span className="min-w-0">
              {title}
              {pressed}
              {line}
            </span>
            {count}
          </span>
        ) : (
          <>
            {title}
            {pressed}
            {count}
            {line}
          </>
        )}
      </PressZone>
      {step.beside && (
        <div className={cx(compact && 'pr-20')}>
          <BesideBar
            name={name}
            playerId={playerId}
            events={events}
            onBeside={onBeside}
            beside={step.beside}
          />
        </div>
      )}
      <div
        className={cx(
          'flex border-ink bg-chalk',
          compact ? 'absolute inset-y-0 right-0 w-20 flex-col border-l-2' : 'border-t-2',
        )}
      >
        {pass && (
          <PressZone
            data-pass-of={digit}
            onPress={(lateMs) => mark('touch', pass, lateMs)}
            className={cx(
              'flex-1 font-bold active:bg-line',
              compact ? 'min-h-11 border-b-2 px-1 text-base leading-tight' : 'min-h-16 border-r-2 text-xl',
            )}
          >
            <span className="sr-only">{name}: </span>
            Whole pass +{pass}
          </PressZone>
        )}
        <PressZone
          data-miss-of={digit}
          onPress={(lateMs) => {
            sawMiss();
            mark('drop', hold ? heldS : undefined, lateMs);
          }}
          className={cx(
            'flex-1 font-bold active:bg-line',
            compact ? 'min-h-11 px-1 text-base leading-tight' : 'min-h-16 text-xl',
            missed && 'bg-stop text-paper',
          )}
        >
          <span className="sr-only">{name}: </span>
          {hold ? 'Let go' : lap || measure === 'laps' ? 'Broken off' : 'Count a miss'}
          <Misses so={result.drops} />
        </PressZone>
        {/* What is heard takes the room of both while it listens. */}
        {!compact && <div data-ear-of={digit} className="peer min-w-0 flex-[2] empty:hidden" />}
        {ear && !compact && <ear.Button name={name} onPress={() => ear.open(playerId)} beside />}
        <TypeButton name={name} onPress={() => onType(playerId)} beside compact={compact} />
      </div>
    </Frame>
  );
});

/** Today's misses, in small figures: a flash is gone before anybody looks up. */
const Misses = ({ so }: { readonly so: number }) =>
  so > 0 && (
    <span data-misses className="tabular block text-base leading-tight font-semibold whitespace-nowrap">
      {so} so far
    </span>
  );

/** A miss stands on its zone so long, milliseconds: seen at a glance, gone before the next. Ours. */
const missSeenMs = 600;

/** True for a moment after it was started. */
function useMoment(forMs: number): [boolean, () => void] {
  const [at, setAt] = useState(0);
  useEffect(() => {
    if (at === 0) return;
    const timer = setTimeout(() => setAt(0), forMs);
    return () => clearTimeout(timer);
  }, [at, forMs]);
  return [at !== 0, useCallback(() => setAt((before) => before + 1), [])];
}

/** Fetched once the court can count. */
export const loadSay = () => import('./say');

/** Tells screen readers what a sighted coach reads at a glance, and no more. */
function useSpoken({ name, step, target, onSay }: CountTileProps, result: Tally): void {
  const before = useRef(result);
  const words = usePart(loadSay);
  useEffect(() => {
    const sentence = words?.sentenceAfter(name, step.measure, target, before.current, result);
    before.current = result;
    if (sentence) onSay(sentence);
  }, [name, step.measure, target, result, onSay, words]);
}

function Title({
  digit,
  name,
  step,
  ownStep,
  under,
  turn,
  roundWords,
}: CountTileProps & { readonly roundWords: string }) {
  const small = [ownStep && step.title, under, roundWords, turn === 'waits' && 'waits']
    .filter(Boolean)
    .join(' · ');
  return (
    <span className="block max-w-full px-1 text-center leading-tight">
      <span className="flex items-center justify-center gap-2 text-[clamp(1.25rem,7cqh,2.5rem)] font-bold">
        <kbd className="rounded-sm border-2 border-edge px-1.5 text-sm font-semibold">{digit}</kbd>
        <span className="truncate">{name}</span>
      </span>
      {small && <span className="line-clamp-2 text-[clamp(1rem,5cqh,1.5rem)] text-soft">{small}</span>}
    </span>
  );
}

function Line({
  measure,
  result,
  target,
  tooShort,
  bestEver,
  pass,
  inAll,
}: Pick<CountTileProps, 'target' | 'tooShort' | 'bestEver' | 'pass' | 'inAll'> & {
  readonly measure: Measure;
  readonly result: Tally;
}) {
  // Today's best is of the step that is worked on now.
  const own = result.attempts.filter((one) => one.conditions.stepId === result.conditions.stepId);
  const { best } = summaryOf(own, measure);
  const done = doneInWords({ tries: triesSoFar(measure, result), inAll });
  const there = best !== null && reaches(measure, best, target);
  const newBest = best !== null && bestEver !== null && better(measure, bestEver, best) !== bestEver;
  return (
    <span
      className={cx(
        'flex flex-wrap justify-center gap-x-[0.7em] leading-tight',
        measure !== 'points' && measure !== 'grade' && 'text-[clamp(1.125rem,6cqh,2rem)]',
      )}
    >
      {done && (
        <span className="font-bold" data-done>
          {done}
        </span>
      )}
      <span className={cx(there && 'font-bold text-safe')}>
        aim {numberInWords(measure, target)}
        {there && ' ✓'}
      </span>
      {tooShort && <span className="text-care">too short to pass</span>}
      <span className={cx(newBest && 'font-bold text-safe')}>
        today{' '}
        <span data-best>
          {best === null
            ? measure === 'lap' || measure === 'steadiness'
              ? '–'
              : 0
            : numberInWords(measure, best)}
        </span>
      </span>
      <span>ever {bestEver === null ? '–' : numberInWords(measure, bestEver)}</span>
      {pass && (
        <span>
          {Math.floor(result.current / pass)} whole
          {result.current % pass > 0 && `, ${result.current % pass} more`}
        </span>
      )}
      {measure === 'weakest part' && <span>weakest part now {result.current}</span>}
    </span>
  );
}

/** For what was counted aloud. */
const TypeButton = ({ name, ...rest }: SideProps) => (
  <SideButton label={`${name}: type a count`} {...rest}>
    <Keyboard aria-hidden size={22} /> Type
  </SideButton>
);

const pressWords: Partial<Record<Measure, string>> = {
  hold: 'held to the end',
  lap: 'lap done',
  laps: 'count a lap',
};

/**
 * The big number: the running row or round; for reps and bounces all of them, for a hold or lap the last one's
 * seconds.
 */
function shown(result: Tally, step: Step): number {
  // Of a routine that goes by its weakest part, all touches of this go: the weakest stands below.
  if (step.measure === 'weakest part') return result.attempts.at(-1)?.touches ?? 0;
  return step.measure === 'reps' || step.measure === 'steadiness' ? result.touches : result.current;
}

function Frame({ name, turn, children }: Pick<CountTileProps, 'name' | 'turn'> & { children: ReactNode }) {
  return (
    <section
      aria-label={turn === null ? name : `${name}, ${turn === 'now' ? 'on turn' : 'waits'}`}
      data-turn={turn ?? undefined}
      className={cx(
        '@container-size relative flex min-h-0 flex-col overflow-hidden rounded-md border-3 bg-sheet',
        turn === 'now' ? 'border-now' : turn === 'waits' ? 'border-dashed border-edge' : 'border-ink',
      )}
    >
      {children}
    </section>
  );
}

interface CountProps {
  readonly value: number | string;
  readonly roomy?: boolean;
  readonly compact?: boolean;
}

function Count({ value, roomy = false, compact = false }: CountProps) {
  return (
    <span
      data-count
      className={cx(
        'tabular font-head leading-none font-extrabold',
        // Where zones want room the count takes less of it.
        compact
          ? 'text-[clamp(48px,52cqh,160px)]'
          : roomy
            ? 'text-[120px] @md:text-[clamp(120px,44cqh,280px)]'
            : 'text-[clamp(120px,44cqh,280px)]',
      )}
    >
      {value}
    </span>
  );
}
