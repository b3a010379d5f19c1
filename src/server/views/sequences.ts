import type { ShadowGround, ShadowSport } from '@/core/movement/sequence/shots';
import { listSequences } from '@/data/sequences';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../base/context';
import { benchesView, type BenchesView } from './benches';

export interface SavedSequence {
  readonly id: string;
  readonly name: string;
  readonly sport: ShadowSport;
  readonly ground: ShadowGround;
  readonly line: string;
}

/** Who sequences can be made for, the plans they can go into, and those that are kept. */
export interface SequencesView extends Pick<BenchesView, 'players' | 'fits' | 'sessions'> {
  readonly sequences: readonly SavedSequence[];
  readonly takenOff: readonly TakenOff[];
}

export async function sequencesView(context: Context): Promise<SequencesView> {
  const { db } = context;
  const [{ players, fits, sessions }, rows, gone] = await Promise.all([
    benchesView(context),
    listSequences(db),
    takenOff(db, 'sequence'),
  ]);
  return {
    players,
    fits,
    sessions,
    takenOff: gone,
    sequences: rows.map(({ id, name, sport, ground, line }) => ({ id, name, sport, ground, line })),
  };
}
