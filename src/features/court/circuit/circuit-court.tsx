'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { matesOf } from '@/core/plan/circuit/circuit';
import { roundsOf } from '@/core/plan/circuit/rotation';
import { usePageBook } from '@/ui/house';
import { groupLetter } from '@/ui/circuit-names';
import { cx } from '@/ui/class-names';
import type { CourtPlayer, CourtView } from '../court-view';
import type { CourtEar } from '../ear/ear-later';
import type { BlockRun } from '../use-block';
import type { Court } from '../use-court';
import { settlesMs, type RunScreen } from '../use-run-screen';
import { usePhone } from '../use-screen';
import { Station } from './station';

export { CircuitHead } from './circuit-head';

export interface CircuitCourtProps {
  readonly court: Court<CourtView>;
  /** The first station, whose clock is everybody's. */
  readonly run: BlockRun;
  readonly screen: RunScreen<CourtPlayer>;
  readonly ear: CourtEar;
  readonly onSay: (sentence: string) => void;
}

/** Panels in rows that leave each enough room. */
const columns = [
  '',
  '',
  'md:grid-cols-2',
  'md:grid-cols-3',
  'md:grid-cols-2',
  'md:grid-cols-3',
  'md:grid-cols-3',
];

/** A circuit on court: every station with who is there now, and where they go next, by one clock. */
export function CircuitCourt({ court, run, screen, ear, onSay }: CircuitCourtProps) {
  const { view } = court;
  const book = usePageBook(view.session.coach);
  const phone = usePhone();
  const part = run.block.circuit!;
  const round = run.position.phase.round - 1;
  const rounds = roundsOf(part);
  const stations = matesOf(view.blocks, run.block.id);
  const titleOf = (at: number) => {
    const block = stations.find(({ circuit }) => circuit?.at === at);
    return block ? (book.drill(block.drillId)?.title ?? '') : `station ${at + 1}`;
  };
  const numberOf = (blockId: string) => view.blocks.findIndex(({ id }) => id === blockId) + 1;
  /** Where a group goes after this round, in words. */
  const nextOf = (group: number): string => {
    const next = rounds[round + 1];
    if (!next) return 'ends here';
    const at = next.at.indexOf(group);
    return at < 0 ? 'then rests' : `then ${titleOf(at)}`;
  };
  const rests = rounds[round]?.rests ?? null;
  const named = (group: number) =>
    view.players.filter(({ id }) => part.groups[group]?.includes(id)).map(({ name }) => name);
  // Whoever counts one child sees the station where that child is; at one station there is nothing else to see.
  const here = view.helper
    ? stations.filter(({ circuit }) => {
        const group = rounds[round]?.at[circuit!.at] ?? null;
        return stations.length === 1 || (group !== null && named(group).length > 0);
      })
    : stations;
  // A finger or a key that is late must not count for whoever comes to its place.
  const changedAt = useRef(-Infinity);
  const before = useRef(round);
  useEffect(() => {
    if (before.current !== round) changedAt.current = performance.now();
    before.current = round;
  }, [round]);
  const isSettled = useCallback(() => performance.now() - changedAt.current >= settlesMs, []);
  const [chosen, setChosen] = useState<string | null>(null);
  const one = here.find(({ id }) => id === chosen) ?? here[0];
  const shown = phone && one ? [one] : here;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2" data-circuit-round={round + 1}>
      <p
        role="status"
        className={cx(
          'rounded-md border-3 border-care bg-care-bg px-4 py-1 text-lg font-bold text-care',
          screen.refusal === null && 'sr-only',
        )}
      >
        {screen.refusal}
      </p>
      {phone && here.length > 1 && (
        <div role="group" aria-label="Station" className="flex gap-1">
          {here.map((block) => (
            <button
              key={block.id}
              type="button"
              aria-pressed={block === one}
              onClick={() => setChosen(block.id)}
              className={cx(
                'min-h-12 min-w-0 flex-1 truncate rounded-md border-2 px-1 text-sm font-semibold',
                block === one ? 'border-ink bg-sheet' : 'border-edge',
              )}
            >
              {numberOf(block.id)}. {titleOf(block.circuit!.at)}
            </button>
          ))}
        </div>
      )}
      {rests !== null && named(rests).length > 0 && (
        <p className="px-1 text-lg" data-rests>
          <b>{groupLetter(rests)} rests</b>: {named(rests).join(', ')}, {nextOf(rests)}
        </p>
      )}
      {here.length === 0 && rests === null && (
        <p className="px-1 text-xl">Nobody you count is at a station in this round.</p>
      )}
      <div className={cx('grid min-h-0 flex-1 auto-rows-fr gap-2', columns[shown.length])}>
        {shown.map((block) => (
          <Station
            key={block.id}
            court={court}
            block={block}
            lead={run}
            screen={screen}
            ear={ear.offerFor(block.id)}
            number={view.helper && stations.length === 1 ? null : numberOf(block.id)}
            rounds={rounds}
            nextOf={nextOf}
            onSay={onSay}
            isSettled={isSettled}
          />
        ))}
      </div>
    </div>
  );
}
