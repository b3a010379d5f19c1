import fc from 'fast-check';
import { csvText, neutral, plain, readTable } from './tables';

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (text: string, most = 100) => readTable(bytes(text), most);
const cellsOf = (outcome: ReturnType<typeof readTable>) =>
  outcome.ok ? outcome.value.rows.map(({ cells }) => cells) : outcome.problems[0]!.message;

test('RFC 4180, 2: CRLF, quotes where they are needed, quotes doubled', () => {
  expect(
    csvText(
      ['Name', 'n'],
      [
        ['Ada, "the quiet"', 3],
        ['two\r\nlines', null],
      ],
    ),
  ).toBe('Name,n\r\n"Ada, ""the quiet""",3\r\n"two\r\nlines",\r\n');
});

// OWASP, CSV Injection: =, +, -, @, tab and carriage return begin a formula.
test.each(['=1+1', '+49 30', '-Ada', '@home', '\tx', "'quoted", "'=1", "''"])(
  '%j cannot be worked out, and comes back',
  (text) => {
    expect(neutral(text)).not.toMatch(/^[=+\-@\t\r]/);
    expect(plain(neutral(text))).toBe(text);
  },
);

// Where cells are parted by semicolons, a comma parts nothing, and quotes in the middle of a cell are letters.
test.each(['Ada;=1+1', 'x;-2', 'a|=b', 'two\n=1', '\t=1', ';;=1', ";'=1", "a;'b", "'", ';', "x';=1"])(
  '%j is worked out nowhere, whatever parts its cells, and comes back',
  (text) => {
    for (const part of neutral(text).split(/[;|\t\r\n]/)) expect(part).not.toMatch(/^[=+\-@]/);
    expect(plain(neutral(text))).toBe(text);
  },
);

test('whatever is made neutral comes back', () =>
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom(...`';=-|\t\r\n@a,"`), maxLength: 12 }), (text) => {
      expect(plain(neutral(text))).toBe(text);
      for (const part of neutral(text).split(/[;|\t\r\n]/)) expect(part).not.toMatch(/^[=+\-@]/);
    }),
  ));

test('a negative number stays a number', () => expect(csvText(['n'], [[-3.5]])).toBe('n\r\n-3.5\r\n'));

test('whatever is written comes back, but for blanks at its ends', () => {
  const cell = fc.string({ unit: 'grapheme', maxLength: 30 }).filter((text) => !text.includes('\0'));
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }), (rows) => {
      const kept = rows
        .map((row) => row.map((text) => text.trim()))
        .filter((row) => row.some((text) => text !== ''));
      fc.pre(kept.length > 0);
      expect(cellsOf(read(csvText(['a', 'b'], rows)))).toEqual(kept);
    }),
  );
});

test('semicolons, tabs and another alphabet are read as they are', () => {
  expect(cellsOf(read('Name;Birth year\nJörg;2015\n'))).toEqual([['Jörg', '2015']]);
  expect(cellsOf(read('Name\tBirth year\nJörg\t2015\n'))).toEqual([['Jörg', '2015']]);
  expect(cellsOf(read('\ufeffName,x\r\nJörg,1\r\n'))).toEqual([['Jörg', '1']]);
  const latin = readTable(Uint8Array.from([...bytes('Name\nJ'), 0xf6, ...bytes('rg\n')]), 10);
  expect(latin).toMatchObject({ ok: true, value: { latin: true, rows: [{ line: 2, cells: ['Jörg'] }] } });
});

test.each([
  ['', 'name the columns'],
  ['\n\n', 'name the columns'],
  ['Name\n', 'nothing under it'],
  ['Name\n"Ada\nBo', 'never closed'],
  ['Na\0me\nAda', 'no table of text'],
  [`${'a,'.repeat(80)}\nx`, '81 columns'],
])('%j is refused with the reason', (text, words) => expect(cellsOf(read(text))).toContain(words));

test('a million lines are not read to their end', () => {
  expect(cellsOf(readTable(bytes(`Name\n${'Ada\n'.repeat(1_000_000)}`), 2000))).toContain(
    'more than 2,000 lines',
  );
});

describe('lines of a file', () => {
  const read = (text: string) => {
    const table = readTable(new TextEncoder().encode(text), 100);
    if (!table.ok) throw new Error(table.problems[0]!.message);
    return table.value;
  };

  test('a row is named by the line it begins on, after cells of several lines and empty lines too', () => {
    for (const end of ['\n', '\r\n']) {
      const text = ['Name,Note', 'Ada,"one', 'two', 'three"', '', 'Bo,', 'Cy,"a', 'b"', 'Dov,x'].join(end);
      const { rows } = read(text);
      expect(rows.map(({ line, cells }) => [line, cells[0]])).toEqual([
        [2, 'Ada'],
        [6, 'Bo'],
        [7, 'Cy'],
        [9, 'Dov'],
      ]);
      // The lines of the file say the same.
      for (const { line, cells } of rows) expect(text.split(end)[line - 1]!.startsWith(cells[0]!)).toBe(true);
    }
  });

  test('a file that says what parts its cells is read by that, and its lines are counted with it', () => {
    for (const first of ['sep=;', 'SEP=;']) {
      const { columns, rows } = read(`${first}\r\nName;Note, and more\r\nAda;1,5\r\n`);
      expect(columns).toEqual(['Name', 'Note, and more']);
      expect(rows).toEqual([{ line: 3, cells: ['Ada', '1,5'] }]);
    }
    // A column may be called so.
    expect(read('sep=x,Name\n1,Ada').columns).toEqual(['sep=x', 'Name']);
  });

  test('a quote that is never closed is named by its line', () => {
    const table = readTable(new TextEncoder().encode('Name,Note\nAda,"one\ntwo"\nBo,"open\nCy,x\n'), 100);
    expect(table).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringContaining('from line 4 on') }],
    });
  });
});
