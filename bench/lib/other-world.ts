import { tally } from '../../src/core/counting/tally';
import type { TouchEvent } from '../../src/core/counting/event';
import { normal, seededRandom, wholeBetween } from '../../src/core/base/random';
import { assumptions, kinds, type Kind } from '../../src/core/skill/level/assumptions';
import { follow, later, type Dated } from '../../src/core/skill/level/follow';
import { evidenceOf } from '../../src/core/skill/level/evidence';
import { halfWidth } from '../../src/core/skill/level/scale';
import { gainsOver } from '../../src/core/skill/testing/score';
import { squad } from '../../src/demo/people';
import { dropChance, playBlock } from '../../src/demo/player-log';
import { catalogue } from '../../src/drills/catalogue';
import type { Step } from '../../src/drills/base/types';
import { ageBandOf } from '../../src/drills/base/age-band';
import { boxSeconds } from '../../src/core/dose/facts';
import { mostEach, usualLevel } from '../../src/session/skill/levels';

export interface Season {
  readonly kind: Kind;
  /** Whether the level at the end lies in its range of 95 %, and the one a week later in that of 80 %. */
  readonly held: boolean;
  readonly ahead: boolean;
  readonly gains: ReturnType<typeof gainsOver>;
}

const sessions = 16;
/** So many days of one form make a true level. */
const truthDays = 60;
/** Seasons of each step; more where few steps are measured so. */
const seasons = (kind: Kind) => (kind === 'time' || kind === 'spread' ? 20 : 2);

/** What a day of a player brings: the attempts the court would have made of it, added up. */
function played(
  step: Step,
  age: number,
  character: (typeof squad)[number],
  drop: number,
  random: () => number,
) {
  const dose = step.doses[ageBandOf(age)];
  const aged = { ...character, form: { ...character.form, age } };
  const events = playBlock(dose, step, aged, drop, random).map((mark, i): TouchEvent => {
    const atMs = Math.round(mark.atS * 1000);
    return {
      ...mark,
      id: String(i).padStart(26, '0'),
      blockId: 'b',
      playerId: 'p',
      ref: null,
      device: 'd',
      atMs,
      monoMs: atMs,
    };
  });
  const attempts = tally(events, step.measure).attempts.filter(
    ({ result, drops }) => result !== null || drops > 0,
  );
  const counted = attempts.filter(({ result }) => result !== null);
  const total = (of: (one: (typeof attempts)[number]) => number, from = attempts) =>
    from.reduce((all, one) => all + of(one), 0);
  return evidenceOf(step.measure, {
    results: counted.length,
    touches: total((one) => one.touches),
    drops: total((one) => one.drops),
    dropped: total((one) => Math.min(1, one.drops)),
    sum: total((one) => one.result!, counted),
    logSum: total((one) => (one.result! > 0 ? Math.log(one.result!) : 0), counted),
    squares: total((one) => one.result! ** 2 * Math.max(0, one.touches - 1), counted),
    free: total((one) => Math.max(0, one.touches - 1), counted),
    boxS: boxSeconds(dose) ?? 1,
    mostEach: mostEach(step),
  });
}

/**
 * Seasons of the demo's generator, some of every step of the catalogue, each of an invented player. The true level is
 * what sixty days of that day's player come to: the generator has no level of its own.
 */
export function otherWorld(seed: number): Season[] {
  const random = seededRandom(seed);
  return catalogue.flatMap((drill) =>
    drill.steps.flatMap((step) =>
      Array.from({ length: seasons(kinds[step.measure]) }, () => {
        const one = squad[wholeBetween(random, 0, squad.length - 1)]!;
        const character = {
          ...one,
          fudges: undefined,
          pace: Math.exp(normal(random, 0, 0.25)),
          drops: Math.exp(normal(random, 0, 0.25)),
        };
        const { age } = one.form;
        const kind = kinds[step.measure];
        const dated: Dated[] = [];
        for (let n = 0; n < sessions; n++) {
          const drop = dropChance(character, step, n, Math.exp(normal(random, 0, 0.25)));
          const evidence = played(step, age, character, drop, random);
          if (evidence) dated.push({ day: Math.floor(n / 2) * 7 + (n % 2) * 3, evidence });
        }
        const truth = (n: number) => {
          let sum = 0;
          let of = 0;
          for (let i = 0; i < truthDays; i++) {
            const evidence = played(step, age, character, dropChance(character, step, n, 1), random);
            sum += evidence?.sum ?? 0;
            of += evidence?.of ?? 0;
          }
          if (kind === 'chance' || kind === 'share') return Math.log((sum + 0.01) / (of - sum + 0.01));
          if (kind === 'spread') return Math.log(sum / of) / 2;
          return kind === 'rate' ? Math.log(sum / of) : sum / of;
        };
        if (dated.length < 6) return [];
        const prior = { mean: usualLevel(step), variance: assumptions[kind].apart ** 2 };
        const followed = follow(kind, prior, dated);
        const state = followed.after.at(-1)!;
        const then = later(state, 7, kind);
        const off = (n: number, { level, levelVar }: typeof state, width: number) =>
          Math.abs(truth(n) - level) < width * Math.sqrt(levelVar);
        return [
          {
            kind,
            held: off(sessions - 1, state, halfWidth[0.95]),
            ahead: off(sessions + 1, then, halfWidth[0.8]),
            gains: gainsOver(followed, dated),
          },
        ];
      }).flat(),
    ),
  );
}
