import type { Measure } from '@/core/counting/measure';
import { earOrigin } from '@/core/counting/origin';
import { tally } from '@/core/counting/tally';
import { catchGrades } from '@/core/sound/count/catches';
import type { HeardRows } from '@/core/sound/count/rows';
import type { HowMany } from '@/core/sound/how-many';
import type { Heard } from '@/core/sound/hearing';
import type { HeardStep } from '@/session/court/hearing';
import type { NewEvent } from './run-log';

/** One mark of what was heard, before it is known which try it belongs to. */
interface HeardMark {
  readonly kind: 'touch' | 'drop' | 'grade';
  readonly atS: number;
  readonly value?: number;
  /** The row it belongs to, from 0, where rows are counted one by one. */
  readonly row?: number;
}

/** A row that is over has its end a moment after its last touch, seconds. */
const endsAfterS = 0.3;

/** What was heard as marks: rows end with a drop, a toss counts when its claps are there, a catch has its grade. */
function marksOf(heard: Heard, step: HeardStep): HeardMark[] {
  if (heard.by === 'catches')
    return heard.catches.map(({ atS, grade }) => ({
      kind: 'grade',
      atS,
      value: (step.zones ?? [])[catchGrades.indexOf(grade)]?.points ?? 0,
    }));
  if (heard.by === 'claps')
    return heard.tosses.map(({ atS, claps, caught }) => ({
      kind: caught && claps.length >= (step.claps ?? 1) ? 'touch' : 'drop',
      atS,
    }));
  const { rows } = heard.rows;
  return rows.flatMap(({ touches, endedBy }, row): HeardMark[] => {
    const over = endedBy !== null || row < rows.length - 1;
    const endS = touches.at(-1)!.atS + endsAfterS;
    return [
      ...touches.map(({ atS, heard }): HeardMark => {
        // One that nobody heard is counted; how high the ball went before and after it nobody knows.
        const kind = heard || step.measure !== 'steadiness' ? 'touch' : 'drop';
        return { kind, atS, row };
      }),
      // In a time box a ball that was lost costs time and ends nothing that has to be said.
      ...(over && step.measure !== 'count' ? [{ kind: 'drop', atS: endS, row } as const] : []),
    ];
  });
}

/** When something was heard, how many marks were made of what came before it, and the row it is in, from 0. */
export interface HeardAt {
  readonly atMs: number;
  readonly made: number;
  readonly row: number;
}

/** The try that was on when something was heard; null where nothing counts. */
export type TryAt = (heard: HeardAt) => number | null;

interface Where {
  readonly blockId: string;
  readonly playerId: string;
  readonly step: HeardStep;
  /** When the sound began, UTC milliseconds. */
  readonly startMs: number;
  readonly tryAt: TryAt;
}

/**
 * The marks of what was heard, for the log, each at its own moment and in the try that was on then; and how many touches were
 * outside: in a rest, or before or after it all.
 */
export function heardMarks(
  heard: Heard,
  { blockId, playerId, step, startMs, tryAt }: Where,
): { readonly marks: readonly NewEvent[]; readonly outside: number } {
  const marks: NewEvent[] = [];
  let outside = 0;
  for (const { kind, atS, value, row = 0 } of marksOf(heard, step)) {
    const atMs = Math.round(startMs + 1000 * atS);
    const attempt = tryAt({ atMs, made: marks.length, row });
    if (attempt !== null)
      marks.push({ blockId, playerId, kind, attempt, atMs, origin: earOrigin, value: value ?? null });
    else if (kind === 'touch') outside += 1;
  }
  return { marks, outside };
}

/** What marks come to in the log: the result of each attempt they make, by the one reducer. */
export function keptAs(marks: readonly NewEvent[], measure: Measure): (number | null)[] {
  const events = marks.map((mark, n) => ({
    value: null,
    ref: null,
    attempt: 1,
    atMs: 0,
    monoMs: 0,
    device: '',
    id: String(n).padStart(6, '0'),
    ...mark,
  }));
  return tally(events, measure).attempts.map(({ result }) => result);
}

/** The longest row that was heard. */
export const longestRow = ({ rows }: HeardRows): HowMany =>
  rows.reduce<HowMany>((best, { howMany }) => (howMany.count > best.count ? howMany : best), {
    count: 0,
    from: 0,
    to: 0,
  });
