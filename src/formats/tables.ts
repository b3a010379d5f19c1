import Papa from 'papaparse';
import { done, refused, type Outcome } from '@/core/base/outcome';

/** A cell: text, a number, yes or no, or nothing. */
export type Cell = string | number | boolean | null;

/** A table program takes a cell that begins so for something to work out (OWASP, CSV Injection). */
const begins = new Set(['=', '+', '-', '@', '\t', '\r']);
/** What parts cells in a table program of another country, whatever this file parts them by, quotes or no quotes. */
const parts = new Set([';', '\t', '|', '\n', '\r']);
const guard = "'";
const isGuarded = (letter: string | undefined): boolean =>
  letter !== undefined && (letter === guard || begins.has(letter));

/** Text that no table program works out: a stroke stands before what it would, and before a stroke that would be taken for one. */
export function neutral(text: string): string {
  let safe = '';
  for (let at = 0; at < text.length; at++) {
    const first = at === 0 || parts.has(text[at - 1]!);
    safe += first && isGuarded(text[at]) ? guard + text[at] : text[at];
  }
  return safe;
}

/** The text as it was before {@link neutral}. */
export function plain(text: string): string {
  let own = '';
  for (let at = 0; at < text.length; at++) {
    const first = own === '' || parts.has(own.at(-1)!);
    if (first && text[at] === guard && isGuarded(text[at + 1])) at += 1;
    own += text[at];
  }
  return own;
}

/**
 * Rows as CSV by RFC 4180: commas, CRLF, quotes doubled. Text is neutralised, numbers are not: they are no formulas.
 */
export function csvText(columns: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const cell = (value: Cell) =>
    value === null
      ? ''
      : typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : typeof value === 'string'
          ? neutral(value)
          : value;
  const text = Papa.unparse(
    { fields: [...columns], data: rows.map((row) => row.map(cell)) },
    { newline: '\r\n' },
  );
  return `${text}\r\n`;
}

/** A table that came in. */
export interface Table {
  readonly columns: readonly string[];
  /** Each with its line in the file, from 2. */
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
  /** Set where the file was not in UTF-8, and was read as Western European. */
  readonly latin: boolean;
}

const mostColumns = 60;

/**
 * Reads a table: UTF-8 or else Western European (Windows-1252); commas, semicolons or tabs, whichever it is.
 * @param mostRows more rows than this are refused, and not read to their end
 */
export function readTable(bytes: Uint8Array, mostRows: number): Outcome<Table> {
  const { text, latin } = decoded(bytes);
  if (text.includes('\0'))
    return refused('file', 'This is no table of text: save it as CSV, and bring that in.');
  const { head, body, errors } = rowsOf(text, mostRows);
  const columns = (head?.cells ?? []).map((name) => plain(name.trim()));
  if (columns.filter((name) => name !== '').length === 0)
    return refused('file', 'The first line must name the columns, such as Name, Birth year, Sport.');
  if (columns.length > mostColumns)
    return refused('file', `The table has ${columns.length} columns: at most ${mostColumns} are read.`);
  const unclosed = errors.find(({ code }) => code === 'MissingQuotes');
  if (unclosed)
    return refused(
      'file',
      `A quote is opened and never closed, from line ${unclosed.line} on: the file may be cut.`,
    );
  const rows = body
    .map(({ line, cells }) => ({ line, cells: cells.map((cell) => plain(cell.trim())) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  if (rows.length > mostRows)
    return refused(
      'file',
      `The table has more than ${mostRows.toLocaleString('en-GB')} lines: bring it in in parts.`,
    );
  if (rows.length === 0) return refused('file', 'The table has a first line and nothing under it.');
  return done({ columns, rows, latin });
}

interface Row {
  /** The line of the file it begins on, from 1: a cell may have lines of its own. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** A first line that says what parts the cells, as some table programs write it: "sep=;". */
const separatorLine = /^sep=(.)\r?\n/i;

/** The rows of a table with the lines they begin on; the first one names the columns. */
function rowsOf(text: string, mostRows: number) {
  const said = separatorLine.exec(text);
  const own = said ? text.slice(said[0].length) : text;
  const [rows, errors]: [Row[], { code: string; line: number }[]] = [[], []];
  let [at, line] = [0, said ? 2 : 1];
  Papa.parse<string[]>(own, {
    delimiter: said?.[1] ?? delimiterOf(own),
    preview: mostRows + 2,
    step: ({ data, meta, errors: wrong }) => {
      rows.push({ line, cells: data });
      errors.push(...wrong.map(({ code }) => ({ code, line })));
      line += breaksIn(own.slice(at, meta.cursor));
      at = meta.cursor;
    },
  });
  const [head, ...body] = rows;
  return { head, body, errors };
}

/** Line ends of any kind: CRLF is one. */
const breaksIn = (text: string): number => text.match(/\r\n|\r|\n/g)?.length ?? 0;

/** What stands between the cells of the first line most often, quotes left out; the library's guess wants longer tables. */
function delimiterOf(text: string): string {
  const head = (/^[^\r\n]*/.exec(text)?.[0] ?? '').replace(/"[^"]*"/g, '');
  const count = (one: string) => head.split(one).length;
  return [',', ';', '\t'].reduce((best, one) => (count(one) > count(best) ? one : best));
}

function decoded(bytes: Uint8Array): { readonly text: string; readonly latin: boolean } {
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), latin: false };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), latin: true };
  }
}
