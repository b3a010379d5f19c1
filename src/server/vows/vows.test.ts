import fc from 'fast-check';
import { sql } from 'drizzle-orm';
import { plainBook } from '@/drills';
import type { TouchEvent } from '@/core/counting/event';
import { usualHome } from '@/session/vows/home';
import { writeHomeText, type Reported } from '@/session/vows/home-text';
import { calendarFor } from '../plan/calendar';
import { evidenceOn } from '@/data/results';
import { daysOfVows } from '@/data/vows';
import { refreshAttempts } from '../court/results';
import { daysPlanned } from '../readers/ahead';
import { skillUntil } from '../readers/skill';
import { eraseForGood } from '../players/erase';
import { savePlayer } from '../players/squad';
import { ada, eventsOf, ids, problem, scratch, value } from '../testing/scratch';
import { homePage } from '../views/home';
import { playerView } from '../views/player';
import { todayView } from '../views/today';
import { playerVowsView, vowsView } from '../views/vows';
import { makeVowFile, takeOverText, undoText, weighText } from './files';
import { ingestFromHome, makeVowLink, withdrawVowLinks } from './links';
import {
  changeVow,
  endVow,
  makeVow,
  pauseVow,
  previewVow,
  removeVow,
  renewVow,
  resumeVow,
  saveHome,
  thankForVow,
} from './vows';

type Box = Awaited<ReturnType<typeof scratch>>;
const step = plainBook.step('palm-up-bounce', 'row-20')!;
const form = {
  parts: [
    {
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      dose: step.doses['10-12'],
      choices: [{ stepId: 'settle', dose: plainBook.step('palm-up-bounce', 'settle')!.doses['10-12'] }],
    },
  ],
  aim: { kind: 'habit' },
  weekdays: [1, 2, 3, 4, 5],
  minutes: 5,
  growth: 0,
  atTime: null,
  alarm: false,
  fromDay: '2026-11-24',
  untilDay: '2026-12-04',
};

const ownStep = plainBook.step('court-patterns', 'own-pattern')!;
const own = {
  drillId: 'court-patterns',
  stepId: 'own-pattern',
  dose: ownStep.doses['10-12'],
  choices: [],
};

let box: Box;
let playerId: string;
beforeEach(async () => {
  box = await scratch();
  playerId = value(await savePlayer(box.context, { ...ada, sure: true })).id;
});
afterEach(() => box.close());

const make = async (more: object = {}) =>
  value(await makeVow(box.context, playerId, { ...form, ...more })).id;
const on = (day: string) => ({ ...box.context, today: day, nowMs: Date.parse(`${day}T17:00:00Z`) });
const blockOn = async (vowId: string, day: string) =>
  (await daysOfVows(box.context.db, [vowId])).find((one) => one.day === day)!.blockId;

describe('making', () => {
  test('a vow is its days, and says what it comes to before it is one', async () => {
    const preview = value(await previewVow(box.context, playerId, form));
    expect(preview.days.map(({ day }) => day)).toEqual([
      ...['2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-30'],
      ...['2026-12-01', '2026-12-02', '2026-12-03', '2026-12-04'],
    ]);
    expect(
      preview.days.every(({ doses }) => JSON.stringify(doses) === JSON.stringify([step.doses['10-12']])),
    ).toBe(true);
    expect(await box.context.db.all(sql`select count(*) as n from vow`)).toEqual([{ n: 0 }]);
    const id = await make();
    const states = (await daysOfVows(box.context.db, [id])).map(({ day, state }) => [day, state]);
    expect(states.filter(([, state]) => state === 'asked')).toHaveLength(9);
    // The week-end in between can be done all the same.
    expect(states.filter(([, state]) => state === 'free').map(([day]) => day)).toEqual([
      '2026-11-28',
      '2026-11-29',
    ]);
    expect((await vowsView(box.context)).lines).toMatchObject([
      {
        id,
        name: 'Ada',
        title: 'Palm-up bounce',
        state: 'runs',
        daysLeft: 11,
        keeping: { kept: 0, asked: 0 },
      },
    ]);
  });

  test.each([
    [{ fromDay: '2026-11-20' }, 'fromDay: The first day is over'],
    [{ untilDay: '2026-11-23' }, 'untilDay: The last day lies before the first'],
    [{ untilDay: '2027-11-23' }, 'untilDay: It would last more than half a year'],
    [{ weekdays: [] }, 'weekdays: No day is ticked'],
    [{ weekdays: [7], untilDay: '2026-11-26' }, 'weekdays: None of the days you ticked lies between'],
    [{ minutes: 0 }, 'minutes: Minutes a day must be from 1 to 15'],
    [{ minutes: 400 }, 'minutes: Minutes a day must be from 1 to 15'],
    [{ parts: [{ ...form.parts[0], stepId: 'nowhere' }] }, 'A step is not on the ladder of Palm-up bounce'],
    [{ parts: [{ ...form.parts[0], drillId: 'no-drill' }] }, 'A drill is not on the list'],
    [{ parts: [form.parts[0], form.parts[0]] }, 'this step is in it twice'],
    [{ parts: [{ ...form.parts[0], strokes: 'fh corner, fh' }] }, 'this step has no strokes of its own'],
    [{ parts: [{ ...own, strokes: 'fh corner, fh crner' }] }, 'did you mean “corner”'],
    [
      {
        parts: [
          {
            drillId: 'mirror',
            stepId: 'follow-the-leader',
            dose: { kind: 'timed', rounds: 1, workS: 20, restS: 0 },
          },
        ],
      },
      'Mirror does not fit at home: it takes 2 players, and 1 is coming',
    ],
    [{ aim: { kind: 'reps', reps: 0 } }, 'aim: Good ones must be a whole number from 1 to 100000'],
    [{ aim: { kind: 'fame' } }, 'aim: What for must be one of the three'],
    [{ atTime: '25:00' }, 'atTime: Time must be a time, such as 17:00'],
  ])('%j is refused with the mend, and nothing is written', async (more, said) => {
    expect(problem(await makeVow(box.context, playerId, { ...form, ...more }))).toContain(said);
    expect(
      await box.context.db.all(sql`select (select count(*) from vow) + (select count(*) from vow_day) as n`),
    ).toEqual([{ n: 0 }]);
  });

  test('two vows on the same step: the second is refused, until the first is over', async () => {
    const id = await make();
    expect(problem(await makeVow(box.context, playerId, form))).toContain('promised already until Fri 4 Dec');
    value(await endVow(box.context, id, true));
    await make();
  });

  test('a wall in the quiet hours, and a home that has what it takes', async () => {
    const wall = plainBook.step('racket-wall-rally', 'one-and-trap')!;
    const rally = {
      parts: [{ drillId: 'racket-wall-rally', stepId: 'one-and-trap', dose: wall.doses['10-12'] }],
      atTime: '20:30',
    };
    expect(problem(await makeVow(box.context, playerId, { ...form, ...rally }))).toContain('home has none');
    const yard = {
      ...usualHome,
      lengthM: 9,
      widthM: 6,
      ceilingM: null,
      wallM: 4,
      lamps: false,
      quietFrom: '20:00',
      quietTo: '07:00',
    };
    const kit = [...usualHome.kit.map(([item, count]) => ({ item, count })), { item: 'chalk', count: 1 }];
    value(await saveHome(box.context, playerId, { ...yard, kit }));
    expect(problem(await makeVow(box.context, playerId, { ...form, ...rally }))).toContain(
      'from 20:00 to 07:00 it is to be quiet',
    );
    await make({ ...rally, atTime: '17:30' });
  });

  test('what cannot be done says which limit it is, and what can', async () => {
    const preview = value(
      await previewVow(box.context, playerId, { ...form, minutes: 1, aim: { kind: 'reps', reps: 4000 } }),
    );
    expect(preview.short!.text).toMatch(/of 4000 good ones until Fri 4 Dec: /);
    expect(preview.short!.mends.length).toBeGreaterThan(0);
    for (const mend of preview.short!.mends) {
      if (mend.kind !== 'until') continue;
      const later = { ...form, minutes: 1, aim: { kind: 'reps', reps: 4000 }, untilDay: mend.untilDay };
      expect(value(await previewVow(box.context, playerId, later)).short).toBeNull();
    }
  });

  test('an end that lies beyond the longest vow is not offered', async () => {
    // Mondays only, begun on a Tuesday: the 27th Monday lies 188 days after the first day, and 182 are the most.
    const mondays = { ...form, weekdays: [1], untilDay: '2026-12-21' };
    const untilOf = async (reps: number) => {
      const { short } = value(
        await previewVow(box.context, playerId, { ...mondays, aim: { kind: 'reps', reps } }),
      );
      return {
        text: short!.text,
        ends: short!.mends.flatMap((m) => (m.kind === 'until' ? [m.untilDay] : [])),
      };
    };
    const { text } = await untilOf(4000);
    const aMonday = Number(/^(\d+) of 4000/.exec(text)![1]) / 4;
    expect((await untilOf(Math.round(aMonday * 25.5))).ends).toEqual(['2027-05-24']);
    expect((await untilOf(Math.round(aMonday * 26.5))).ends).toEqual([]);
  });
});

describe('changing', () => {
  test('days that were counted stay what they were; the others are asked anew', async () => {
    const id = await make();
    const token = value(await makeVowLink(box.context, playerId)).token;
    const today = await blockOn(id, '2026-11-24');
    value(await ingestFromHome(box.context, token, { events: eventsOf('xxxx-', today, playerId, ids(2)) }));
    const changed = {
      ...form,
      weekdays: [2, 6],
      parts: [{ ...form.parts[0]!, stepId: 'settle', dose: form.parts[0]!.choices[0]!.dose }],
    };
    value(await changeVow(box.context, id, { ...changed, parts: [{ ...changed.parts[0]!, choices: [] }] }));
    const days = (await daysOfVows(box.context.db, [id])).filter(({ state }) => state === 'asked');
    expect(days.map(({ day, stepId }) => [day, stepId])).toEqual([
      ['2026-11-24', 'row-20'],
      ['2026-11-28', 'settle'],
      ['2026-12-01', 'settle'],
    ]);
    expect(days[0]!.blockId).toBe(today);
  });

  test('changed to another drill, what arrives late for a day before is still of the old one', async () => {
    const id = await make();
    const token = value(await makeVowLink(box.context, playerId)).token;
    const late = await blockOn(id, '2026-11-24');
    const roll = plainBook.step('rim-roll', 'one-way-round')!;
    const parts = [{ drillId: 'rim-roll', stepId: 'one-way-round', dose: roll.doses['10-12'], choices: [] }];
    const next = on('2026-11-25');
    value(await changeVow(next, id, { ...form, parts }));
    value(await ingestFromHome(next, token, { events: eventsOf('xxx-', late, playerId, ids(2)) }));
    await refreshAttempts(box.context.db);
    expect(await box.context.db.all(sql`select drill_id, step_id, day, result from attempt`)).toEqual([
      { drill_id: 'palm-up-bounce', step_id: 'row-20', day: '2026-11-24', result: 3 },
    ]);
    const page = await homePage(next, token);
    if ('kind' in page) throw new Error(page.kind);
    expect(page.vows[0]!.days.map(({ day }) => day)).not.toContain('2026-11-24');
    expect(page.vows[0]!.card.title).toBe('Rim roll');
    expect((await vowsView(next)).lines[0]).toMatchObject({ title: 'Rim roll', touches: 3 });
  });

  test('rests, goes on, is ended, goes on, is thanked for, taken away and brought back', async () => {
    const id = await make();
    const state = async () => (await vowsView(box.context)).lines.map((line) => line.state);
    value(await pauseVow(box.context, id, { from: '2026-11-24', until: null, why: 'A cold' }));
    expect(await state()).toEqual(['rests']);
    expect(problem(await pauseVow(box.context, id, { from: '2026-11-25', until: null }))).toContain(
      'It rests on that day already',
    );
    value(await resumeVow(box.context, id));
    expect(await state()).toEqual(['runs']);
    value(await endVow(box.context, id, true, { words: 'Too much' }));
    expect(await state()).toEqual(['ended']);
    expect(problem(await changeVow(box.context, id, form))).toContain('This vow was ended');
    value(await endVow(box.context, id, false));
    value(await thankForVow(box.context, id, { words: 'Well kept' }));
    expect((await vowsView(box.context)).lines).toMatchObject([{ state: 'runs', thanked: true }]);
    value(await removeVow(box.context, id, true));
    expect(await state()).toEqual([]);
    value(await removeVow(box.context, id, false));
    expect(await state()).toEqual(['runs']);
  });

  test('renewed once it is over, for as long as it was; smaller after three misses', async () => {
    const id = await make();
    expect(problem(await renewVow(box.context, id))).toContain('It runs until Fri 4 Dec');
    const late = on('2026-11-30');
    expect((await vowsView(late)).lines[0]!.keeping).toMatchObject({ missedNow: 4, offerSmaller: true });
    const smaller = value(await renewVow(late, id, true)).id;
    const lines = (await vowsView(late)).lines;
    expect(lines.map((line) => [line.id === smaller, line.state])).toEqual([
      [true, 'runs'],
      [false, 'ended'],
    ]);
    const [day] = await daysOfVows(late.db, [smaller]);
    const dose = JSON.parse(day!.dose) as { target: number; capS: number };
    expect(dose.capS).toBeLessThan((step.doses['10-12'] as { capS: number }).capS + 1);
    const over = on('2026-12-20');
    const again = value(await renewVow(over, smaller)).id;
    expect(await daysOfVows(over.db, [again])).not.toHaveLength(0);
  });
});

describe('what comes back', () => {
  const opened = async () => {
    const id = await make();
    const { token } = value(await makeVowLink(box.context, playerId, { name: 'Mum' }));
    return { id, token, block: await blockOn(id, '2026-11-24') };
  };
  const send = async (token: string, events: readonly TouchEvent[]) =>
    ingestFromHome(box.context, token, { events });

  test('counts are events of the same log, with where they are from and by whom', async () => {
    const { token, block, id } = await opened();
    const row = 'x'.repeat(22);
    value(await send(token, eventsOf(`${row}-xxx`, block, playerId, ids(2))));
    await refreshAttempts(box.context.db);
    expect(
      await box.context.db.all(sql`select result, home, day, touches, drops from attempt order by number`),
    ).toEqual([
      { result: 22, home: 1, day: '2026-11-24', touches: 22, drops: 1 },
      { result: 3, home: 1, day: '2026-11-24', touches: 3, drops: 0 },
    ]);
    const [event] = await box.context.db.all<{ by: string; device: string }>(
      sql`select by, device from touch_event where kind = 'drop'`,
    );
    expect(event).toMatchObject({
      by: 'Mum (home)',
      device: expect.stringMatching(/^home-[0-9a-f]{12}-test$/) as string,
    });
    expect((await vowsView(box.context)).lines).toMatchObject([
      { id, touches: 25, best: 22, keeping: { kept: 1, run: 1 } },
    ]);
    expect((await todayView(box.context)).fromHome).toMatchObject([{ name: 'Ada', days: 1, touches: 25 }]);
    // A session at home stands on no list of sessions.
    expect((await todayView(box.context)).last).toEqual([]);
  });

  test('gates count court days, unless the coach says otherwise; bests are marked apart, levels too', async () => {
    const { token, block } = await opened();
    value(await send(token, eventsOf(`${'x'.repeat(22)}-`, block, playerId, ids(2))));
    await refreshAttempts(box.context.db);
    const asked = {
      key: 'k',
      playerId,
      drillId: 'palm-up-bounce',
      stepId: 'row-20',
      gate: 20,
      lowerIsBetter: false,
      habit: false,
    };
    const shown = (homeCounts: boolean) =>
      evidenceOn(box.context.db, [{ ...asked, homeCounts }], { id: '', day: '2026-11-24' }, '2026-09-01');
    expect(await shown(false)).toMatchObject([{ best: null, reachedDays: 0 }]);
    expect(await shown(true)).toMatchObject([{ best: 22, reachedDays: 1 }]);
    expect((await playerView(box.context, playerId))!.bests).toMatchObject([{ best: null, homeBest: 22 }]);
    expect((await skillUntil(box.context.db, '2026-11-24')).levels).toMatchObject([{ condition: 'at home' }]);
  });

  test('any order and repetition of what comes from home gives the same log', async () => {
    const { token, block } = await opened();
    const all = eventsOf('xxxx-xxx-xxuxxxx-xx', block, playerId, ids(2));
    const attempts = async () => {
      await refreshAttempts(box.context.db);
      return box.context.db.all(sql`select number, result, touches, drops from attempt order by number`);
    };
    value(await send(token, all));
    const wanted = await attempts();
    await fc.assert(
      fc.asyncProperty(
        fc.shuffledSubarray(all, { minLength: all.length, maxLength: all.length }),
        fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 8 }),
        async (mixed, cuts) => {
          await box.context.db.run(sql`delete from attempt`);
          await box.context.db.run(sql`delete from touch_event where kind <> 'begun'`);
          let from = 0;
          for (const cut of [...cuts, all.length]) {
            const batch = mixed.slice(Math.max(0, from - 2), from + cut);
            // A correction waits on the device until what it corrects is there.
            const known = new Set(mixed.slice(0, from + cut).map((event) => event.id));
            const able = batch.filter(({ ref }) => ref === null || known.has(ref));
            if (able.length > 0) await send(token, able);
            from += cut;
          }
          value(await send(token, all));
          expect(await attempts()).toEqual(wanted);
        },
      ),
      { numRuns: 15 },
    );
  });

  test('a day that was not promised is kept as well, where it was done; it asks for nothing and no calendar has it', async () => {
    const { token, id } = await opened();
    const saturday = on('2026-11-28');
    const events = eventsOf(`${'x'.repeat(20)}-`, await blockOn(id, '2026-11-28'), playerId, ids(5));
    value(await ingestFromHome(saturday, token, { events }));
    await refreshAttempts(box.context.db);
    const [line] = (await vowsView(saturday)).lines;
    expect(line!.keeping).toMatchObject({ kept: 1, asked: 4, missed: 4 });
    expect(line!.strip.at(-1)).toMatchObject({ day: '2026-11-28', asked: false, share: 1 });
    expect((await calendarFor(saturday, token))!).not.toContain('20261128');
  });

  test('jumps are not offered on days that were not promised', async () => {
    const dose = plainBook.step('line-hops', 'side-to-side')!.doses['10-12'];
    const hops = { parts: [{ drillId: 'line-hops', stepId: 'side-to-side', dose, choices: [] }] };
    expect(value(await previewVow(box.context, playerId, { ...form, ...hops })).free).toEqual([]);
  });

  test('a withdrawn link is refused at once; so are others, strangers, steps and days that are not theirs', async () => {
    const { token, block, id } = await opened();
    const next = ids(3);
    const one = (more: Partial<TouchEvent> = {}) => [
      { ...eventsOf('x', block, playerId, next)[0]!, ...more },
    ];
    const other = value(await savePlayer(box.context, { ...ada, name: 'Bo', sure: true })).id;
    expect(problem(await send(token, one({ playerId: other })))).toContain('is about somebody else');
    expect(problem(await send(token, one({ blockId: box.context.newId() })))).toContain(
      'is of no vow of this child',
    );
    expect(problem(await send(token, one({ blockId: await blockOn(id, '2026-12-04') })))).toContain(
      'which has not come yet',
    );
    expect(problem(await send(token, one({ kind: 'step', text: 'row-50' })))).toContain(
      'outside the coach’s range',
    );
    expect(problem(await send(token, one({ kind: 'start', playerId: null })))).toContain('somebody else');
    expect(problem(await send(token, one({ kind: 'undo', ref: next(9) })))).toContain('was not made at home');
    value(await send(token, one({ kind: 'step', text: 'settle', value: 1 })));
    value(await endVow(box.context, id, true));
    const tomorrow = await blockOn(id, '2026-11-25');
    expect(problem(await send(token, one({ blockId: tomorrow })))).toContain('was ended on Tue 24 Nov');
    value(await send(token, one()));
    value(await withdrawVowLinks(box.context, playerId));
    expect(problem(await send(token, one()))).toContain('withdrawn by the coach');
    expect(await homePage(box.context, token)).toEqual({ kind: 'revoked' });
    expect(await homePage(box.context, 'x'.repeat(22))).toEqual({ kind: 'unknown' });
  });

  test('a family’s page carries one first name, and nothing else of the book', async () => {
    value(await savePlayer(box.context, { ...ada, name: 'Bo Otherwise', sure: true }));
    const { token } = await opened();
    const page = await homePage(box.context, token);
    if ('kind' in page) throw new Error(page.kind);
    expect(page.name).toBe('Ada');
    expect(page.vows).toHaveLength(1);
    const said = JSON.stringify(page);
    for (const word of ['Otherwise', 'Quiet arm', 'birth', '2016']) expect(said).not.toContain(word);
  });

  test('the step the child chose holds from then on, and the dose is that of it', async () => {
    const { token, block } = await opened();
    const next = ids(4);
    const [step1] = eventsOf('x', block, playerId, next);
    value(
      await send(token, [
        { ...step1!, kind: 'step', text: 'settle', value: 1 },
        ...eventsOf('xxxxx-', block, playerId, next, 5000),
      ]),
    );
    await refreshAttempts(box.context.db);
    expect(await box.context.db.all(sql`select step_id, result from attempt`)).toEqual([
      { step_id: 'settle', result: 5 },
    ]);
  });

  test('the calendar has every day, and strikes out what is not asked any more', async () => {
    const { token, id } = await opened();
    const before = (await calendarFor(box.context, token))!;
    expect(before.match(/BEGIN:VEVENT/g)).toHaveLength(9);
    expect(before).not.toContain('CANCELLED');
    expect(before).not.toContain('Ada');
    value(await pauseVow(box.context, id, { from: '2026-11-25', until: '2026-11-26', why: 'Holidays' }));
    const after = (await calendarFor(box.context, token))!;
    expect(after.match(/STATUS:CANCELLED/g)).toHaveLength(2);
    expect(after.match(/SEQUENCE:1/g)).toHaveLength(9);
  });

  test('a child removed for good leaves no vow, home, link or file', async () => {
    const { token, block } = await opened();
    value(await send(token, eventsOf('xx', block, playerId, ids(2))));
    value(await makeVowFile(box.context, playerId));
    value(await eraseForGood(box.context, playerId, { name: 'Ada' }));
    for (const table of ['vow', 'vow_day', 'home', 'vow_file', 'helper_link'])
      expect(await box.context.db.all(sql.raw(`select count(*) as n from ${table}`))).toEqual([{ n: 0 }]);
    expect(await homePage(box.context, token)).toEqual({ kind: 'unknown' });
  });
});

test('vow days are foreseen as days of a mark only where what is done at home shows one', async () => {
  await make();
  const planned = await daysPlanned(box.context.db, '2026-11-24');
  expect(planned(playerId, 'palm-up-bounce', false)).toEqual([]);
  expect(planned(playerId, 'palm-up-bounce', true)).toHaveLength(8);
  expect(planned(playerId, 'rim-roll', true)).toEqual([]);
});

describe('a text from a file', () => {
  const reported = async (id: string, more: Partial<Reported> = {}): Promise<Reported> => ({
    id: box.context.newId(),
    blockId: await blockOn(id, '2026-11-24'),
    kind: 'result',
    attempt: 1,
    value: 17,
    text: null,
    atMs: box.context.nowMs,
    origin: null,
    ...more,
  });
  const handedOut = async () => {
    const id = await make();
    const file = value(await makeVowFile(box.context, playerId));
    const text = writeHomeText(file.id, file.key, [await reported(id)]);
    return { id, file, text };
  };

  test('is looked at, taken over once, and adds nothing twice', async () => {
    const { text } = await handedOut();
    const wrapped = `Hello coach!\n${text}\nSee you`;
    expect(value(await weighText(box.context, wrapped))).toMatchObject({ name: 'Ada', marks: 1, fresh: 1 });
    expect(await box.context.db.all(sql`select count(*) as n from touch_event`)).toEqual([{ n: 0 }]);
    expect(value(await takeOverText(box.context, wrapped))).toMatchObject({ fresh: 1 });
    expect(value(await takeOverText(box.context, text))).toMatchObject({ fresh: 0 });
    expect(value(await weighText(box.context, text))).toMatchObject({ marks: 1, fresh: 0 });
    await refreshAttempts(box.context.db);
    expect(await box.context.db.all(sql`select result, reported, home from attempt`)).toEqual([
      { result: 17, reported: 1, home: 1 },
    ]);
    expect((await playerVowsView(box.context, playerId))!.lines).toMatchObject([{ best: 17, touches: 17 }]);
    const marks = await box.context.db.all<{ id: string }>(
      sql`select id from touch_event where kind = 'result'`,
    );
    expect(value(await undoText(box.context, [marks[0]!.id, 'nothing']))).toEqual({ undone: 1 });
    await refreshAttempts(box.context.db);
    expect(await box.context.db.all(sql`select count(*) as n from attempt`)).toEqual([{ n: 0 }]);
    expect(problem(await undoText(box.context, []))).toContain('Nothing of this text');
  });

  test('is refused with the reason where it is cut, changed, foreign, or of what is over', async () => {
    const { id, file, text } = await handedOut();
    const refused = async (pasted: string) => problem(await takeOverText(box.context, pasted));
    expect(await refused('Hello')).toContain('This is no text from a vow');
    expect(await refused('x'.repeat(200_000))).toContain('far longer than any');
    expect(await refused(text.slice(0, text.length - 12))).toContain('cut off');
    const at = Math.floor(text.length / 2);
    const changed = text.slice(0, at) + (text[at] === 'A' ? 'B' : 'A') + text.slice(at + 1);
    expect(await refused(changed)).toMatch(/changed on its way|cut off/);
    expect(await refused(writeHomeText(box.context.newId(), file.key, []))).toContain('another club');
    expect(await refused(writeHomeText(file.id, 'ab'.repeat(32), [await reported(id)]))).toContain(
      'changed on its way',
    );
    expect(await refused(writeHomeText(file.id, file.key, []))).toContain('Nothing was done yet');
    value(await endVow(box.context, id, true));
    const later = await reported(id, { blockId: await blockOn(id, '2026-11-25') });
    expect(await refused(writeHomeText(file.id, file.key, [later]))).toContain('was ended on Tue 24 Nov');
    value(await withdrawVowLinks(box.context, playerId));
    expect(await refused(text)).toContain('was withdrawn');
    expect(
      await box.context.db.all(sql`select count(*) as n from touch_event where kind <> 'begun'`),
    ).toEqual([{ n: 0 }]);
  });
});
