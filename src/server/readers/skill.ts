import type { Dose } from '@/core/dose/dose';
import type { School } from '@/core/skill/next-target';
import { usualBand } from '@/core/skill/four-schools';
import { doneBetween, type DoneRow } from '@/data/levels';
import type { Executor } from '@/data/database';
import { countWords } from '@/data/ledger';
import { makeBook, type Book } from '@/drills';
import type { Manner, Skill } from '@/session/skill/judging';
import { conditionOf, levelsOf, type Done } from '@/session/skill/levels';
import { withAmount } from '@/core/dose/amount';
import { recentSince } from '../base/days';
import { bookContents } from './book';

function doneOf(row: DoneRow, weightOf: (playerId: string, day: string) => number): Done {
  const [playerId, drillId, stepId, day, feed, ball, eased, home, otherHand, dose, amount, ...sums] = row;
  const [results, sum, logSum, squares, free, touches, drops, dropped] = sums;
  return {
    playerId,
    drillId,
    stepId,
    day,
    condition: conditionOf({
      feed,
      ball,
      eased: eased === 1,
      home: home === 1,
      otherHand: otherHand === 1,
    }),
    dose: withAmount(JSON.parse(dose) as Dose, amount),
    weight: weightOf(playerId, day),
    results,
    sum,
    logSum,
    squares,
    free,
    touches,
    drops,
    dropped,
  };
}

/** The last few answers: what was logged is one text, and the same text makes the same levels. */
const kept = new Map<string, Skill>();
const mostKept = 6;

/** How good everybody is, from what was logged in the twelve weeks until a day. Every screen that judges asks here. */
export async function skillUntil(db: Executor, day: string): Promise<Skill> {
  const [text, contents, words] = await Promise.all([
    doneBetween(db, recentSince(day), day),
    bookContents(db),
    countWords(db),
  ]);
  const halves = words.filter(({ word }) => word === 'half');
  const key = `${JSON.stringify([contents, halves])} ${text}`;
  const known = kept.get(key);
  if (known) {
    kept.delete(key);
    kept.set(key, known);
    return known;
  }
  const weightOf = (playerId: string, on: string) =>
    halves.some((one) => one.playerId === playerId && on <= one.untilDay) ? 0.5 : 1;
  const done = (JSON.parse(text) as DoneRow[]).map((row) => doneOf(row, weightOf));
  const skill = { done, levels: levelsOf(makeBook(contents), done) };
  kept.set(key, skill);
  if (kept.size > mostKept) kept.delete(kept.keys().next().value!);
  return skill;
}

const answers: Readonly<Record<string, School>> = {
  'in a row': 'row',
  'against the clock': 'clock',
  'own best plus one': 'best',
  'sweet spot': 'sweet',
};

/** How a coach judges a player on a drill. */
export function mannerOf(book: Book, drillId: string, playerId: string): Manner {
  const chosen = answers[book.school('moveUp', drillId, playerId).answer] ?? null;
  const words = book.school('sweetSpot', drillId, playerId).answer;
  const [low, high] = words.split(' to ').map((word) => parseInt(word, 10) / 100);
  return { chosen, band: low && high ? [low, high] : usualBand };
}
