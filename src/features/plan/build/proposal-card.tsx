import { Ban, Check, Lock, Plus } from 'lucide-react';
import { doseInWords } from '@/core/dose/dose';
import { inHalfMinutes } from '@/core/base/words';
import type { Book } from '@/drills';
import type { Evaluation } from '@/session/plan/evaluate';
import type { Proposal } from '@/session/plan/build/job';
import type { PlanBlock } from '@/session/base/plan';
import { Button } from '@/ui/button';
import { Tape } from '@/ui/tape';

interface Props {
  readonly name: string;
  readonly proof: string;
  readonly proposal: Proposal;
  readonly evaluation: Evaluation;
  readonly book: Book;
  readonly bookedMin: number;
  readonly kept: ReadonlySet<string>;
  readonly onTake: () => void;
  readonly onAdd: (block: PlanBlock) => void;
  readonly onKeep: (block: PlanBlock) => void;
  readonly onBan: (drillId: string) => void;
}

/** One way the session could go: on the tape, block by block with its reasons, and what was left out. */
export function ProposalCard(props: Props) {
  const { name, proof, proposal, evaluation, book, bookedMin, kept, onTake, onAdd, onKeep, onBan } = props;
  const { time } = evaluation;
  const titleOf = (drillId: string) => book.drill(drillId)?.title ?? '';
  const wholeTouches = Object.values(time.touchesOf);
  const fewest = Math.round(Math.min(...wholeTouches));
  const most = Math.round(Math.max(...wholeTouches));
  return (
    <section
      aria-label={name}
      data-proposal={proposal.proof}
      className="rounded-md border-2 border-line bg-sheet p-3"
    >
      <div className="flex flex-wrap items-center justify-between gap-2">
        <div>
          <h3 className="text-lg">{name}</h3>
          <p role="status" className="text-sm text-soft">
            {proof}
          </p>
        </div>
        <Button look="now" onClick={onTake}>
          <Check aria-hidden size={18} /> Take it
        </Button>
      </div>
      <Tape
        blocks={time.blocks}
        titles={proposal.blocks.map(({ drillId }) => titleOf(drillId))}
        totalS={time.totalS}
        bookedS={bookedMin * 60}
      />
      <p className="text-sm">
        <span className="tabular">
          {inHalfMinutes(time.totalS)} of {bookedMin} min
        </span>{' '}
        · {fewest === most ? `${most} touches each` : `${fewest} to ${most} touches a child`}
      </p>
      <ol className="mt-1">
        {proposal.blocks.map((block, at) => {
          const { serves, costs } = proposal.reasons[at]!;
          const title = titleOf(block.drillId);
          return (
            <li key={block.id} data-built={block.drillId} className="border-t border-line py-1.5">
              <div className="flex items-start justify-between gap-2">
                <div className="min-w-0">
                  <p className="leading-tight font-semibold">
                    {at + 1}. {title}
                    {block.retest && <span className="font-normal text-soft"> (retest)</span>}
                  </p>
                  <p className="text-sm leading-tight">
                    {doseInWords(block.dose)} <span className="text-soft">· {costs}</span>
                  </p>
                  {serves && <p className="text-sm leading-tight text-safe">{serves}</p>}
                </div>
                <span className="flex shrink-0 gap-1">
                  <Button
                    look="quiet"
                    className="min-h-11 px-2"
                    aria-pressed={kept.has(block.id)}
                    aria-label={kept.has(block.id) ? `${title} is kept` : `Keep ${title}`}
                    onClick={() => onKeep(block)}
                  >
                    <Lock aria-hidden size={16} className={kept.has(block.id) ? 'text-now' : undefined} />
                  </Button>
                  <Button
                    look="quiet"
                    className="min-h-11 px-2"
                    aria-label={`Not ${title}`}
                    onClick={() => onBan(block.drillId)}
                  >
                    <Ban aria-hidden size={16} />
                  </Button>
                  <Button
                    look="quiet"
                    className="min-h-11 px-2"
                    aria-label={`Only ${title} into the plan`}
                    onClick={() => onAdd(block)}
                  >
                    <Plus aria-hidden size={16} />
                  </Button>
                </span>
              </div>
            </li>
          );
        })}
      </ol>
      <details className="border-t border-line pt-1 text-sm">
        <summary className="min-h-6 touch:min-h-11 font-semibold">What was left out, and why</summary>
        <ul className="mt-1 space-y-1">
          {proposal.leftOut.map(({ drillId, why }) => (
            <li key={drillId}>
              <b>{titleOf(drillId)}.</b> {why}
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
