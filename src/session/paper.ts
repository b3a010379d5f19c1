import type { PlanTime } from '@/core/planning/plan-time';
import { doseInWords } from '@/core/dose/dose';
import { resultInWords } from '@/core/counting/measure';
import type { Book } from '@/drills/book';
import type { Drill } from '@/drills/types';
import type { Warning } from '@/core/care/care';
import { goalsOf } from './goals';
import { ageIn } from './held';
import { workOf, type PlanBlock, type PlanPlayer } from './plan';
import { doneTogether } from './together';

/** What one child does in a block, as it is printed. */
export interface PaperLine {
  readonly playerId: string;
  /** Their own step, where it is another one than the block's. */
  readonly ownStep: string | null;
  /** Left out where it is the block's, or where the aim says it all: a row. */
  readonly dose: string | null;
  /** "14 in a row". */
  readonly aim: string;
}

/** A block as it is printed. */
export interface PaperBlock {
  readonly id: string;
  /** Minutes from the start of the session, and how long it takes. */
  readonly fromS: number;
  readonly totalS: number;
  readonly drill: Drill;
  readonly step: string;
  readonly task: string;
  readonly cue: string;
  readonly dose: string;
  readonly together: boolean;
  readonly lines: readonly PaperLine[];
  readonly care: readonly string[];
}

/**
 * A plan block by block for paper: the same dose and aim the plan, the court and the review give.
 * @param decided what the last review aimed at, by player and step
 */
export function paperOf(
  book: Book,
  blocks: readonly PlanBlock[],
  players: readonly PlanPlayer[],
  { time, warnings }: { readonly time: PlanTime; readonly warnings: readonly Warning[] },
  decided: (playerId: string, drillId: string, stepId: string) => number | undefined,
): PaperBlock[] {
  return time.blocks.flatMap(({ id, startS: fromS, totalS }) => {
    const block = blocks.find((one) => one.id === id)!;
    const drill = book.drill(block.drillId);
    const shared = book.step(block.drillId, block.stepId);
    if (!drill || !shared) return [];
    const shown = doseInWords(block.dose);
    const lines = players.flatMap<PaperLine>((player) => {
      const work = workOf(book, block, player.id);
      if (!work || work.out) return [];
      const own = doseInWords(work.dose);
      const { aim } = goalsOf(work, ageIn(block, player), decided(player.id, block.drillId, work.step.id));
      return [
        {
          playerId: player.id,
          ownStep: work.step.id === block.stepId ? null : work.step.title,
          dose: work.dose.kind === 'row' || own === shown ? null : own,
          aim: resultInWords(work.step.measure, aim),
        },
      ];
    });
    return [
      {
        ...{ id, fromS, totalS, drill, lines },
        step: shared.title,
        task: shared.task,
        cue: shared.cue,
        dose: shown,
        together: doneTogether(drill, shared),
        care: warnings.flatMap((one) => (one.blockId === id ? [one.text] : [])),
      },
    ];
  });
}
