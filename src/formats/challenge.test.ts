import fc from 'fast-check';
import { readClubResults, writeClubResults, type ClubResults } from './challenge';

const own: ClubResults = {
  club: 'Quayside',
  title: 'Marker week',
  kind: 'level',
  drillId: 'marker-touches',
  stepId: 'called',
  fromDay: '2026-11-21',
  untilDay: '2026-12-04',
  results: [86, 12, 50],
};
const read = (input: unknown) => readClubResults(input);

test('there and back', () => {
  expect(read(JSON.parse(writeClubResults(own)))).toEqual({ ok: true, value: own });
});

test.each([
  [null, 'holds no results'],
  [{ format: 'vowstep-book' }, 'holds no results'],
  [{ version: 2 }, 'of version 2'],
  [{ club: '' }, 'club is missing'],
  [{ club: 'x'.repeat(61) }, 'club is missing'],
  [{ title: 3 }, 'which challenge it is of'],
  [{ kind: 'race' }, 'kind must be one of'],
  [{ untilDay: 'soon' }, 'its days'],
  [{ results: [] }, '1 to 200 numbers'],
  [{ results: [1, 'x'] }, 'numbers from 0'],
  [{ results: [-1] }, 'numbers from 0'],
])('%j is refused: %s', (more, words) => {
  const input = more === null ? null : { ...(JSON.parse(writeClubResults(own)) as object), ...more };
  const outcome = read(input);
  expect(outcome.ok ? '' : outcome.problems[0]!.message).toContain(words);
});

test('whatever comes in, it answers', () => {
  fc.assert(fc.property(fc.anything(), (input) => void read(input)));
});
