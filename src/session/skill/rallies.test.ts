import { apexS } from '@/core/court/calls/beat';
import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import { clapsS } from '@/core/ballistics/tap/toss';
import { wallSpread } from '@/core/ballistics/wall/spread';
import { reachOf } from '@/core/ballistics/wall/reach';
import { solveWall } from '@/core/ballistics/wall/solve';
import { fitOf } from '@/core/players/fit';
import { heightOf } from '@/core/players/growth';
import { setOutFor } from '@/core/calculators/rally/set-out';
import { settingOnCourt, type BlockSetting } from '@/core/calculators/setting';
import { settingInWords } from '@/core/calculators/setting-words';
import { catalogue, plainBook } from '@/drills';
import { alone, paceOn, settingFits } from '../base/pace';
import { feedsOf, usualTempo } from '../base/sound';

const child = {
  age: 12,
  sport: 'tennis',
  heightM: 1.5,
  reach: reachOf({ heightM: 1.5, strideM: 0.7, sideStepM: 0.6, contactM: 1 }),
} as const;
const rallies = catalogue.flatMap((drill) =>
  drill.steps.flatMap((step) =>
    step.rally ? [[`${drill.id} ${step.id}`, drill, step, step.rally] as const] : [],
  ),
);

test('steps that are rallies are there, most of the wall family', () => {
  expect(rallies.length).toBeGreaterThan(15);
  expect(new Set(rallies.map(([, drill]) => drill.family))).toEqual(new Set(['wall']));
});

test.each(rallies)('%s can be played as it is set out', (_name, drill, _step, rally) => {
  const tennis = drill.sports.includes('tennis');
  const out = setOutFor(
    { ...rally, ball: tennis ? 'green' : 'table tennis', floor: 'wood', wall: 'brick', ceilingM: null },
    { ...child, sport: tennis ? 'tennis' : 'table tennis' },
  );
  expect(out).not.toBeNull();
  const answer = solveWall(out!.setup);
  expect(answer.ok).toBe(true);
});

/** The ball of an age, as a stage; from memory: red to 8, orange, green, yellow. */
const stageAt = { 5: 'red', 8: 'orange', 11: 'green', 15: 'yellow' } as const;

describe.each([5, 8, 11, 15] as const)('at %d years, with the ball of that age', (age) => {
  const own = rallies.filter(
    ([, drill, , rally]) => !rally.each && drill.ages.from <= age && age <= drill.ages.to,
  );
  test.each(own)('%s is timed as the bench times it, or says why it is not', (_name, drill, step, rally) => {
    const sport = drill.sports.includes('tennis') ? 'tennis' : 'table tennis';
    const heightM = heightOf(age, null).valueM;
    const fit = fitOf({ age, sport, heightCm: null, racketIn: null });
    const reach = reachOf({
      heightM,
      strideM: fit.strideM.value,
      sideStepM: fit.sideStepM.value,
      contactM: fit.contactM.value,
    });
    const ball = sport === 'tennis' ? stageAt[age] : 'table tennis';
    const out = setOutFor(
      { ...rally, ball, floor: 'wood', wall: 'brick', ceilingM: null },
      { age, sport, heightM, reach },
    );
    const answer = out && solveWall(out.setup);
    // Over a whole table a five-year-old has no rally yet: the ladder gets there later.
    if (!out || !answer?.ok) return expect([age, step.id]).toEqual([5, 'table-lengthways']);
    const { hitsPerMin } = answer.solution;
    const range = wallSpread(out.setup, answer.solution).spread.hitsPerMin;
    const timed = 60 / step.perTouchS.value;
    const fits = Math.abs(timed - hitsPerMin) <= 2 * range;
    const said = `timed ${Math.round(timed)} a minute, the bench says ${Math.round(hitsPerMin)} ± ${range.toFixed(1)}`;
    const why = step.perTouchS.note?.startsWith('slower than the wall calculator: ') && timed < hitsPerMin;
    expect(fits || why ? 'the tempo is the bench’s' : said).toBe('the tempo is the bench’s');
  });
});

test('the racket wall rally is timed within the give or take of the bench', () => {
  const step = plainBook.step('racket-wall-rally', 'forehand-rally')!;
  const { setup } = setOutFor(
    { ...step.rally!, ball: 'yellow', floor: 'rough concrete', wall: 'brick', ceilingM: null },
    { ...child, heightM: 1.65 },
  )!;
  const answer = solveWall(setup);
  if (!answer.ok) throw new Error('no rally');
  const { hitsPerMin } = wallSpread(setup, answer.solution).spread;
  expect(Math.abs(60 / step.perTouchS.value - answer.solution.hitsPerMin)).toBeLessThan(2 * hitsPerMin);
});

test('tempos of bounces and times of tosses come from the toss and tap bench', () => {
  const bounce = plainBook.step('palm-up-bounce', 'row-20')!.perTouchS;
  expect(bounce.value).toBeCloseTo(tapping('yellow', 'strings', 0.37).periodS, 2);
  expect(bounce.note).toContain('37 cm');
  const claps = plainBook.drill('clap-and-catch')!.steps;
  const five = claps.find((step) => step.task.includes('five claps'))!.perTouchS;
  expect(five.value).toBeCloseTo(clapsS(5, 5) + 2, 9);
  expect(five.note).toContain('toss and tap calculator');
  // The vacuum formula of the calls agrees with the bench's flight to a few hundredths.
  expect(2 * apexS(0.37)).toBeCloseTo(bounce.value, 2);
});

test('a feeder can be set for the table tennis drills it feeds', () => {
  for (const id of ['table-tennis-machine-ball', 'table-tennis-many-ball'])
    expect(settingFits(plainBook.drill(id)!, { kind: 'feeder' })).toBe(true);
  expect(settingFits(plainBook.drill('table-tennis-push')!, { kind: 'feeder' })).toBe(false);
});

describe('a setting in a block', () => {
  const step = plainBook.step('racket-wall-rally', 'forehand-rally')!;
  const trap = plainBook.step('racket-wall-rally', 'three-and-trap')!;
  const drill = plainBook.drill('racket-wall-rally')!;
  const lobs = plainBook.drill('retreat-for-the-high-ball')!;
  const wall: BlockSetting = {
    kind: 'wall',
    shot: 'one bounce',
    ball: 'red',
    distanceM: 2.75,
    markM: 1.5,
    bandFromM: 0.6,
    bandToM: 3,
    hitsPerMin: 48,
  };
  const feeder: BlockSetting = {
    kind: 'feeder',
    name: '',
    machine: {
      ball: 'green',
      speedMps: 11,
      elevationDeg: 20,
      spinPerMin: 0,
      sideDeg: 0,
      intervalS: 4.5,
      scatterPercent: 3,
      scatterDeg: 1.5,
    },
    apexS: 0.5,
    bounceS: 1.1,
    contactS: 1.6,
  };
  const on = (setting: BlockSetting | null) => ({ changes: [], setting });

  test('makes the tempo of a rally; a trap keeps its own time', () => {
    expect(paceOn(drill, step, alone(9), undefined, on(wall)).perTouchS).toBe(1.25);
    expect(paceOn(drill, step, alone(9), undefined, on(null)).perTouchS).toBe(step.perTouchS.value);
    expect(paceOn(drill, trap, alone(9), undefined, on(wall)).perTouchS).toBe(trap.perTouchS.value);
    expect(usualTempo(step, wall)).toBe(48);
  });
  test('a feeder makes the time from ball to ball, and no beat', () => {
    const fed = lobs.steps.at(-1)!;
    expect(paceOn(lobs, fed, alone(9), undefined, on(feeder)).perTouchS).toBe(4.5);
    expect(usualTempo(fed, feeder)).toBeNull();
    expect(feedsOf(feeder)).toEqual({ intervalS: 4.5, apexS: 0.5, bounceS: 1.1 });
    expect([feedsOf(wall), feedsOf(null)]).toEqual([null, null]);
  });
  test('fits where there is a wall or a feed', () => {
    expect([settingFits(drill, wall), settingFits(drill, feeder)]).toEqual([true, false]);
    expect([settingFits(lobs, wall), settingFits(lobs, feeder)]).toEqual([false, true]);
  });
  test('is said in one line', () => {
    expect(settingInWords(wall)).toBe(
      '2.75 m from the wall, mark at 1.5 m (0.6 m to 3 m comes back), about 48 hits a minute, red ball',
    );
    expect(settingInWords(feeder)).toBe('Feeder: 11.0 m/s, 20° up, a ball every 4.5 s');
    expect([settingOnCourt(wall), settingOnCourt(feeder)]).toEqual([
      '2.75 m from the wall, mark 1.5 m',
      'a ball every 4.5 s',
    ]);
    expect(settingInWords({ ...feeder, name: 'Deep' })).toContain('Feeder “Deep”');
  });
});
