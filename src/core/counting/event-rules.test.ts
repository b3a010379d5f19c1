import { answersByCall } from '../court/calls/answers';
import { blockClock } from '../court/block-clock';
import { conditionsNow } from './conditions';
import { eventKinds, kindsWhere, ruleOf, type EventKind, type TouchEvent } from './event';
import { tally } from './tally';
import { wordless } from './text-of';

/*
 * What hangs together between the answers of one kind. Which kinds there are, and what each means, is said once, in the rules.
 */

test.each(eventKinds)('%s answers its questions without contradiction', (kind) => {
  const rule = ruleOf(kind);
  // Only counts are counted, only clock events and decisions on time move the clock.
  expect(rule.count !== null).toBe(rule.group === 'count');
  if (rule.clock) expect(['clock', 'court']).toContain(rule.group);
  // What is for one player cannot be for all stations, nor shown to a helper as the block's.
  if (rule.isFor === 'player') expect([rule.forAllStations, rule.helperSeesOfBlock]).toEqual([false, false]);
  if (rule.isFor === 'block') expect(rule.helperSeesOfPlayer).toBe('none');
  // A helper sees what a helper may log, but for answers, which are shown beside the entry they are about.
  if (rule.alsoLoggedBy.some((who) => who === 'helper') && kind !== 'beside')
    expect(rule.helperSeesOfPlayer).not.toBe('none');
  // A count means nothing without the step it was made on.
  if (rule.count || rule.group === 'adjust') expect([rule.underPlan, rule.beginsBlock]).toEqual([true, true]);
});

test('a helper and a child at home log counts and what belongs to them, and never the clock or the plan', () => {
  for (const who of ['helper', 'home'] as const) {
    const kinds = [...kindsWhere(({ alsoLoggedBy }) => alsoLoggedBy.includes(who))];
    expect(kinds).toEqual(expect.arrayContaining(['touch', 'drop', 'result', 'note', 'undo', 'fix']));
    expect(
      kinds.filter((kind) => ['clock', 'court', 'record'].includes(ruleOf(kind as 'touch').group)),
    ).toEqual([]);
    expect(kinds.includes('step')).toBe(who === 'home');
  }
});

test('Undo leaves the clock and the record of a block alone, and names all else', () => {
  const unnamed = [...kindsWhere(({ undoName }) => undoName === null)];
  expect(unnamed).toEqual(['start', 'pause', 'end', 'begun', 'correct', 'undo']);
});

test('what is written about a child is seen by no helper but its writer', () => {
  const seen = [
    ...kindsWhere(({ text, helperSeesOfPlayer }) => text === 'words' && helperSeesOfPlayer === 'all'),
  ];
  expect(seen).toEqual([]);
});

test('a kind of a newer version counts nothing, moves no clock, and stops nothing that reads the log', () => {
  const event = (n: number, kind: string, playerId: string | null = 'p'): TouchEvent => ({
    id: String(n),
    blockId: 'b',
    playerId,
    kind: kind as EventKind,
    attempt: 1,
    value: 1,
    ref: null,
    text: 'left',
    atMs: 1000 * n,
    monoMs: 0,
    device: 'd',
  });
  for (const kind of ['spin', 'constructor', '__proto__']) {
    const known = [event(1, 'start', null), event(2, 'touch'), event(4, 'touch'), event(6, 'end', null)];
    const all = [...known, event(3, kind), event(5, kind, null)];
    expect(tally(all, 'row')).toEqual(tally(known, 'row'));
    expect(blockClock(all)).toEqual(blockClock(known));
    expect(answersByCall(all)).toEqual(answersByCall(known));
    expect(conditionsNow(all)).toEqual(conditionsNow(known));
    expect(wordless(kind as EventKind, 'what somebody wrote')).toBe('');
  }
});
