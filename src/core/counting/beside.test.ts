import { besideInWords, besideText, lastBeside } from './beside';
import type { EventKind, TouchEvent } from './event';

let next = 0;
beforeEach(() => (next = 0));
function event(kind: EventKind, more: Partial<TouchEvent> = {}): TouchEvent {
  const n = next++;
  const id = String(n).padStart(4, '0');
  return {
    id,
    blockId: 'b',
    playerId: 'p',
    kind,
    attempt: 1,
    value: null,
    ref: null,
    atMs: n,
    monoMs: n,
    device: 'd',
    ...more,
  };
}
const answer = (mark: TouchEvent, word: string) =>
  event('beside', { ref: mark.id, text: besideText('Ready before the bounce', word) });

test('the last mark that stands is asked about, and its last answer stands', () => {
  expect(lastBeside([])).toBeNull();
  const touch = event('touch');
  expect(lastBeside([touch])).toEqual({ mark: touch, text: null });
  const yes = answer(touch, 'yes');
  const no = answer(touch, 'no');
  expect(lastBeside([touch, yes, no])?.text).toBe('Ready before the bounce: no');
  const miss = event('drop');
  expect(lastBeside([touch, yes, no, miss])).toEqual({ mark: miss, text: null });
  expect(lastBeside([touch, yes, no, miss, event('undo', { ref: miss.id })])?.mark).toBe(touch);
});

test('answers are counted by question; what was changed counts once, what was taken back not at all', () => {
  const marks = ['touch', 'touch', 'drop', 'touch'].map((kind) => event(kind as EventKind));
  const answers = [
    answer(marks[0]!, 'yes'),
    answer(marks[1]!, 'yes'),
    answer(marks[1]!, 'no'),
    answer(marks[2]!, 'no'),
    answer(marks[3]!, 'yes'),
  ];
  // The reader of a review has the answers and what takes back, not the marks.
  expect(besideInWords(answers)).toEqual(['Ready before the bounce: yes 2, no 2']);
  const gone = event('undo', { ref: marks[3]!.id });
  expect(besideInWords([...answers, gone])).toEqual(['Ready before the bounce: yes 1, no 2']);
  const again = event('undo', { ref: gone.id });
  expect(besideInWords([...answers, gone, again])).toEqual(['Ready before the bounce: yes 2, no 2']);
  expect(besideInWords([...answers, event('undo', { ref: answers[3]!.id })])).toEqual([
    'Ready before the bounce: yes 2, no 1',
  ]);
  expect(besideInWords([])).toEqual([]);
});
