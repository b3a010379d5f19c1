import { eventKinds, kindsWhere, ruleOf } from './event';

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
