import { aimFeeder } from '../ballistics/feed/aim';
import { feed } from '../ballistics/feed/feeder';
import { feedTiming } from '../ballistics/feed/interval';
import { lobRamp } from '../ballistics/feed/ramp';
import { feederPlaceOf, usualStand } from '../ballistics/feed/stand';
import { courts } from '../ballistics/net/courts';
import { flownStretch, straightStretch } from '../ballistics/net/over';
import { tapping } from '../ballistics/tap/bounce-tempo';
import { hoopToss, softCatch, tossForClaps } from '../ballistics/tap/toss';
import { nearestThatWork } from '../ballistics/wall/advise';
import { forgiveness } from '../ballistics/wall/forgive';
import { paceChange } from '../ballistics/wall/pace-change';
import { reachOf } from '../ballistics/wall/reach';
import type { WallSetup } from '../ballistics/wall/setup';
import { solveWall } from '../ballistics/wall/solve';
import type { Explanation } from '../base/explain';
import { answerRally } from '../calculators/rally/job';
import { explainInterval, explainReady, feedSentence, rampSentence } from './feed';
import { explainFlown, explainStraight, netSentence } from './net';
import { estimateInWords, explainBest, explainSpread, rallySentence, sureness } from './rally';
import * as tap from './tap';
import * as wall from './wall';

const setup: WallSetup = {
  shot: 'one bounce',
  ball: 'orange',
  floor: 'rough concrete',
  wall: 'brick',
  distanceM: 3,
  contactM: 0.55,
  targetM: 1.4,
  meet: 'falling',
  topSpeedMps: 14,
  wallTopM: 4,
  ceilingM: null,
  tableGapM: 0.1,
  tableLengthM: 1.37,
};
const reach = reachOf({ heightM: 1.34, strideM: 0.6, sideStepM: 0.5, contactM: 0.9 });
const solution = (() => {
  const answer = solveWall(setup);
  if (!answer.ok) throw new Error('no rally');
  return answer.solution;
})();

/** Every part of an opened number says something, and where it comes from. */
function opens(one: Explanation): void {
  expect(one.value).toMatch(/\d|nothing/);
  expect(one.formula.length).toBeGreaterThan(20);
  expect(one.inputs.length).toBeGreaterThan(0);
  for (const { label, value } of one.inputs) {
    expect(label).not.toBe('');
    expect(value).not.toMatch(/NaN|undefined|Infinity/);
  }
  expect(one.source).not.toBe('');
}

describe('the wall in words', () => {
  test('what to do, in one sentence', () => {
    expect(wall.wallSentence(setup, solution)).toBe(
      'Stand 3 m from the wall, aim at the chalk line at 1.4 m, about 44 hits a minute.',
    );
  });
  test.each<[Partial<WallSetup>, string]>([
    [{ contactM: 1.2 }, 'The orange ball, aimed at 1.4 m, comes up to 0.6 m at most'],
    [{ targetM: 4.5, wallTopM: 6, ceilingM: 4.4 }, 'the ceiling at 4.4 m is in the way'],
    [{ targetM: 2.5, wallTopM: 2 }, 'The wall ends at 2 m, below the mark at 2.5 m.'],
    [{ distanceM: 9, targetM: 2, topSpeedMps: 9 }, 'the limit is 9.0 m/s'],
  ])('%j is refused with its reason', (more, words) => {
    const asked = { ...setup, ...more };
    const answer = solveWall(asked);
    if (answer.ok) throw new Error('It works.');
    const mends = nearestThatWork(asked).slice(0, 1);
    const said = wall.wallRefusal(asked, answer, mends);
    expect(said).toContain(words);
    if (mends.length > 0) expect(said).toContain(`The nearest that works: ${wall.mendInWords(mends[0]!)}`);
  });
  test('numbers open', () => {
    const spread = { spread: { hitsPerMin: 2, speedMps: 0.5, bounceM: 0.1, backS: 0.05 }, failing: 0 };
    opens(wall.explainTempo(setup, solution, spread));
    expect(wall.explainTempo(setup, solution, spread).value).toBe('44, give or take 2');
    opens(wall.explainTempo({ ...setup, shot: 'table' }, solution, null));
    opens(wall.explainHit(setup, solution));
    opens(wall.explainForgiveness(forgiveness(setup, solution, reach)));
  });
  test('faster out, faster back', () => {
    expect(wall.paceInWords(paceChange(setup, solution, 1.1)!)).toMatch(
      /^10\s% harder out: \d+\s% faster off the wall, [\d.]+ s sooner where the player stood, bouncing [\d.]+ m further out\.$/,
    );
    expect(wall.paceInWords(paceChange(setup, solution, 0.9)!)).toMatch(
      /softer out: .* later .* nearer the wall/,
    );
    expect(wall.paceInWords(paceChange(setup, solution, 1.5)!)).toContain('before it has bounced');
  });
});

test('toss and tap in words', () => {
  const one = tapping('yellow', 'strings', 0.2);
  expect(tap.tappingSentence(one)).toBe(
    'Bounce it 20 cm over the face: 149 touches a minute, one every 0.40 s.',
  );
  expect(tap.clapsSentence(5, 5, tossForClaps('yellow', 5, 5))).toMatch(
    /^Toss 1\.7\d m over the hand for 5 claps at 5\.0 a second: 1\.20 s in the air\.$/,
  );
  expect(tap.hoopSentence(hoopToss('yellow', 2.6, 0.8))).toContain('passes the hoop at 2.6 m');
  const caught = softCatch('yellow', 1.4, 0.75, 0.18);
  expect(tap.catchSentence(caught)).toContain('sinks 18 cm');
  opens(tap.explainTapping(one, 'strings'));
  opens(tap.explainFace(one, 'strings'));
  opens(tap.explainSteadiness(0.2, 0.03, 0.03));
  opens(tap.explainCatch(caught));
  opens(tap.explainToss(tossForClaps('yellow', 3, 4), 'Claps.'));
});

test('the feeder in words', () => {
  const stand = usualStand('red');
  const place = feederPlaceOf(stand, 'court', null);
  const machine = {
    ball: 'red',
    speedMps: 9,
    elevationDeg: 20,
    spinPerMin: 0,
    sideDeg: 0,
    intervalS: 4,
    scatterPercent: 0,
    scatterDeg: 0,
  } as const;
  const aimed = aimFeeder(machine, place, { alongM: 7.5, sideM: 0, apexM: 2 });
  if (!aimed.ok) throw new Error(aimed.why);
  const one = feed(aimed.settings, place, place.playerM);
  const timing = feedTiming(one, { distanceM: 2, speedMps: 2 });
  expect(feedSentence(one, place.playerM, timing)).toMatch(/^It lands 1\.5 m in front of the player after/);
  expect(feedSentence({ ...one, landM: 9.5 }, 9, timing)).toContain('0.5 m behind the player');
  expect(feedSentence({ ...one, landM: null }, 9, timing)).toContain('through the air');
  for (const [fault, words] of [
    ['net', 'into the net'],
    ['ceiling', 'hits the ceiling'],
    ['never comes', 'down twice'],
  ] as const)
    expect(feedSentence({ ...one, fault }, 9, timing)).toContain(words);
  opens(explainInterval(one, timing, 1));
  opens(explainReady(timing));
  const lobs = lobRamp(machine, place, 4, { reachM: 1.7, sideStepM: 0.5, strideM: 0.6 });
  expect(rampSentence(lobs)).toMatch(/side steps reach it; from [\d.]+ m back only crossover steps do/);
  expect(rampSentence(lobs.filter(({ how }) => how === 'stay'))).toContain('nobody has to go back');
  expect(rampSentence(lobs.filter(({ how }) => how === 'side steps'))).toContain('Side steps reach all');
});

test('over the net in words', () => {
  expect(netSentence(0, 0.3, 14)).toMatch(
    /nothing of the far side .*; at 14 m\/s the ball’s arc reaches 30\s%/,
  );
  expect(netSentence(0.4, 0, 8)).toMatch(/40\s% of the far side .*no arc lands in either/);
  const contact = { fromNetM: 4, sideM: 0, heightM: 2.2 };
  const hit = { ball: 'yellow', speedMps: 18, spinPerMin: -500 } as const;
  opens(explainStraight(courts.full, straightStretch(courts.full, contact, 0, 0), 2.2, 4));
  opens(explainStraight(courts.full, null, 0.8, 4));
  opens(explainFlown(flownStretch(courts.full, contact, hit, 0.1, 0), 18, -500));
  opens(explainFlown(null, 4, 500));
});

test('what if, in words', () => {
  const rows = [3, 0, 5, 2, 1, 4, 7, 0, 2, 3].map((hits) => ({ hits, missed: true }));
  let share = 0;
  const answer = answerRally(
    {
      logged: [{ setting: { setup, reach }, each: null, rows }],
      next: { setup, reach },
      tries: 5,
      aim: 6,
      seed: 1,
    },
    (done) => {
      expect(done).toBeGreaterThanOrEqual(share);
      share = done;
    },
  );
  expect(share).toBeCloseTo(1, 6);
  expect(answer.plain.rate).toBeCloseTo(27 / 37, 9);
  expect(rallySentence('Nessa', answer)).toMatch(
    /^Nessa’s best of 5 tries would be about \d+ \(\d+ to \d+\) in a row; 6 or more in/,
  );
  expect(sureness(answer)).toContain('From 10 rows with 10 misses in twelve weeks. Little data');
  expect(sureness({ ...answer, fit: { ...answer.fit, littleData: false, atEdge: true } })).toContain(
    'open there',
  );
  expect(estimateInWords({ value: 4, low: 4, high: 4 }, String)).toBe('4');
  opens(explainSpread(answer));
  opens(explainBest(answer));
});
