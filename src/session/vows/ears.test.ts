import { plainBook } from '@/drills';
import { earsOf, hearsVow, mayHear } from './ears';
import type { VowPart } from './vow';

const part = (drillId: string, stepId: string, ...choices: string[]): VowPart => {
  const doseOf = (id: string) => plainBook.step(drillId, id)!.doses['7-9'];
  return {
    drillId,
    stepId,
    dose: doseOf(stepId),
    choices: choices.map((id) => ({ stepId: id, dose: doseOf(id) })),
  };
};
const ears = (parts: readonly VowPart[], byEar = true) => earsOf(plainBook, { parts, byEar }, 'p');

test('a phone may hear what the coach allowed, step by step, and nothing of what makes no sound', () => {
  const parts = [part('palm-up-bounce', 'row-20', 'settle'), part('rim-roll', 'one-way-round')];
  const [bounces, roll] = ears(parts);
  expect(Object.keys(bounces!).sort()).toEqual(['row-20', 'settle']);
  expect(bounces!['row-20']).toMatchObject({
    hearing: { by: 'rows', counts: 'strings', ends: 'floor' },
    step: { measure: 'row' },
  });
  expect(roll).toEqual({});
  expect(hearsVow(plainBook, { parts }, 'p')).toBe(true);
  expect(hearsVow(plainBook, { parts: [parts[1]!] }, 'p')).toBe(false);
});

test('not allowed, it hears nothing at all', () => {
  const none = ears([part('palm-up-bounce', 'row-20')], false);
  expect(none).toEqual([{}]);
  expect(mayHear([{ ears: none }])).toBe(false);
  expect(mayHear([{ ears: none }, { ears: ears([part('palm-up-bounce', 'row-20')]) }])).toBe(true);
});

test('what is needed to keep it comes along: the claps of a step, the points of its grades', () => {
  const [claps, catches] = ears([part('clap-and-catch', 'three-claps'), part('quietest-ten', 'head-high')]);
  expect(claps!['three-claps']).toMatchObject({ hearing: { by: 'claps' }, step: { claps: 3 } });
  expect(catches!['head-high']!.hearing).toEqual({ by: 'catches' });
  expect(catches!['head-high']!.step.zones).toEqual(plainBook.step('quietest-ten', 'head-high')!.zones);
});
