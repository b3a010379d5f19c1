import { whyLeftWords, type LeftOut } from '@/core/sound/count/taken';
import type { Heard } from '@/core/sound/hearing';
import { howManyInWords } from '@/core/sound/how-many';
import { longestRow } from '@/court/heard-marks';
import { measures } from '@/core/counting/measure';
import { counted } from '@/core/base/words';
import type { HeardStep } from '@/session/court/hearing';

/** "47, perhaps 45 to 48", or what was heard toss by toss and catch by catch. */
export function heardInWords(heard: Heard, step: HeardStep): string {
  if (heard.by === 'claps') {
    const claps = heard.tosses.map((toss) => howManyInWords(toss.howMany));
    return claps.length === 0 ? 'no toss yet' : `clapped ${claps.join('; ')}`;
  }
  if (heard.by === 'catches') {
    const grades = heard.catches.map(({ grade }) => grade);
    return grades.length === 0 ? 'no catch yet' : grades.join(', ');
  }
  if (step.measure === 'steadiness')
    return heard.evennessCm === null
      ? counted(heard.rows.all.count, 'bounce')
      : `${heard.evennessCm} cm spread over ${counted(heard.rows.all.count, 'bounce')}`;
  return howManyInWords(step.measure === 'row' ? longestRow(heard.rows) : heard.rows.all);
}

/** The one number that moves while it is heard. */
export function heardNow(heard: Heard, step: HeardStep): string {
  if (heard.by === 'claps')
    return heard.tosses.length === 0 ? '–' : String(heard.tosses.at(-1)!.claps.length);
  if (heard.by === 'catches') return heard.catches.at(-1)?.grade ?? '–';
  if (step.measure !== 'row') return String(heard.rows.all.count);
  return String(heard.rows.rows.at(-1)?.touches.length ?? 0);
}

/** What stands under that number: how sure it is, or what was heard before it. */
export function besideTheNumber(heard: Heard, step: HeardStep): string {
  if (heard.by !== 'rows' || step.measure === 'steadiness') return heardInWords(heard, step);
  const { from, to } = step.measure === 'row' ? (heard.rows.rows.at(-1)?.howMany ?? nothing) : heard.rows.all;
  return from === to ? measures[step.measure].unit : `perhaps ${from} to ${to}`;
}

const nothing = { from: 0, to: 0 };

/** "6 unlike what was taught, 2 echoes"; empty where nothing was left out. */
export function leftOutInWords(leftOut: readonly LeftOut[]): string {
  const counts = new Map<string, number>();
  for (const { why } of leftOut) counts.set(whyLeftWords[why], (counts.get(whyLeftWords[why]) ?? 0) + 1);
  return [...counts].map(([why, n]) => `${n} × ${why}`).join(', ');
}

export const leftOutOf = (heard: Heard): readonly LeftOut[] =>
  heard.by === 'rows' ? heard.rows.leftOut : heard.leftOut;
