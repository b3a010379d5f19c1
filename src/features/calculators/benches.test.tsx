import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { plainBook, plainContents } from '@/drills';
import { answerRally } from '@/core/calculators/rally/job';
import type { WallSetting } from '@/core/calculators/setting';
import type { BenchesView, RallyView, RowGroup } from '@/server/views/benches';
import type { KnownPlace } from '@/server/views/facts';
import type { PlayerFacts } from '@/server/views/facts';
import { HouseProvider } from '@/ui/house';
import { benchChild, chosenChild, floorHere, placeOptions } from './child';
import { FeederBench } from './feeder/feeder-bench';
import { NetBench } from './net/net-bench';
import { nextSteps, rowsAt } from './rally/next-steps';
import { RallyAnswerView } from './rally/rally-answer';
import { RallyBench } from './rally/rally-bench';
import { TossBench } from './toss/toss-bench';
import { questions, settingsFor, tossQuestions } from './toss/toss-questions';
import { WallBench } from './wall/wall-bench';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }));
jest.mock('@/server/actions', () => ({}));

const nia: PlayerFacts = {
  id: 'nia',
  name: 'Nia Netherby',
  age: 9,
  sport: 'tennis',
  hand: 'left',
  stage: 'orange',
  focus: '',
  careNote: '',
  heightCm: 134,
  racketIn: 25,
};
const tam: PlayerFacts = { ...nia, id: 'tam', name: 'Tam Tarn', age: 13, sport: 'table tennis', stage: null };
const yard: KnownPlace = {
  id: 'yard',
  name: 'Yard',
  lengthM: 18,
  widthM: 12,
  ceilingM: null,
  surface: 'rough concrete',
  wallM: 9,
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
};
const setting: WallSetting = {
  kind: 'wall',
  shot: 'one bounce',
  ball: 'red',
  distanceM: 2.5,
  markM: 1.6,
  bandFromM: 0.6,
  bandToM: 3,
  hitsPerMin: 45,
};
const view: BenchesView = {
  players: [nia, tam],
  fits: { nia: { strideM: 0.7 } },
  places: [yard, { ...yard, id: 'garden', name: 'Garden', surface: 'grass', wallM: 0 }],
  sessions: [
    {
      id: 's',
      title: 'Thursday',
      day: '2026-11-26',
      placeId: 'yard',
      playerIds: ['nia'],
      blocks: [
        { id: 'bounce', drillId: 'palm-up-bounce', stepId: 'row-20', setting: null },
        { id: 'rally', drillId: 'racket-wall-rally', stepId: 'forehand-rally', setting },
      ],
    },
  ],
  feeders: [],
  takenOff: [],
};
const rows = (hits: readonly number[]) => hits.map((one) => ({ hits: one, missed: true }));
const group = (more: Partial<RowGroup>): RowGroup => ({
  drillId: 'racket-wall-rally',
  stepId: 'forehand-rally',
  ball: null,
  setting: null,
  placeId: 'yard',
  rows: rows([3, 1, 4]),
  ...more,
});
const drawn = (what: ReactElement) =>
  renderToStaticMarkup(<HouseProvider house={{ contents: plainContents, places: [] }}>{what}</HouseProvider>)
    .replaceAll('&#x27;', "'")
    .replaceAll(/<!-- -->/g, '');
const start = { playerId: 'nia', placeId: 'yard', blockId: '' };

describe('a child as the benches see them', () => {
  const child = benchChild(nia, view.fits);
  test('measured height, the ball of the stage, and the coach’s own numbers of the fit', () => {
    expect(child).toMatchObject({ heightM: 1.34, ball: 'orange', strideM: 0.7 });
    expect(child.reach.backM).toBe(0.7);
    expect(child.reach.highM).toBeCloseTo(1.34, 9);
  });
  test('nobody chosen is the first of the squad; an empty squad has a child of ten', () => {
    expect(chosenChild(view, '').id).toBe('nia');
    expect(chosenChild(view, 'tam').ball).toBe('table tennis');
    expect(chosenChild({ ...view, players: [] }, '')).toMatchObject({ age: 10, sport: 'tennis' });
  });
  test('a place has its floor; no place is a hard court', () => {
    expect([floorHere(yard), floorHere(view.places[1]), floorHere(undefined)]).toEqual([
      'rough concrete',
      'lawn',
      'court',
    ]);
    expect(placeOptions(view).map(({ value }) => value)).toEqual(['yard', 'garden', '']);
  });
});

describe('pages as they first come', () => {
  test('the wall: a sentence, a picture that says what it shows, and only blocks with a wall to write into', () => {
    const page = drawn(<WallBench view={view} start={start} />);
    expect(page).toMatch(
      /Stand 3 m from the wall, aim at the chalk line at 1\.4 m, about 4\d hits a minute\./,
    );
    expect(page).toContain('Side view to scale. From 3.00 m the ball flies to the wall at 1.40 m');
    expect(page).toContain('Racket wall rally, Forehand rally');
    expect(page).not.toContain('Palm-up bounce, ');
    expect(page).toContain('There now: 2.5 m from the wall');
    expect(page).toContain('working out the give or take');
  });
  test('a place without a wall is said', () => {
    expect(drawn(<WallBench view={view} start={{ ...start, placeId: 'garden' }} />)).toContain(
      'Garden has no wall that may be hit.',
    );
  });
  test('no plan ahead: what to do first', () => {
    expect(drawn(<WallBench view={{ ...view, sessions: [] }} start={start} />)).toContain(
      'No plan ahead has a block this could go into',
    );
  });
  test.each([
    ['toss and tap', <TossBench key="t" view={view} start={start} />, 'Bounce it 37 cm over the face'],
    ['feeder', <FeederBench key="f" view={view} start={start} />, 'in front of the player'],
    ['over the net', <NetBench key="n" view={view} start={start} />, 'of the far side'],
  ])('%s begins with its sentence', (_name, bench, words) => {
    const page = drawn(bench);
    expect(page).toContain(words);
    expect(page).not.toMatch(/NaN|undefined|Infinity/);
  });
  test('a player of table tennis gets a table, a bat and a ball of theirs', () => {
    const tossed = drawn(<TossBench view={view} start={{ ...start, playerId: 'tam' }} />);
    expect(tossed).toContain('bat with rubber');
    expect(drawn(<FeederBench view={view} start={{ ...start, playerId: 'tam' }} />)).toContain(
      'in front of the player',
    );
    expect(drawn(<NetBench view={view} start={{ playerId: 'tam' }} />)).toContain('The table from above');
  });
});

describe('every question of the toss and tap bench', () => {
  const child = benchChild(nia, {});
  test.each(questions)('%s has a sentence, a picture and numbers that open', (question) => {
    const worked = tossQuestions[question].work({
      child,
      ball: 'orange',
      face: 'strings',
      settings: settingsFor(child),
    });
    expect(worked.sentence).toMatch(/\d/);
    expect(worked.readings).toHaveLength(4);
    expect(worked.drawn.heightM).toBeGreaterThan(0);
    expect(worked.drawn.seconds[0]).toBeGreaterThan(0.1);
    for (const { value, explain } of worked.readings) {
      expect(value).toMatch(/\d/);
      if (explain) expect(explain().inputs.length).toBeGreaterThan(0);
    }
  });
});

describe('what would the next step do?', () => {
  const child = benchChild(nia, {});
  const standing = (stepId: string, groups: readonly RowGroup[] = [group({})]): RallyView => ({
    playerId: 'nia',
    groups,
    standsOn: { 'racket-wall-rally': stepId },
  });
  const nextOf = (stepId: string) => nextSteps(plainBook, child, standing(stepId)).next!.step.id;

  test('the next rally up the ladder; traps are skipped, and at the top it is the last one', () => {
    expect(nextOf('one-and-trap')).toBe('forehand-rally');
    expect(nextOf('three-and-trap')).toBe('forehand-rally');
    expect(nextOf('forehand-rally')).toBe('backhand-rally');
    expect(nextOf('count-25-s')).toBe('count-25-s');
  });
  test('only rallies of the player’s own sport are offered', () => {
    const { steps } = nextSteps(plainBook, benchChild(tam, {}), { ...standing('x', []), playerId: 'tam' });
    expect(steps.length).toBeGreaterThan(2);
    for (const { drill, step } of steps) {
      expect(drill.sports).toContain('table tennis');
      expect(step.rally).toBeDefined();
    }
  });
  test('rows stand where they were made: the step’s own way, or as a bench had set it out', () => {
    const plain = rowsAt(view, plainBook, child, group({}))!;
    expect(plain.setting.setup).toMatchObject({ distanceM: 3, ball: 'orange', floor: 'rough concrete' });
    expect(plain.each).toBeNull();
    const set = rowsAt(view, plainBook, child, group({ setting }))!;
    expect(set.setting.setup).toMatchObject({ distanceM: 2.5, ball: 'red' });
    // What was changed on court counts before both.
    expect(rowsAt(view, plainBook, child, group({ setting, ball: 'green' }))!.setting.setup.ball).toBe(
      'green',
    );
    expect(rowsAt(view, plainBook, child, group({ stepId: 'two-and-trap' }))!.each).toBe(2);
    expect(rowsAt(view, plainBook, child, group({ drillId: 'palm-up-bounce', stepId: 'row-20' }))).toBeNull();
  });
  test('the page asks its question, or says what to do first', () => {
    expect(drawn(<RallyBench view={view} rows={standing('three-and-trap')} playerId="nia" />)).toContain(
      'What would “Racket wall rally: Forehand rally” do to Nia Netherby?',
    );
    expect(drawn(<RallyBench view={view} rows={standing('one-and-trap', [])} playerId="nia" />)).toContain(
      'has no counted rows at a wall yet',
    );
  });
  test('an answer is a sentence, how sure it is, a chart in words, and why rallies end', () => {
    const logged = rowsAt(view, plainBook, child, group({ rows: rows([3, 0, 5, 2, 8, 1, 0, 4]) }))!;
    const answer = answerRally({ logged: [logged], next: logged.setting, tries: 5, aim: 6, seed: 2 });
    const page = drawn(<RallyAnswerView name="Nia" asked="There" answer={answer} />);
    expect(page).toContain('Nia’s best of 5 tries would be about');
    expect(page).toContain('From 8 rows with 8 misses in twelve weeks. Little data: the range is wide.');
    expect(page).toContain('How many good hits in a row: ');
    expect(page).toContain('twice bounced');
    expect(page).not.toMatch(/NaN|undefined/);
  });
});
