import { done, refused, type Outcome, type Problem } from '../../base/outcome';
import {
  acrosses,
  comings,
  depths,
  depthsOf,
  goings,
  plainShot,
  sides,
  strokes,
  strokesOf,
  type Shot,
  type ShadowSport,
} from './shots';

/** Fewest and most strokes of a sequence: one is no sequence, and more than forty nobody keeps in mind. Ours. */
export const shotLimits = { min: 2, max: 40 } as const;

/** What a word of a line says of its shot. */
type Say = Partial<Shot>;

const says = new Map<string, Say>([
  ...strokes.map((stroke): [string, Say] => [stroke, { stroke }]),
  ...acrosses.map((across): [string, Say] => [across, { across }]),
  ...depths.map((depth): [string, Say] => [depth, { depth }]),
  ...comings.map((coming): [string, Say] => [coming, { coming }]),
  ...goings.map((going): [string, Say] => [going, { going }]),
  ...sides.map((side): [string, Say] => [side, { side }]),
  ['fh', { side: 'forehand' }],
  ['f', { side: 'forehand' }],
  ['bh', { side: 'backhand' }],
  ['b', { side: 'backhand' }],
  ['mid', { across: 'middle' }],
  ['short', { depth: 'in' }],
  ['long', { depth: 'out' }],
  ['deep', { depth: 'out' }],
  ['home', { home: true }],
  ['stay', { home: false }],
]);

/** Words a line can be made of, as they are explained. */
export const lineWords = [...says.keys()];

/** How many letters have to be changed, put in or left out to make one word of another (Levenshtein 1966). */
function editsBetween(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, n) => n);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next[j] = Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1));
    row = next;
  }
  return row[b.length]!;
}

/** The known word that is meant, if one is near. */
function nearest(word: string): string | null {
  const near = lineWords
    .filter((known) => known.length > 2)
    .map((known) => ({ known, edits: editsBetween(word, known) }))
    .sort((a, b) => a.edits - b.edits)[0]!;
  return near.edits <= Math.max(1, Math.floor(word.length / 3)) ? near.known : null;
}

const fieldsOf = (say: Say): string[] => Object.keys(say);
const askedTwice: Readonly<Record<string, string>> = {
  side: 'two sides',
  stroke: 'two strokes',
  across: 'two places',
  depth: 'two depths',
  coming: 'two balls that come',
  going: 'two ways for the ball to go',
  home: 'both home and stay',
};

/** One shot out of its words, or what is wrong with them. */
function shotOf(text: string, number: number, sport: ShadowSport): Outcome<readonly Shot[]> {
  const wrong = (message: string) => refused('line', `Stroke ${number}, “${text}”: ${message}`);
  const words = text.toLowerCase().split(/\s+/);
  const times = /^(\d{1,3})\s*[x×]$/.exec(words[0]!);
  const own = times ? words.slice(1) : words;
  const count = times ? Number(times[1]) : 1;
  if (count < 1 || own.length === 0)
    return wrong('say what is played, such as “fh corner”, and how often before it: “3x fh corner”.');
  const said: Say = {};
  for (const word of own) {
    const say = says.get(word);
    if (!say) {
      const near = nearest(word);
      return wrong(
        near
          ? `“${word}” is not a word of it: did you mean “${near}”?`
          : `“${word}” is not a word of it. Say side, place, depth and stroke: “bh middle out loop”.`,
      );
    }
    const twice = fieldsOf(say).find((field) => field in said);
    if (twice) return wrong(`that is ${askedTwice[twice]}: leave one out.`);
    Object.assign(said, say);
  }
  const shot: Shot = { ...plainShot(sport), ...said };
  if (!strokesOf(sport).includes(shot.stroke))
    return wrong(`a ${shot.stroke} is not played in ${sport}: one of ${strokesOf(sport).join(', ')}.`);
  if (!depthsOf(sport).includes(shot.depth))
    return wrong(`“${shot.depth}” is no depth in ${sport}: one of ${depthsOf(sport).join(', ')}.`);
  return done(Array.from({ length: Math.min(count, shotLimits.max + 1) }, () => shot));
}

/**
 * A sequence out of a line of short words: strokes with commas between them, the words of each in any order.
 * What is not said is as usual (see {@link plainShot}): “bh corner, fh pivot loop, fh wide out home”.
 */
export function readLine(line: string, sport: ShadowSport): Outcome<readonly Shot[]> {
  const parts = line
    .split(/[,;\n>]/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const shots: Shot[] = [];
  const problems: Problem[] = [];
  for (const [at, part] of parts.entries()) {
    const read = shotOf(part, at + 1, sport);
    if (read.ok) shots.push(...read.value);
    else problems.push(...read.problems);
  }
  if (problems.length > 0) return { ok: false, problems };
  const { min, max } = shotLimits;
  if (shots.length < min)
    return refused('line', `A sequence has at least ${min} strokes: put a comma and one more after it.`);
  if (shots.length > max)
    return refused('line', `A sequence has at most ${max} strokes: make two of it, and join them.`);
  return done(shots);
}

const short: Readonly<Record<Shot['side'], string>> = { forehand: 'fh', backhand: 'bh' };

/** The words of one shot, as few as read back to it. */
export function wordsOfShot(shot: Shot, sport: ShadowSport): string {
  const plain = plainShot(sport);
  return [
    short[shot.side],
    shot.across,
    shot.depth !== plain.depth && shot.depth,
    shot.stroke !== plain.stroke && shot.stroke,
    shot.coming,
    shot.going,
    shot.home !== plain.home && (shot.home ? 'home' : 'stay'),
  ]
    .filter(Boolean)
    .join(' ');
}

/** A sequence as its line; {@link readLine} gives the same sequence back. */
export const writeLine = (shots: readonly Shot[], sport: ShadowSport): string =>
  shots.map((shot) => wordsOfShot(shot, sport)).join(', ');
