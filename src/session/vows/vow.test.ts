import fc from 'fast-check';
import { tally } from '@/core/counting/tally';
import { doseProblems } from '@/core/dose/limits';
import type { Dose } from '@/core/dose/dose';
import type { TouchEvent } from '@/core/counting/event';
import { plainBook } from '@/drills';
import { ulid } from 'ulid';
import { cardOf, firstName, mayChoose, plainDose, readingFor } from './card';
import { dayShare, doneShare, doseOn } from './done-share';
import { notAtHome, usualHome } from './home';
import { openHomeText, readHomeText, writeHomeText, type Reported } from './home-text';
import { reportOf } from './report';
import { daySizes, shareOf, usualDose } from './vow';

const steps = plainBook.drills.flatMap((drill) => drill.steps.map((step) => ({ drill, step })));
const nessa = { id: 'p', age: 9, name: 'Nessa Quillby', stage: 'orange' };
const attempt = (result: number | null, touches: number, drops = 0) => ({ result, touches, drops });

describe('sizes of a day', () => {
  test('every step of the catalogue has its usual dose among them, and each size is more than the one before', () => {
    for (const { drill, step } of steps) {
      const dose = usualDose(step, 9);
      const { sizes, usual } = daySizes(
        plainBook,
        nessa,
        [{ drillId: drill.id, stepId: step.id, dose, choices: [] }],
        [],
      );
      expect(sizes[usual]!.doses).toEqual([dose]);
      for (const [i, { doses, good, seconds }] of sizes.entries()) {
        expect(doses.flatMap(doseProblems)).toEqual([]);
        if (i > 0)
          expect(good + seconds).toBeGreaterThanOrEqual(sizes[i - 1]!.good + sizes[i - 1]!.seconds - 1e-6);
      }
    }
  });

  test('parts of a routine grow together, and their seconds add up', () => {
    const parts = ['palm-up-bounce/row-20', 'rim-roll/one-way-round'].map((name) => {
      const [drillId, stepId] = name.split('/') as [string, string];
      return { drillId, stepId, dose: usualDose(plainBook.step(drillId, stepId)!, 9), choices: [] };
    });
    const both = daySizes(plainBook, nessa, parts, []);
    const [one, other] = parts.map((part) => daySizes(plainBook, nessa, [part], []));
    expect(both.sizes[both.usual]!.seconds).toBeCloseTo(
      one!.sizes[one!.usual]!.seconds + other!.sizes[other!.usual]!.seconds,
    );
  });

  test('a share is of the same shape, and nobody’s clock is set to odd seconds', () => {
    const dose: Dose = { kind: 'row', target: 20, capS: 90 };
    expect(shareOf(dose, 1.1)).toEqual({ kind: 'row', target: 22, capS: 105 });
    expect(shareOf(dose, 4)).toEqual({ kind: 'row', target: 40, capS: 360 });
    expect(shareOf({ kind: 'reps', sets: 2, reps: 10, sides: 1, restS: 20 }, 3)).toEqual({
      kind: 'reps',
      sets: 4,
      reps: 15,
      sides: 1,
      restS: 20,
    });
  });
});

describe('the share of a dose that was done', () => {
  test.each<[Dose, ReturnType<typeof attempt>[], number]>([
    [{ kind: 'reps', sets: 2, reps: 10, sides: 1, restS: 0 }, [attempt(8, 8, 2)], 0.5],
    [{ kind: 'row', target: 20, capS: 60 }, [attempt(20, 20)], 1],
    [{ kind: 'row', target: 20, capS: 60 }, [attempt(9, 9, 1), attempt(19, 19, 1)], 0.5],
    [{ kind: 'row', target: 5, capS: 60 }, [attempt(3, 10, 6)], 1],
    [{ kind: 'timed', rounds: 3, workS: 20, restS: 0 }, [attempt(12, 12)], 1 / 3],
    [{ kind: 'hold', holds: 2, holdS: 10, sides: 2, restS: 0 }, [attempt(10, 1), attempt(4, 0, 1)], 0.5],
    [{ kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 0 }, [attempt(20, 4, 1)], 0.5],
    [{ kind: 'course', rounds: 2, laps: 2, restS: 0 }, [attempt(3, 3)], 0.75],
    [{ kind: 'growing', lines: 1, to: 4, restS: 0 }, [attempt(5, 5)], 0.5],
  ])('%j after %j', (dose, attempts, share) => expect(doneShare(dose, attempts)).toBeCloseTo(share));

  test('done as a whole is done; a day is the mean of its parts, and none stands in for another', () => {
    expect(doneShare({ kind: 'row', target: 20, capS: 60 }, [{ ...attempt(null, 20), whole: true }])).toBe(1);
    expect(dayShare([3, 0])).toBe(0.5);
    expect(dayShare([])).toBe(0);
  });

  test('the dose is that of the step the child chose', () => {
    const day = { stepId: 'a', dose: { kind: 'row', target: 9, capS: 60 } as Dose };
    const other: Dose = { kind: 'row', target: 4, capS: 60 };
    expect(doseOn(day, [{ stepId: 'b', dose: other }], 'b')).toBe(other);
    expect(doseOn(day, [], 'c')).toBe(day.dose);
  });
});

describe('a card', () => {
  const part = {
    drillId: 'palm-up-bounce',
    stepId: 'row-20',
    dose: usualDose(plainBook.step('palm-up-bounce', 'row-20')!, 9),
  };
  const vow = {
    parts: [{ ...part, choices: [] }],
    aim: { kind: 'mark' as const },
    weekdays: [1, 3],
    minutes: 5,
    growth: 0,
    atTime: null,
    alarm: false,
    byEar: false,
  };

  test('says the first name, the dose of its first day and what it grows to', () => {
    const days = [18, 22].map((target, i) => ({
      day: `2026-12-0${i + 1}`,
      doses: [{ kind: 'row', target, capS: 90 } as Dose],
    }));
    const card = cardOf(plainBook, nessa, vow, '2026-12-02', days)!;
    expect(card).toMatchObject({
      name: 'Nessa',
      reading: 'short',
      ball: 'orange',
      when: 'Mon, Wed, until Wed 2 Dec',
    });
    expect(card.parts[0]!.words).toBe('Get 18 in a row. Stop after 90 s, whatever it is. It grows to 22.');
    expect(card.parts[0]!.checkpoints).toHaveLength(2);
    expect(card.parts[0]!.at).toBe(2);
  });

  test('reads as its reader does: the small ones get few words, and the task stands on the helper’s side', () => {
    expect([5, 7, 8, 10, 11].map(readingFor)).toEqual(['few words', 'few words', 'short', 'short', 'full']);
    const small = cardOf(plainBook, { ...nessa, age: 5 }, vow, '2026-12-02', [])!.parts[0]!;
    expect([small.task, small.checkpoints.length]).toEqual(['', 1]);
    expect(small.helper.join(' ')).toContain(plainBook.step('palm-up-bounce', 'row-20')!.task);
  });

  test('every dose of the catalogue is said in a sentence with its numbers', () => {
    for (const { step } of steps)
      for (const dose of Object.values(step.doses))
        expect(plainDose(step, dose)).toMatch(/^\p{Lu}.*\d.*\.$/u);
  });

  test('a drill that is gone makes no card; a name is its first word', () => {
    expect(
      cardOf(plainBook, nessa, { ...vow, parts: [{ ...vow.parts[0]!, drillId: 'gone' }] }, '2026-12-02', []),
    ).toBeNull();
    expect(firstName('  Ana Maria Costa ')).toBe('Ana');
  });

  test('what may be chosen is counted and dosed the same way', () => {
    for (const { drill, step } of steps)
      for (const other of mayChoose(drill, step.id)) {
        expect(other.measure).toBe(step.measure);
        expect(other.doses['13-16'].kind).toBe(step.doses['13-16'].kind);
      }
  });
});

test('a home is asked as a place is: ceiling, room, wall, kit and who helps', () => {
  const why = (id: string, more = {}) =>
    notAtHome(plainBook.drill(id)!, { ...usualHome, ...more }, null).join('; ');
  expect(why('palm-up-bounce')).toBe('');
  expect(why('clap-and-catch')).toContain('it needs 4 m of clear height, and home has 2.4 m');
  expect(why('clap-and-catch', { ceilingM: null })).toBe('');
  const garage = {
    lengthM: 9,
    widthM: 6,
    ceilingM: 4,
    wallM: 5,
    kit: [...usualHome.kit, ['chalk', 1]] as const,
  };
  expect(why('racket-wall-rally', garage)).toBe('balls fly, and lamps or windows are in reach');
  expect(why('racket-wall-rally', { ...garage, lamps: false })).toBe('');
  expect(why('shadow-forehand', garage)).toBe('');
  expect(why('mirror', { helper: true, lengthM: 8, widthM: 8 })).not.toContain('players');
});

describe('the text a file gives back', () => {
  const key = '0f'.repeat(32);
  const reported = fc
    .record({
      kind: fc.constantFrom<Reported['kind']>('result', 'done', 'step', 'note'),
      attempt: fc.integer({ min: 1, max: 900 }),
      value: fc.option(fc.double({ min: 0, max: 9999, noNaN: true }), { nil: null }),
      text: fc.option(fc.string({ unit: 'grapheme', maxLength: 40 }), { nil: null }),
      atMs: fc.integer({ min: 0, max: 4e12 }),
      origin: fc.constantFrom(null, 'ear 1'),
    })
    .map((one): Reported => ({ ...one, id: ulid(), blockId: ulid() }));

  test('is read back as it was, whatever a messenger puts round it', () => {
    fc.assert(
      fc.property(fc.array(reported, { minLength: 1, maxLength: 20 }), fc.string(), (done, words) => {
        const before = words.replaceAll('VOWSTEP1', '');
        const pasted = `${before}\n${writeHomeText(ulid(), key, done).replaceAll('\n', ' \r\n')}\n> ${before.replace(/^[0-9a-f]+/, '')}`;
        const apart = openHomeText(pasted);
        if (!apart.ok) throw new Error(apart.problems[0]!.message);
        const read = readHomeText(apart.value, key);
        expect(read).toEqual({ ok: true, value: JSON.parse(JSON.stringify(done)) as unknown });
      }),
      { numRuns: 60 },
    );
  });

  test('one letter changed anywhere, and it is not taken', () => {
    const text = writeHomeText(ulid(), key, [
      {
        id: ulid(),
        blockId: ulid(),
        kind: 'result',
        attempt: 1,
        value: 17,
        text: null,
        atMs: 5,
        origin: null,
      },
    ]);
    for (let at = 0; at < text.length; at++) {
      if (text[at] === '\n') continue;
      const changed = text.slice(0, at) + (text[at] === 'b' ? 'c' : 'b') + text.slice(at + 1);
      const apart = openHomeText(changed);
      const taken = apart.ok && readHomeText(apart.value, key).ok;
      expect(taken).toBe(false);
    }
  });

  test('its signature is HMAC-SHA-256 (RFC 4231, test case 2: a key and data of known code)', async () => {
    const { hmac } = await import('@noble/hashes/hmac.js');
    const { sha256 } = await import('@noble/hashes/sha2.js');
    const code = hmac(sha256, Buffer.from('Jefe'), Buffer.from('what do ya want for nothing?'));
    expect(Buffer.from(code).toString('hex')).toBe(
      '5bdcc146bf60754e6a042426089575c75a003f089d2739839dec58b964ec3843',
    );
  });

  test('tells whole attempts: what they come to is what was counted', () => {
    let made = 0;
    const mark = (kind: TouchEvent['kind'], round: number): TouchEvent => ({
      // In the order made: identifiers of one millisecond would stand in any.
      id: String((made += 1)).padStart(26, '0'),
      blockId: 'b',
      playerId: 'p',
      kind,
      attempt: round,
      value: null,
      ref: null,
      atMs: 1,
      monoMs: 1,
      device: 'd',
    });
    const events = [...'xxx-xxxxx-xx'].map((one) => mark(one === 'x' ? 'touch' : 'drop', 1));
    const told = reportOf('b', events, 'row').map((one): TouchEvent => ({
      ...mark('result', one.attempt),
      ...one,
      kind: one.kind,
    }));
    const [counted, again] = [tally(events, 'row'), tally(told, 'row')];
    expect([again.best, again.touches, again.attempts.length]).toEqual([counted.best, counted.touches, 3]);
  });
});
