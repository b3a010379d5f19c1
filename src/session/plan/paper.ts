import type { PlanTime } from '@/core/plan/plan-time';
import { doseInWords } from '@/core/dose/dose';
import { resultInWords } from '@/core/counting/measure';
import { settingInWords } from '@/core/calculators/setting-words';
import type { Book } from '@/drills/book';
import type { Drill } from '@/drills/base/types';
import type { Warning } from '@/core/care/care';
import { roundsOf, roundStartS, type CircuitRound } from '@/core/plan/circuit/rotation';
import type { CircuitPart } from '@/core/plan/circuit/circuit';
import type { BlockTime } from '@/core/plan/block-time';
import { stationsOf } from './settled';
import { goalsOf } from '../base/goals';
import { ageIn } from '../base/held';
import { workOf, type PlanBlock, type PlanPlayer } from '../base/plan';
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

/** A circuit as it is printed: who is where, and when. */
export interface PaperCircuit {
  readonly titles: readonly string[];
  /** Who helps at each station; empty for nobody. */
  readonly helpers: readonly string[];
  /** Player ids by group; who does not come is left out. */
  readonly groups: readonly (readonly string[])[];
  readonly stationS: number;
  readonly changeS: number;
  /** Round by round: seconds from the start of the session, the group at each station, and the one that rests. */
  readonly rounds: readonly (CircuitRound & { readonly fromS: number })[];
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
  /** Which station of its circuit it is, from 1; null where it is done alone. */
  readonly station: { readonly number: number; readonly of: number } | null;
  /** The whole circuit, on the first of its stations. */
  readonly circuit: PaperCircuit | null;
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
  const comes = new Set(players.map(({ id }) => id));
  return time.blocks.flatMap((timed) => {
    const { id, startS: fromS, totalS } = timed;
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
        id,
        fromS,
        totalS,
        drill,
        lines,
        step: shared.title,
        task: [shared.task, block.setting && `Set out: ${settingInWords(block.setting)}.`]
          .filter(Boolean)
          .join(' '),
        cue: shared.cue,
        dose: shown,
        together: doneTogether(drill, shared),
        station: block.circuit ? { number: block.circuit.at + 1, of: block.circuit.of } : null,
        circuit: block.circuit?.at === 0 ? circuitOf(book, blocks, block.circuit, timed, comes) : null,
        care: warnings.flatMap((one) => (one.blockId === id ? [one.text] : [])),
      },
    ];
  });
}

function circuitOf(
  book: Book,
  blocks: readonly PlanBlock[],
  part: CircuitPart,
  { startS, setUpS, showS }: Pick<BlockTime, 'startS' | 'setUpS' | 'showS'>,
  comes: ReadonlySet<string>,
): PaperCircuit {
  const stations = stationsOf(blocks, part.id);
  return {
    titles: stations.map(({ drillId }) => book.drill(drillId)?.title ?? ''),
    helpers: stations.map(({ circuit }) => circuit?.helper ?? ''),
    groups: part.groups.map((group) => group.filter((id) => comes.has(id))),
    stationS: part.stationS,
    changeS: part.changeS,
    rounds: roundsOf(part).map((round, index) => ({
      ...round,
      fromS: startS + setUpS + showS + roundStartS(part, index),
    })),
  };
}
