import { beside, inTen, type Beside } from '@/core/skill/beside';
import { kinds } from '@/core/skill/level/assumptions';
import { surenesses, transfer, type Held, type Transfer } from '@/core/skill/transfer';
import type { Book } from '@/drills/book';
import type { Family } from '@/drills/base/types';
import type { Skill } from './judging';
import { atHome, withOtherHand, type Done } from './levels';

/** What holds on a known, a random and a live ball, over all that is counted touch by touch. */
export function transferOf(book: Book, skill: Skill, playerId: string): Transfer {
  const held: Held[] = [];
  for (const one of skill.done) {
    if (one.playerId !== playerId) continue;
    const drill = book.drill(one.drillId, playerId);
    const step = book.step(one.drillId, one.stepId, playerId);
    if (!drill || !step || kinds[step.measure] !== 'chance' || step.measure === 'hold') continue;
    // Loosening and feet have no ball that comes.
    if (drill.family === 'loosen' || drill.family === 'feet') continue;
    const changed = surenesses.find((feed) => one.condition.startsWith(`${feed} feed`));
    held.push({
      sureness: changed ?? drill.feed.predictability,
      hits: one.touches,
      tries: one.touches + one.drops,
    });
  }
  return transfer(held);
}

/** What holds under two circumstances, in words. */
export interface Comparison {
  readonly title: string;
  /** What was found, in one sentence. */
  readonly words: string;
  readonly sides: readonly [
    { readonly name: string; readonly share: Beside['first'] },
    { readonly name: string; readonly share: Beside['first'] },
  ];
}

interface TouchByTouch extends Done {
  readonly family: Family;
}

/** What a player did that is counted touch by touch, with a ball or without; a hold has no touches. */
function touchByTouch(book: Book, skill: Skill, playerId: string): TouchByTouch[] {
  return skill.done.flatMap((one) => {
    const family = one.playerId === playerId ? book.drill(one.drillId, playerId)?.family : undefined;
    const step = family && book.step(one.drillId, one.stepId, playerId);
    return family && step && kinds[step.measure] === 'chance' && step.measure !== 'hold'
      ? [{ ...one, family }]
      : [];
  });
}

/** The same steps under two circumstances; null while none was done under both. */
function onSameSteps(done: readonly Done[], first: string, second: string): Beside | null {
  const keyOf = ({ drillId, stepId }: Done) => `${drillId} ${stepId}`;
  const stepsUnder = (condition: string) =>
    new Set(done.filter((one) => one.condition === condition).map(keyOf));
  const [one, other] = [stepsUnder(first), stepsUnder(second)];
  const under = (condition: string) =>
    done.filter((each) => each.condition === condition && one.has(keyOf(each)) && other.has(keyOf(each)));
  const [there, here] = [under(first), under(second)];
  return there.length > 0 ? beside(there, here) : null;
}

const ballFamilies: readonly Family[] = ['hands', 'touch', 'serve base', 'wall', 'stroke'];

/**
 * What holds on court and at home, with the one hand and the other (on the steps that were done under both), and in drills
 * with a ball and in games. Pairs nothing was counted of are left out.
 */
export function comparisonsOf(book: Book, skill: Skill, playerId: string): Comparison[] {
  const done = touchByTouch(book, skill, playerId);
  const plain = done.filter(({ condition }) => condition === '');
  const games = plain.filter(({ family }) => family === 'games');
  const drills = plain.filter(({ family }) => ballFamilies.includes(family));
  const all: Comparison[] = [];
  const add = (
    title: string,
    names: readonly [string, string],
    found: Beside | null,
    words: (found: Beside) => string,
  ) => {
    if (!found) return;
    const [first, second] = names;
    all.push({
      title,
      words: words(found),
      sides: [
        { name: first, share: found.first },
        { name: second, share: found.second },
      ],
    });
  };
  add('Court and home', ['on court', 'at home'], onSameSteps(done, '', atHome), ({ more }) =>
    more === 'second'
      ? 'More holds at home than on court: it is not yet there when others look on.'
      : more === 'first'
        ? 'More holds on court than at home: look at room, ball and light there.'
        : 'About as much holds at home as on court, on the steps done in both.',
  );
  add(
    'One hand and the other',
    ['own hand', 'other hand'],
    onSameSteps(done, '', withOtherHand),
    ({ first, second, more }) =>
      more === 'first'
        ? `Holds ${inTen(first.value)} with the own hand, ${inTen(second.value)} with the other: give the other hand more.`
        : more === 'second'
          ? 'More holds with the other hand: ask which one the racket should be in.'
          : 'About as much holds with either hand, on the steps done with both.',
  );
  add(
    'Drills and games',
    ['in drills', 'in games'],
    games.length > 0 && drills.length > 0 ? beside(drills, games) : null,
    ({ first, second, more }) =>
      more === 'first'
        ? `Holds ${inTen(first.value)} in drills, ${inTen(second.value)} in games: play more of what is drilled.`
        : more === 'second'
          ? 'More holds in games than in drills: the drills can be harder.'
          : 'About as much holds in games as in drills.',
  );
  return all;
}
