import { catalogue } from '@/drills';
import { bookContents, bookFor } from '../readers/book';
import { careHistory } from '../readers/care-history';
import { addToSession } from '../plan/add-to-session';
import { bundleOf, drillFile } from './drill-file';
import { groundOf } from '../readers/ground';
import { chooseSchool } from './teaching-styles';
import { overruleFit } from '../players/sizes';
import { removeDrill, saveDrill } from './own-drills';
import { removePlace, saveKit, savePlace } from '../venues/venues';
import { importDrills } from './import-drills';
import { ingestTouches } from '../court/ingest';
import { decide } from '../plan/decisions';
import { loadPlan, savePlan } from '../plan/sessions';
import { savePlayer } from '../players/squad';
import { placePlayer } from '../players/standing';
import { ada, eventsOf, ids, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { drillView, drillsView } from '../views/drills';
import { placesView } from '../views/places';
import { playerView } from '../views/player';
import { schoolsView } from '../views/schools';
import { sessionPlanView } from '../views/session-plan';
import { sessionReviewView } from '../views/session-review';
import { sessionRunView } from '../views/session-run';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const hall = {
  name: 'Hall',
  lengthM: 24,
  widthM: '7',
  ceilingM: '',
  surface: 'wood',
  wallM: 9,
  tables: 2,
  hazards: ['pillars or furniture'],
  quietFrom: '',
  quietTo: '',
};
const carry = catalogue.find((drill) => drill.id === 'carry')!;

describe('places', () => {
  test('saved, changed, taken off and put back; empty fields are none', async () => {
    const { id } = value(await savePlace(box.context, hall));
    expect((await placesView(box.context)).places).toMatchObject([
      { id, name: 'Hall', widthM: 7, ceilingM: null, hazards: ['pillars or furniture'], quietFrom: null },
    ]);
    value(await savePlace(box.context, { ...hall, ceilingM: 4.2 }, id));
    expect((await placesView(box.context)).places[0]!.ceilingM).toBe(4.2);
    value(await removePlace(box.context, id, true));
    expect((await placesView(box.context)).places).toEqual([]);
    value(await removePlace(box.context, id, false));
    expect((await placesView(box.context)).places).toHaveLength(1);
  });
  test.each([
    [{ name: ' ' }, 'name: Name is empty'],
    [{ lengthM: 'long' }, 'lengthM: Length must be a length'],
    [{ lengthM: 0 }, 'lengthM: Length must be from 1 to 200 m.'],
    [{ ceilingM: 1 }, 'ceilingM: Ceiling must be from 1.5 to 50 m.'],
    [{ surface: 'lava' }, 'surface: Surface must be one of the list.'],
    [{ hazards: ['dragons'] }, 'hazards[0]: Hazards: one of them is not on the list.'],
    [{ quietFrom: '13:00' }, 'quietTo: Quiet hours need both'],
    [{ quietFrom: '25:00', quietTo: '07:00' }, 'quietFrom: Quiet from must be a time'],
    [{ tables: -1 }, 'tables: Tables must be from 0 to 40.'],
  ])('%j is refused by name, and nothing is kept', async (change, message) => {
    expect(problem(await savePlace(box.context, { ...hall, ...change }))).toContain(message);
    expect((await placesView(box.context)).places).toEqual([]);
  });
  test('an unknown place cannot be changed or planned with', async () => {
    expect(problem(await savePlace(box.context, hall, 'x'))).toContain('not on the list');
    const { sessionId, plan } = await oneBlockSession(box.context);
    const gone = { ...plan, placeId: '01ARZ3NDEKTSV4RRFFQ69G5FAV' };
    expect(problem(await savePlan(box.context, sessionId, gone))).toContain(
      'placeId: Place is not on the list',
    );
  });
  test('a session is called by its place’s name', async () => {
    const { id } = value(await savePlace(box.context, hall));
    const { sessionId, plan } = await oneBlockSession(box.context);
    value(await savePlan(box.context, sessionId, { ...plan, placeId: id, airC: '28' }));
    const { session, grounds } = (await sessionPlanView(box.context, sessionId))!;
    expect(session).toMatchObject({ placeName: 'Hall', placeId: id, airC: 28 });
    expect(grounds).toHaveLength(1);
  });
});

test('kit: counted, taken off, refused by name; nothing counted means all is there', async () => {
  const at = async (item: string) => (await groundOf(box.context.db))(null).atHand(item);
  expect(await at('racket')).toBe(Infinity);
  value(await saveKit(box.context, { racket: '6', ball: 20 }));
  expect([await at('racket'), await at('ball'), await at('marker')]).toEqual([6, 20, 0]);
  value(await saveKit(box.context, { racket: '' }));
  expect(await at('racket')).toBe(0);
  expect(problem(await saveKit(box.context, { ball: -1 }))).toContain('ball: ball must be from 0 to 999.');
  expect(problem(await saveKit(box.context, { unicorn: 1 }))).toContain('not on the kit list');
  expect(await at('ball')).toBe(20);
});

describe('own drills', () => {
  test('written, found in the book, changed, taken off the list and put back', async () => {
    const { id } = value(await saveDrill(box.context, { ...carry, title: 'Our carry' }));
    expect(id).toMatch(/^own-/);
    expect((await bookFor(box.context.db)).drill(id)).toMatchObject({
      id,
      title: 'Our carry',
      steps: carry.steps,
    });
    value(await saveDrill(box.context, { ...carry, title: 'Our best carry' }, id));
    value(await removeDrill(box.context, id, true));
    const book = await bookFor(box.context.db);
    expect(book.drill(id)?.title).toBe('Our best carry');
    expect(book.drills.some((drill) => drill.id === id)).toBe(false);
    value(await removeDrill(box.context, id, false));
    expect((await bookContents(box.context.db)).retired).toEqual([]);
    expect(problem(await saveDrill(box.context, carry, 'carry'))).toContain('not one of your own');
  });

  test.each<[string, object, string]>([
    ['no title', { title: '' }, 'title: Title is empty'],
    ['no steps', { steps: [] }, 'steps: Steps: write at least one.'],
    ['one checkpoint', { checkpoints: ['One only.'] }, 'checkpoints: Checkpoints: write two to five.'],
    [
      'unknown kit',
      { kit: [{ item: 'unicorn', count: 1, per: 'player', standIns: [] }] },
      'kit[0].item: Kit “unicorn” is not on the kit list',
    ],
    ['ages turned round', { ages: { from: 12, to: 6 } }, 'ages.to: To age must not be under from age.'],
    ['too many at once', { players: { min: 4, max: 2 } }, 'players.max: Players at once must not be under'],
    ['an unknown card', { cards: ['ace'] }, 'cards[0]: Card: there is no such starting point.'],
    [
      'a wrong dose',
      {
        steps: [
          {
            ...carry.steps[0]!,
            doses: {
              ...carry.steps[0]!.doses,
              '4-6': { kind: 'reps', sets: 0, reps: 1, sides: 1, restS: 0 },
            },
          },
        ],
      },
      'Dose for 4 to 6: Sets must be a whole number from 1 to 20.',
    ],
    [
      'mixed doses',
      {
        steps: [
          {
            ...carry.steps[0]!,
            doses: { ...carry.steps[0]!.doses, '4-6': { kind: 'row', target: 1, capS: 60 } },
          },
        ],
      },
      'all four doses must be of one kind',
    ],
    [
      'a dose that cannot be counted',
      { steps: [{ ...carry.steps[0]!, measure: 'hold' }] },
      'hold is counted under a dose of hold',
    ],
    [
      'points without zones',
      { steps: [{ ...carry.steps[0]!, measure: 'grade' }] },
      'points and grades need zones',
    ],
    ['the same step twice', { steps: [carry.steps[0]!, carry.steps[0]!] }, 'two steps have the same id'],
    [
      'an order that leaves steps out',
      { orders: { 'swing first': ['walk'], 'feet first': ['walk'], usual: 'feet first', why: 'So.' } },
      'must name every step once',
    ],
  ])('%s is refused by name', async (_name, change, message) => {
    expect(problem(await saveDrill(box.context, { ...carry, ...change }))).toContain(message);
    expect((await bookContents(box.context.db)).own).toEqual([]);
  });

  test('out as a file and in again: the same drill, and put back in its place', async () => {
    const { id } = value(await saveDrill(box.context, { ...carry, title: 'Our carry' }));
    const file = (await drillFile(box.context, id))!;
    expect(file.name).toBe(`vow-step-${id}.json`);
    value(await removeDrill(box.context, id, true));
    const { ids: back } = value(await importDrills(box.context, JSON.parse(file.text)));
    expect(back).toEqual([id]);
    const { own, retired } = await bookContents(box.context.db);
    expect(own).toEqual([{ ...carry, id, title: 'Our carry' }]);
    expect(retired).toEqual([]);
  });

  test('the whole catalogue out and in: every drill becomes one’s own', async () => {
    const file = (await drillFile(box.context, null))!;
    const changed = file.text.replaceAll(
      /"title": "(.*?)",\n( +)"family"/g,
      '"title": "Our $1",\n$2"family"',
    );
    const progress: number[] = [];
    const { ids: taken, same } = value(
      await importDrills(box.context, JSON.parse(changed), { onChecked: (n) => progress.push(n) }),
    );
    expect(same).toBe(0);
    expect(progress).toEqual(catalogue.map((_, n) => n + 1));
    expect(taken).toHaveLength(catalogue.length);
    const { own } = await bookContents(box.context.db);
    expect(own.map(({ id: _id, ...drill }) => drill)).toEqual(
      catalogue.map(({ id: _id, ...drill }) => ({ ...drill, title: `Our ${drill.title}` })),
    );
    expect(await drillFile(box.context, 'nowhere')).toBeNull();
  });

  test('what is here already is passed over; what was taken off the list comes back', async () => {
    const file = JSON.parse((await drillFile(box.context, null))!.text) as unknown;
    expect(value(await importDrills(box.context, file))).toEqual({ ids: [], same: catalogue.length });
    const { id } = value(await saveDrill(box.context, { ...carry, title: 'Our carry' }));
    const own = JSON.parse((await drillFile(box.context, id))!.text) as unknown;
    expect(value(await importDrills(box.context, own))).toEqual({ ids: [], same: 1 });
    value(await removeDrill(box.context, id, true));
    expect(value(await importDrills(box.context, own))).toEqual({ ids: [id], same: 0 });
    // The same drill twice in one file is brought in once.
    const twice = bundleOf([carry, carry].map((drill) => ({ ...drill, title: 'Carry it on' })));
    expect(value(await importDrills(box.context, twice))).toMatchObject({
      ids: [expect.any(String)],
      same: 1,
    });
  });

  test('an import that was left brings nothing in', async () => {
    const gone = new AbortController();
    const drills = [carry, carry, carry].map((drill, n) => ({ ...drill, title: `Carry ${n}` }));
    const left = importDrills(box.context, bundleOf(drills), {
      onChecked: (n) => n === 2 && gone.abort(),
      signal: gone.signal,
    });
    expect(problem(await left)).toContain('Nothing was brought in');
    expect((await bookContents(box.context.db)).own).toEqual([]);
  });

  test.each<[string, unknown, string]>([
    ['nothing', null, 'format: Format is missing'],
    [
      'another kind',
      { format: 'other', version: 2, drills: [carry] },
      'format: Format must be vowstep-catalogue',
    ],
    ['an older version', { ...bundleOf([carry]), version: 1 }, 'version: Version must be 2.'],
    ['no drills', bundleOf([]), 'drills: Drills are missing'],
    [
      'one bad drill of two',
      bundleOf([carry, { ...carry, purpose: '' }]),
      'Drill 2 (Carry): Purpose is empty',
    ],
  ])('a file of %s is refused whole', async (_name, file, message) => {
    expect(problem(await importDrills(box.context, file))).toContain(message);
    expect((await bookContents(box.context.db)).own).toEqual([]);
  });
});

describe('an own drill that is in use', () => {
  test('keeps the steps that stand in a plan, as they are counted and dosed; all else may change', async () => {
    const { id } = value(await saveDrill(box.context, { ...carry, title: 'Our carry' }));
    const { sessionId } = await oneBlockSession(box.context);
    value(await addToSession(box.context, sessionId, id));
    const own = (await bookFor(box.context.db)).drill(id)!;
    const save = (steps: readonly unknown[]) => saveDrill(box.context, { ...own, steps }, id);
    const [first, ...others] = own.steps;
    expect(problem(await save(others))).toContain(
      'steps: Step “Balance on the spot” is in a plan or has counts',
    );
    const other = {
      ...first!,
      measure: 'row',
      doses: catalogue.find((drill) => drill.id === 'rim-roll')!.steps[0]!.doses,
    };
    expect(problem(await save([other, ...others]))).toContain('keep it, measured and dosed the same way');
    expect(problem(await importDrills(box.context, bundleOf([{ ...own, steps: others }])))).toContain(
      'is in a plan',
    );
    value(await save([{ ...first!, title: 'Stand like a statue' }, ...others.slice(1)]));
    expect((await bookFor(box.context.db)).drill(id)!.steps).toHaveLength(own.steps.length - 1);
  });
});

describe('schools and fit', () => {
  test('chosen for a coach, a drill, a player; given back; refused by name', async () => {
    const { id } = value(await savePlayer(box.context, ada));
    const choose = (choice: object) =>
      chooseSchool(box.context, { scope: 'coach', key: '', question: 'backhand', ...choice });
    value(await choose({ answer: 'one hand' }));
    value(await choose({ scope: 'player', key: id, answer: 'two hands' }));
    const book = await bookFor(box.context.db);
    expect(book.drill('shadow-backhand')!.hold).toBe('one-hand backhand');
    expect(book.drill('shadow-backhand', id)!.hold).toBe('two-hand backhand');
    value(await choose({ answer: null }));
    expect((await bookFor(box.context.db)).drill('shadow-backhand')!.hold).toBe('two-hand backhand');
    expect(problem(await choose({ answer: 'three hands' }))).toContain(
      'Backhand must be one of: two hands, one hand.',
    );
    expect(problem(await choose({ question: 'lunch', answer: 'soup' }))).toContain('no such question');
    expect(problem(await choose({ scope: 'player', key: 'nobody', answer: 'one hand' }))).toContain(
      'not on record',
    );
    expect(problem(await choose({ scope: 'drill', key: 'nowhere', answer: 'one hand' }))).toContain(
      'not on the list',
    );
    value(await choose({ scope: 'drill', key: 'shadow-backhand', answer: 'one hand' }));
  });

  test('a coach’s own number stands until it is taken back', async () => {
    const { id } = value(await savePlayer(box.context, ada));
    const fit = async () => (await playerView(box.context, id))!.fit;
    value(await overruleFit(box.context, id, { key: 'hoopM', value: '2.4' }));
    expect(await fit()).toEqual({ hoopM: 2.4 });
    expect(problem(await overruleFit(box.context, id, { key: 'hoopM', value: 9 }))).toContain(
      'from 1.2 to 4.5',
    );
    expect(problem(await overruleFit(box.context, id, { key: 'mood', value: 9 }))).toContain(
      'no such number',
    );
    value(await overruleFit(box.context, id, { key: 'hoopM', value: '' }));
    expect(await fit()).toEqual({});
    expect(problem(await overruleFit(box.context, 'nobody', { key: 'hoopM', value: 2 }))).toContain(
      'not on record',
    );
  });

  test('coaches are those who stand on sessions', async () => {
    const { sessionId, plan } = await oneBlockSession(box.context);
    expect((await schoolsView(box.context)).coaches).toEqual([]);
    value(await savePlan(box.context, sessionId, { ...plan, coach: 'Ferrow' }));
    expect(await schoolsView(box.context)).toMatchObject({
      coaches: ['Ferrow'],
      players: [{ name: 'Ada' }, { name: 'Bo' }],
    });
  });
});

describe('each player on their own step', () => {
  const ownPlan = async (more: object = {}) => {
    const made = await oneBlockSession(box.context);
    const [first, second] = made.playerIds as [string, string];
    const own = [{ playerId: second, stepId: 'row-50', amount: 30, out: false, ...more }];
    const plan = { ...made.plan, blocks: [{ ...made.block, own }] };
    value(await savePlan(box.context, made.sessionId, plan));
    return { ...made, first, second, plan: { ...plan, revision: 3 } };
  };
  const next = ids(7);
  const touch = async (blockId: string, playerId: string, marks: string) =>
    value(await ingestTouches(box.context, { events: eventsOf(marks, blockId, playerId, next) }));

  test('it is kept with the plan, counted, judged and decided on that step', async () => {
    const { sessionId, block, first, second, plan } = await ownPlan();
    expect(value(await loadPlan(box.context, sessionId))).toEqual(plan);
    await touch(block.id, first, 'xxx');
    await touch(block.id, second, 'xxxxx');
    const review = (await sessionReviewView(box.context, sessionId))!;
    expect(review.blocks[0]!.lines.map((line) => [line.playerId, line.stepId, line.tally.best])).toEqual([
      [first, 'row-20', 3],
      [second, 'row-50', 5],
    ]);
    value(await decide(box.context, [{ blockId: block.id, playerId: second, verdict: 'back', target: 20 }]));
    const { standing } = (await drillView(box.context, 'palm-up-bounce'))!;
    expect(standing).toEqual([{ playerId: second, stepId: 'row-20', target: 20 }]);
    const run = (await sessionRunView(box.context, sessionId))!;
    expect(run.blocks[0]).toMatchObject({ turns: 1, own: [{ playerId: second, stepId: 'row-50' }] });
  });

  test('counts stay with the step they were made on: neither step nor sitting out can change under them', async () => {
    const { sessionId, block, second, plan } = await ownPlan();
    await touch(block.id, second, 'xx');
    const with2 = (own: object) => ({
      ...plan,
      blocks: [{ ...block, own: [{ ...plan.blocks[0]!.own[0]!, ...own }] }],
    });
    expect(problem(await savePlan(box.context, sessionId, with2({ stepId: 'row-20' })))).toContain(
      'counts stay with the step',
    );
    expect(problem(await savePlan(box.context, sessionId, with2({ out: true })))).toContain(
      'they sit it out now',
    );
    value(await savePlan(box.context, sessionId, with2({ amount: 12 })));
  });

  test('who sits it out is not on court', async () => {
    const { sessionId, first } = await ownPlan({ out: true });
    expect(
      (await sessionRunView(box.context, sessionId))!.blocks[0]!.players.map((one) => one.playerId),
    ).toEqual([first]);
  });

  test('what is counted under an easing is kept as touches, and judged as nothing', async () => {
    const { sessionId, block, playerIds, plan } = await oneBlockSession(box.context);
    value(
      await savePlan(box.context, sessionId, { ...plan, blocks: [{ ...block, changes: ['bigger ball'] }] }),
    );
    await touch(block.id, playerIds[0]!, 'x'.repeat(25));
    const [line] = (await sessionReviewView(box.context, sessionId))!.blocks[0]!.lines;
    expect(line).toMatchObject({
      tally: { best: 25, touches: 25 },
      schools: { byDefault: { verdict: 'hold' } },
    });
  });
});

test('a drill goes to the end of a session, each on their own step', async () => {
  const { sessionId } = await oneBlockSession(box.context);
  value(await addToSession(box.context, sessionId, 'ring-target'));
  const { blocks, revision } = value(await loadPlan(box.context, sessionId));
  expect(blocks.map((block) => block.drillId)).toEqual(['palm-up-bounce', 'ring-target']);
  expect(blocks[1]!.own).toHaveLength(2);
  expect(revision).toBe(3);
  expect(problem(await addToSession(box.context, sessionId, 'nowhere'))).toContain('not on the list');
  expect(problem(await addToSession(box.context, 'nowhere', 'carry'))).toContain('not on record');
});

test('the days before: the week’s load, and how long ago a limited step was done', async () => {
  const { sessionId, block, playerIds, plan } = await oneBlockSession(box.context);
  const hops = { ...block, id: box.context.newId(), drillId: 'line-hops', stepId: 'side-to-side', own: [] };
  const dose = { kind: 'reps', sets: 1, reps: 20, sides: 1, restS: 0 } as const;
  const heavy = { ...hops, id: box.context.newId(), drillId: 'fast-hand', stepId: 'heavy-balls', dose };
  value(await savePlan(box.context, sessionId, { ...plan, blocks: [{ ...hops, dose }, heavy] }));
  const next = ids(9);
  for (const one of [hops, heavy])
    value(await ingestTouches(box.context, { events: eventsOf('xxx-', one.id, playerIds[0]!, next) }));
  await sessionReviewView(box.context, sessionId);
  const book = await bookFor(box.context.db);
  const history = await careHistory(box.context.db, book, playerIds, { day: '2026-11-27', id: null });
  expect(history[playerIds[0]!]).toMatchObject({
    weekLoad: { contacts: 4, tries: 8 },
    lastDone: { 'fast-hand heavy-balls': 3 },
  });
  expect(history[playerIds[1]!]).toMatchObject({ weekLoad: { tries: 0 }, lastDone: {} });
  // The same day's other sessions are part of it: what was counted, and what is only planned.
  const sameDay = { day: '2026-11-24', id: null };
  const today = await careHistory(box.context.db, book, playerIds, sameDay);
  expect(today[playerIds[0]!]).toMatchObject({
    dayLoad: { contacts: 4, tries: 8 },
    lastDone: { 'fast-hand heavy-balls': 0 },
  });
  const own = await careHistory(box.context.db, book, playerIds, { ...sameDay, id: sessionId });
  expect(own[playerIds[0]!]).toMatchObject({ dayLoad: { tries: 0 }, weekLoad: { tries: 0 }, lastDone: {} });
  const planned = await oneBlockSession(box.context);
  const besides = await careHistory(box.context.db, book, planned.playerIds, sameDay);
  expect(besides[planned.playerIds[0]!]!.dayLoad.tries).toBeGreaterThan(10);
  const later = await careHistory(box.context.db, book, playerIds, { day: '2026-12-10', id: null });
  expect(later[playerIds[0]!]).toMatchObject({
    weekLoad: { tries: 0 },
    lastDone: { 'fast-hand heavy-balls': 16 },
  });
});

test('the list and the page of a drill know the places, the kit and the squad', async () => {
  const { id } = value(await savePlayer(box.context, ada));
  value(await savePlace(box.context, hall));
  expect(await drillsView(box.context)).toMatchObject({
    grounds: [{ name: 'Hall' }],
    squad: [{ id, age: 10 }],
  });
  expect(await drillView(box.context, 'nowhere')).toBeNull();
  expect(await drillView(box.context, 'carry')).toMatchObject({ own: false, standing: [], sessions: [] });
});

test('a player is put on a step by the coach, and taken off it again', async () => {
  const { id } = value(await savePlayer(box.context, ada));
  const put = (stepId: string | null) =>
    placePlayer(box.context, { playerId: id, drillId: 'palm-up-bounce', stepId });
  expect(value(await put('row-20'))).toEqual({ before: null });
  expect(value(await put('row-50'))).toEqual({ before: 'row-20' });
  // The mark of the step under the dose of ten years.
  expect((await drillView(box.context, 'palm-up-bounce'))!.standing).toEqual([
    { playerId: id, stepId: 'row-50', target: 50 },
  ]);
  expect(value(await put(null))).toEqual({ before: 'row-50' });
  expect((await drillView(box.context, 'palm-up-bounce'))!.standing).toEqual([]);
  expect(problem(await put('gone'))).toContain('stepId: This step is not on the ladder');
  expect(
    problem(await placePlayer(box.context, { playerId: 'nobody', drillId: 'carry', stepId: 'walk' })),
  ).toContain('not on record');
  expect(problem(await placePlayer(box.context, 7))).toContain('Player is missing');
});
