/*
 * Long lists of like things, such as the marks of a session, as tables: the names of their fields once instead of with
 * every one, and what repeats once. Marks take about a third of the letters so, on their way to the browser.
 */

type Scalar = string | number | boolean | null;
type Row = Readonly<Record<string, Scalar>>;

/** One field of all rows: as it is, or as places in a list of what occurs. */
type Column = readonly Scalar[] | { readonly of: readonly Scalar[]; readonly at: readonly number[] | null };

interface Table {
  readonly fields: readonly string[];
  readonly columns: readonly Column[];
  readonly rows: number;
}

/** A value whose long lists are tables, and where in it they are. */
export interface Tabled {
  readonly value: unknown;
  readonly tables: readonly (readonly (string | number)[])[];
}

/** A shorter list is left as it is. Ours. */
const worthRows = 16;

const isScalar = (value: unknown): value is Scalar => value === null || typeof value !== 'object';
const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
/** The fields that JSON keeps. */
const fieldsOf = (row: Readonly<Record<string, unknown>>) =>
  Object.keys(row).filter((field) => row[field] !== undefined);

/** Every list of like rows as a table. Only of plain data: no `undefined` in lists, no dates, no functions. */
export function tabled(value: unknown): Tabled {
  const tables: (readonly (string | number)[])[] = [];
  const walk = (one: unknown, path: readonly (string | number)[]): unknown => {
    if (Array.isArray(one)) {
      const list: readonly unknown[] = one;
      if (areRows(list)) {
        tables.push(path);
        return tableOf(list);
      }
      return list.map((part, at) => walk(part, [...path, at]));
    }
    if (!isPlain(one)) return one;
    return Object.fromEntries(Object.entries(one).map(([name, part]) => [name, walk(part, [...path, name])]));
  };
  return { value: walk(value, []), tables };
}

/** The value as it was. What it is given is taken apart: it is not to be used any more. */
export function untabled({ value, tables }: Tabled): unknown {
  const box = { value };
  for (const path of tables) {
    let holder = box as Record<string | number, unknown>;
    let name: string | number = 'value';
    for (const next of path) {
      holder = holder[name] as Record<string | number, unknown>;
      name = next;
    }
    holder[name] = rowsOf(holder[name] as Table);
  }
  return box.value;
}

function areRows(list: readonly unknown[]): list is readonly Row[] {
  if (list.length < worthRows || !isPlain(list[0])) return false;
  const fields = fieldsOf(list[0]);
  return list.every((row) => {
    if (!isPlain(row)) return false;
    const own = fieldsOf(row);
    return (
      own.length === fields.length && fields.every((field, at) => own[at] === field && isScalar(row[field]))
    );
  });
}

function tableOf(rows: readonly Row[]): Table {
  const fields = fieldsOf(rows[0]!);
  return {
    fields,
    columns: fields.map((field) => columnOf(rows.map((row) => row[field]!))),
    rows: rows.length,
  };
}

function columnOf(values: readonly Scalar[]): Column {
  const place = new Map<Scalar, number>();
  for (const value of values) if (!place.has(value)) place.set(value, place.size);
  const of = [...place.keys()];
  if (of.length === 1) return { of, at: null };
  // Numbers are as short as their places.
  if (typeof values[0] === 'number' || of.length > values.length / 4) return values;
  return { of, at: values.map((value) => place.get(value)!) };
}

function rowsOf({ fields, columns, rows }: Table): Row[] {
  const at = columns.map((column) => {
    if (!('of' in column)) return (row: number) => column[row]!;
    const { of, at: places } = column;
    return places ? (row: number) => of[places[row]!]! : () => of[0]!;
  });
  return Array.from({ length: rows }, (_, row) => {
    const one: Record<string, Scalar> = {};
    for (let n = 0; n < fields.length; n++) one[fields[n]!] = at[n]!(row);
    return one;
  });
}
