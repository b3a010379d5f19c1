import { eventKinds, ruleOf, type EventKind } from './event';
import { textFits, wordless } from './text-of';

test.each<[EventKind, string, boolean]>([
  ['touch', '2/4', true],
  ['touch', 'left', true],
  ['drop', 'let it through', true],
  ['drop', 'forehand wide', true],
  ['touch', 'Ilva has asthma', false],
  ['result', 'left Ilva', false],
  ['step', 'row-20', true],
  ['step', 'Ilva has asthma', false],
  ['change', 'eyes up', true],
  ['ball', 'red', true],
  ['undo', 'x', false],
  ['note', 'Ilva has asthma', true],
])('a %s may say %j: %p', (kind, text, fits) => {
  expect(textFits(kind, text)).toBe(fits);
  // What stays of a child who was removed is what may stand there and nobody wrote.
  expect(wordless(kind, text)).toBe(fits && ruleOf(kind).text !== 'words' ? text : '');
});

test('nothing is fine on every kind', () => {
  for (const kind of eventKinds)
    for (const text of [null, undefined, '']) expect(textFits(kind, text)).toBe(true);
});
