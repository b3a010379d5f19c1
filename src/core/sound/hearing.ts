import type { HeardCatch } from './count/catches';
import type { HeardToss } from './count/claps';
import type { HeardRows } from './count/rows';
import type { LeftOut } from './count/taken';
import type { SoundKind } from './kinds';

/** What is listened for. */
export type Hearing =
  | {
      readonly by: 'rows';
      readonly counts: SoundKind;
      /** What ends a row; null where it only ends by a pause. */
      readonly ends: SoundKind | null;
      readonly periodS: { readonly least: number; readonly most: number };
      readonly varies?: number;
    }
  | { readonly by: 'claps' }
  | { readonly by: 'catches' };

/** What was heard so far. */
export type Heard =
  | {
      readonly by: 'rows';
      readonly rows: HeardRows;
      readonly evennessCm: number | null;
      /** Where two sides were taught: touches that changed the side, and that did not; null where one was. */
      readonly turns: { readonly inTurn: number; readonly twice: number } | null;
    }
  | { readonly by: 'claps'; readonly tosses: readonly HeardToss[]; readonly leftOut: readonly LeftOut[] }
  | { readonly by: 'catches'; readonly catches: readonly HeardCatch[]; readonly leftOut: readonly LeftOut[] };

/** How a lesson goes. */
export interface Lesson {
  readonly label: string;
  readonly heard: number;
  readonly wanted: number;
  readonly learnt: boolean;
}

/** Sounds that have to be taught, and those that help, for what is listened for. */
export function soundsOf(hearing: Hearing): { readonly needed: SoundKind[]; readonly helpful: SoundKind[] } {
  if (hearing.by === 'claps') return { needed: ['clap', 'catch'], helpful: [] };
  if (hearing.by === 'catches') return { needed: ['strings'], helpful: [] };
  return { needed: [hearing.counts], helpful: hearing.ends ? [hearing.ends] : [] };
}
