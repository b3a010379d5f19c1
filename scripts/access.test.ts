import { existsSync, readFileSync } from 'node:fs';
import { accessTable, allDoors, withTable } from './lib/access';

const text = readFileSync('docs/security.md', 'utf8');
const doors = allDoors();
const of = (name: string) => doors.find((door) => door.name === name)?.access;

test('the table of doors in docs/security.md is what the doors say of themselves', () => {
  // npm run -s access
  expect(withTable(text, accessTable(doors))).toBe(text);
  expect(doors.length).toBeGreaterThan(140);
});

test('doors are read as they stand', () => {
  expect(of('/')).toEqual(['see']);
  expect(of('/sign-in')).toEqual(['anybody']);
  expect(of('/help/[token]')).toEqual(['link']);
  expect(of('GET /api/book')).toEqual(['take-away', 'rule-anew']);
  expect(of('POST /api/book')).toEqual(['rule']);
  expect(of('GET /api/health')).toEqual(['anybody']);
  expect(of('POST /api/vow/[token]/touches')).toEqual(['link']);
  expect(of('eraseForGoodAction')).toEqual(['rule-anew']);
  expect(of('signInAction')).toEqual(['anybody']);
  // Nothing else lets anybody in.
  expect(doors.filter(({ access }) => access.includes('anybody')).map(({ name }) => name)).toEqual([
    '/sign-in',
    'GET /api/health',
    'signInAction',
  ]);
});

test('each point of the standard names tests that are there', () => {
  const rows = text.split('\n').filter((line) => /^\| V\d/.test(line));
  expect(rows.length).toBeGreaterThanOrEqual(18);
  for (const row of rows) {
    const cells = row.split('|').map((cell) => cell.trim());
    const named = [...cells[3]!.matchAll(/`([^`]+)`/g)].map(([, file]) => file!);
    expect([cells[1], named.length > 0 || cells[3]!.startsWith('—')]).toEqual([cells[1], true]);
    for (const file of named) expect([file, existsSync(file)]).toEqual([file, true]);
  }
});
