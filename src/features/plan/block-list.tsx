'use client';

import type { Book } from '@/drills';
import { workOf, type PlanBlock } from '@/session/plan';
import type { PlanTime } from '@/core/planning/plan-time';
import { inHalfMinutes } from '@/core/words';
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
                  {own && <span className="block text-sm font-normal text-soft">{own}</span>}
                  {warned.has(block.id) && (
                    <span className="rounded-sm bg-care-bg px-1 text-xs font-bold text-care">care</span>
                  )}
                </span>
                <span className="tabular shrink-0 text-sm">
                  {timed ? `${inHalfMinutes(timed.totalS)} min` : 'nobody'}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </>
  );
}

/** Who stands on another step than the block's, and who sits it out; empty where everybody does the same. */
function whoWorksAtWhat(book: Book, block: PlanBlock, players: readonly PlayerFacts[]): string {
  const works = players.flatMap(({ id, name }) => {
    const work = workOf(book, block, id);
    return work ? [{ name, ...work }] : [];
  });
  const at = (stepId: string) => works.filter((one) => !one.out && one.step.id === stepId);
  const out = works.filter((one) => one.out).map(({ name }) => name);
  const steps = [...new Set(works.filter((one) => !one.out).map((one) => one.step))];
  return [
    ...(steps.length > 1
      ? steps.map(
          ({ id, title }) =>
            `${at(id)
              .map(({ name }) => name)
              .join(', ')}: ${title}`,
        )
      : []),
    ...(out.length > 0 ? [`${out.join(', ')} ${out.length === 1 ? 'sits' : 'sit'} out`] : []),
  ].join('; ');
}
