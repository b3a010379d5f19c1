'use client';

import { memo, useMemo, type ReactNode } from 'react';
import type { Step } from '@/catalogue/types';
import { better, reaches } from '@/core/counting/measure';
import type { CountKind, TouchEvent } from '@/core/counting/event';
import { tally, type Tally } from '@/core/counting/tally';
import type { RunPlayer } from '@/server/views/session-run';
import { cx } from '@/ui/class-names';

export interface CountTileProps {
  readonly name: string;
  /** The key that counts a touch: 1 to 6. */
  readonly digit: number;
  readonly step: Step;
  /** True when this player works on a step of their own: its name stands on the tile. */
  readonly ownStep?: boolean;
  readonly player: RunPlayer;
  readonly events: readonly TouchEvent[];
  readonly onMark: (playerId: string, kind: CountKind, value?: number) => void;
  /** Seconds of a whole hold, and of the running one so far; 0 for other measures. */
  readonly fullHoldS: number;
  readonly heldS: number;
}

/** One child on court: the count, and the zones that make it. */
export const CountTile = memo(function CountTile({
  name,
  digit,
  step,
  ownStep = false,
  player,
  events,
  onMark,
  fullHoldS,
  heldS,
}: CountTileProps) {
  const result = useMemo(() => tally(events, step.measure), [events, step.measure]);
  const mark = (kind: CountKind, value?: number) => onMark(player.playerId, kind, value);
  const bestToday = result.best ?? (step.measure === 'lap' || step.measure === 'steadiness' ? '–' : 0);
  const best = better(step.measure, player.bestEver, result.best);
  const there = result.best !== null && reaches(step.measure, result.best, player.target);
  const newBest = result.best !== null && player.bestEver !== null && best !== player.bestEver;
  const line = (
    <p className="flex flex-wrap justify-center gap-x-[0.7em] text-[clamp(1.125rem,6cqh,2rem)] leading-tight">
      <span className={cx(there && 'font-bold text-safe')}>
        aim {player.target}
        {there && ' ✓'}
      </span>
      <span className={cx(newBest && 'font-bold text-safe')}>
        today <span data-best>{bestToday}</span>
      </span>
      <span>ever {player.bestEver ?? '–'}</span>
    </p>
  );
  const title = (
    <span className="flex items-center justify-center gap-2 text-[clamp(1.25rem,7cqh,2.5rem)] leading-tight font-bold">
      <kbd className="rounded-sm border-2 border-edge px-1.5 text-sm font-semibold">{digit}</kbd> {name}
      {ownStep && <span className="truncate text-base font-semibold text-soft">{step.title}</span>}
    </span>
  );

  const zoneKind = step.measure === 'grade' ? 'grade' : 'zone';
  if (step.measure === 'points' || step.measure === 'grade')
    return (
      <Frame name={name}>
        <div className="grid min-h-0 flex-1 grid-cols-2 gap-2 p-2">
          <div className="flex flex-col items-center justify-center">
            {title}
            <Count value={result.score} />
            <p className="text-lg">
              {step.measure === 'grade' ? `${result.shots} graded` : `${result.shots} shots`}
            </p>
            {line}
          </div>
          <div className="flex flex-col gap-2">
            {step.zones?.map((zone, index) => (
              <Zone
                key={zone.label}
                data-zone-of={index === 0 ? digit : undefined}
                onPress={() => mark(zoneKind, zone.points)}
                className="min-h-16 flex-1 rounded-md border-2 border-ink bg-sheet px-2 font-semibold active:bg-chalk"
              >
                <span className="sr-only">{name}: </span>
                <span className="text-2xl font-bold">{zone.points}</span> {zone.label}
              </Zone>
            ))}
          </div>
        </div>
      </Frame>
    );

  const hold = step.measure === 'hold';
  const lap = step.measure === 'lap';
  const press = () => (hold ? mark('hold', fullHoldS) : mark(lap ? 'lap' : 'touch'));
  return (
    <Frame name={name}>
      <Zone
        data-touch-of={digit}
        onPress={press}
        className="flex min-h-0 flex-1 flex-col items-center justify-center active:bg-chalk"
      >
        {title}
        <span className="sr-only">{pressWords[step.measure] ?? 'count a touch'}</span>
        <Count value={shown(result, step)} />
        {line}
      </Zone>
      <Zone
        data-miss-of={digit}
        onPress={() => (hold ? mark('drop', heldS) : mark('drop'))}
        className="min-h-16 border-t-2 border-ink bg-chalk text-xl font-bold active:bg-line"
      >
        <span className="sr-only">{name}: </span>
        {hold ? 'Let go' : lap || step.measure === 'laps' ? 'Broken off' : 'Count a miss'}
      </Zone>
    </Frame>
  );
});

interface ZoneProps {
  readonly onPress: () => void;
  readonly className: string;
  readonly children: ReactNode;
  readonly 'data-touch-of'?: number;
  readonly 'data-miss-of'?: number;
  readonly 'data-zone-of'?: number;
}

/** A zone that counts when the finger comes down, not when it lifts: the count follows the eye, and a sliding thumb still counts. */
function Zone({ onPress, className, children, ...rest }: ZoneProps) {
  return (
    <button
      type="button"
      onPointerDown={(event) => {
        if (event.button === 0) onPress();
      }}
      onClick={(event) => {
        // Keys and assistive technology press without a pointer.
        if (event.detail === 0) onPress();
      }}
      className={cx('touch-manipulation select-none', className)}
      {...rest}
    >
      {children}
    </button>
  );
}

const pressWords: Partial<Record<Step['measure'], string>> = {
  hold: 'held to the end',
  lap: 'lap done',
  laps: 'count a lap',
};

/**
 * The big number: the running row or round; for reps and bounces all of them, for a hold or lap the last one's
 * seconds.
 */
function shown(result: Tally, step: Step): number {
  return step.measure === 'reps' || step.measure === 'steadiness' ? result.touches : result.current;
}

function Frame({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section
      aria-label={name}
      className="@container-size flex min-h-72 flex-col overflow-hidden rounded-md border-3 md:min-h-0 border-ink bg-sheet"
    >
      {children}
    </section>
  );
}

function Count({ value }: { value: number }) {
  return (
    <span
      data-count
      className="tabular font-head text-[clamp(120px,44cqh,280px)] leading-none font-extrabold"
    >
      {value}
    </span>
  );
}
