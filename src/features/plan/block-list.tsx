'use client';

import type { Book } from '@/drills';
import { workOf, type PlanBlock } from '@/session/base/plan';
import type { PlanTime } from '@/core/plan/plan-time';
import { inHalfMinutes, inMinutes } from '@/core/base/words';
import type { PlayerFacts } from '@/server/views/facts';
import { cx } from '@/ui/class-names';

interface Props {
  readonly book: Book;
  readonly blocks: readonly PlanBlock[];
  readonly time: PlanTime;
  readonly players: readonly PlayerFacts[];
  readonly warned: ReadonlySet<string | null>;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

/** The plan as a list: number, name, minutes, and who works at something of their own. */
export function BlockList({ book, blocks, time, players, warned, selected, onSelect }: Props) {
  if (blocks.length === 0) return null;
  return (
    <>
      <h2 className="text-lg">Blocks</h2>
      <ol aria-label="Blocks of the plan" className="mb-3">
        {blocks.map((block, index) => {
          const timed = time.blocks.find((one) => one.id === block.id);
          const own = whoWorksAtWhat(book, block, players);
          return (
            <li key={block.id} className="border-t border-line">
              <button
                type="button"
                data-listed={block.id}
                aria-current={selected === block.id ? 'true' : undefined}
                onClick={() => onSelect(block.id)}
                className={cx(
                  'flex min-h-11 w-full items-baseline gap-2 px-1 py-1.5 text-left leading-tight hover:bg-chalk',
                  selected === block.id && 'bg-chalk font-semibold',
                )}
              >
                <span className="tabular w-5 shrink-0 text-right font-head font-bold">{index + 1}</span>
                <span className="min-w-0 flex-1">
                  {book.drill(block.drillId)?.title ?? 'a drill that is not known any more'}
                  {block.circuit && (
                    <span className="block text-sm font-normal text-soft">
                      station {block.circuit.at + 1} of {block.circuit.of},{' '}
                      {inMinutes(block.circuit.stationS)} each
                    </span>
                  )}
                  {own && <span className="block text-sm font-normal text-soft">{own}</span>}
                  {warned.has(block.id) && (
                    <span className="rounded-sm bg-care-bg px-1 text-xs font-bold text-care">care</span>
                  )}
                </span>
                <span className="tabular shrink-0 text-sm">
                  {!timed
                    ? 'nobody'
                    : (block.circuit?.at ?? 0) > 0
                      ? 'beside'
                      : `${inHalfMinutes(timed.totalS)} min`}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </>
  );
}

/** Who stands on which step, where they differ, and who sits it out: "step 2: Ada, Bo · 1: Cy". */
function whoWorksAtWhat(book: Book, block: PlanBlock, players: readonly PlayerFacts[]): string {
  const steps = new Map<number, string[]>();
  const out: string[] = [];
  for (const player of players) {
    const work = workOf(book, block, player.id);
    if (!work) continue;
    const name = shortName(player, players);
    if (work.out) out.push(name);
    else {
      const number = work.drill.steps.indexOf(work.step) + 1;
      steps.set(number, [...(steps.get(number) ?? []), name]);
    }
  }
  const differ = [...steps]
    .sort((a, b) => b[0] - a[0])
    .map(([step, names]) => `${step}: ${names.join(', ')}`);
  return [
    ...(differ.length > 1 ? [`step ${differ.join(' · ')}`] : []),
    ...(out.length > 0 ? [`out: ${out.join(', ')}`] : []),
  ].join(' · ');
}

/** The first name, where it is nobody else's. */
function shortName({ name }: PlayerFacts, players: readonly PlayerFacts[]): string {
  const first = (full: string) => full.split(' ')[0]!;
  return players.filter((one) => first(one.name) === first(name)).length > 1 ? name : first(name);
}
