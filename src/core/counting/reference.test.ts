import fc from 'fast-check';
import type { TouchEvent } from './event';
import { tally } from './tally';

/*
 * The reducer against the way a coach counts with a pencil: strokes on paper, a line at a drop, the last
 * stroke rubbed out on undo. Written without a look at the reducer.
 */
function pencil(marks: readonly ('x' | '-' | 'u')[]) {
  const paper: string[] = [];
  for (const mark of marks) {
    if (mark === 'u') paper.pop();
    else paper.push(mark);
  }
  const rows = paper.join('').split('-');
  return {
    best: paper.length === 0 ? null : Math.max(...rows.map((row) => row.length)),
    current: rows.at(-1)!.length,
    touches: paper.filter((mark) => mark === 'x').length,
    drops: paper.filter((mark) => mark === '-').length,
  };
}

/** The same marks as a log: an undo names the newest mark that still stands. */
function log(marks: readonly ('x' | '-' | 'u')[]): TouchEvent[] {
  const standing: string[] = [];
  return marks.flatMap<TouchEvent>((mark, n) => {
    const id = String(n).padStart(6, '0');
    const ref = mark === 'u' ? standing.pop() : null;
    if (ref === undefined) return [];
    if (mark !== 'u') standing.push(id);
    const kind = mark === 'x' ? 'touch' : mark === '-' ? 'drop' : 'undo';
    return [
      {
        id,
        kind,
        ref,
        blockId: 'b',
        playerId: 'p',
        attempt: 1,
        value: null,
        atMs: n,
        monoMs: n,
        device: 'd',
      },
    ];
  });
}

test('rows as counted with a pencil', () => {
  const marks = fc.array(
    fc.constantFrom('x' as const, 'x' as const, 'x' as const, '-' as const, 'u' as const),
    {
      maxLength: 80,
    },
  );
  fc.assert(
    fc.property(marks, (made) => {
      expect(tally(log(made), 'row')).toMatchObject(pencil(made));
    }),
    { numRuns: 1000 },
  );
});

test('points as added up by hand, any zones, any misses', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(0, 1, 5, 10), { minLength: 1, maxLength: 30 }), (points) => {
      const events = points.map<TouchEvent>((value, n) => ({
        id: String(n).padStart(6, '0'),
        kind: 'zone',
        ref: null,
        blockId: 'b',
        playerId: 'p',
        attempt: 1 + Math.floor(n / 10),
        value,
        atMs: n,
        monoMs: n,
        device: 'd',
      }));
      const sets = [0, 1, 2]
        .map((set) => points.slice(set * 10, set * 10 + 10))
        .filter((set) => set.length > 0);
      const sum = (values: number[]) => values.reduce((so, value) => so + value, 0);
      expect(tally(events, 'points')).toMatchObject({
        score: sum(points),
        shots: points.length,
        best: Math.max(...sets.map(sum)),
        touches: points.filter((value) => value > 0).length,
      });
    }),
  );
});
