import { clashesOf, nextFreeDay, type Booked } from '@/core/plan/clash';
import { clashText } from '@/core/plan/clash-words';
import { shortDay } from '@/core/base/day-words';
import { daysLater } from '@/core/plan/weekly';
import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';
import { readTable, type Table } from '@/formats/tables';
import { keyOf, things, type Entry, type ThingName } from '@/formats/bundle/things';
import { entriesOf } from '@/data/bundle';
import type { Executor } from '@/data/database';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { playerSchema } from '@/schemas/player';
import { bookingSchema } from '@/schemas/booking';
import type { Context } from '../base/context';
import { bookedBetween, clashSaid } from '../readers/booked';
import { fieldLabel, playerFieldNames, playerFields } from '@/schemas/player-fields';
import { sessionColumns } from './export-tables';
import { putIn, type Changes } from './put-in';
import { sql } from 'drizzle-orm';

/** Tables that can be brought in. */
export const incoming = ['squad', 'sessions'] as const;
export type Incoming = (typeof incoming)[number];
export const isIncoming = (name: string): name is Incoming => incoming.includes(name as Incoming);

/** Lines a table may have: a club's, and more. Ours. */
const mostRows = 2000;

/** For each field the column it stands in, from 0; null where there is none. */
export type Mapping = Readonly<Record<string, number | null>>;

export interface Line {
  readonly line: number;
  readonly state: 'added' | 'changed' | 'same' | 'refused';
  readonly what: string;
  /** What would change, or why it is refused. */
  readonly why: readonly string[];
}

/** What bringing a table in would do, line by line. */
export interface TableLook {
  readonly columns: readonly string[];
  readonly fields: readonly { readonly name: string; readonly label: string; readonly needed: boolean }[];
  readonly mapping: Mapping;
  readonly latin: boolean;
  readonly lines: readonly Line[];
}

const fieldsOf: Readonly<
  Record<Incoming, readonly { name: string; label: string; needed: boolean; also: readonly string[] }[]>
> = {
  squad: playerFieldNames.map((name) => {
    const { needed, alsoCalled } = playerFields[name];
    return { name, label: fieldLabel(name), needed, also: alsoCalled };
  }),
  sessions: [
    { name: 'day', label: sessionColumns[0], needed: true, also: ['date'] },
    { name: 'startTime', label: sessionColumns[1], needed: true, also: ['time', 'from'] },
    { name: 'bookedMin', label: sessionColumns[2], needed: true, also: ['length', 'duration'] },
    { name: 'title', label: sessionColumns[3], needed: true, also: ['name', 'session'] },
    { name: 'coach', label: sessionColumns[4], needed: false, also: [] },
    { name: 'place', label: sessionColumns[5], needed: false, also: ['hall', 'court'] },
    { name: 'airC', label: sessionColumns[6], needed: false, also: ['air', 'temperature'] },
    { name: 'players', label: sessionColumns[7], needed: true, also: ['who', 'children'] },
  ],
};

const plainly = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Which column is which field, by what it is called. */
function guessed(name: Incoming, columns: readonly string[]): Mapping {
  const called = columns.map(plainly);
  return Object.fromEntries(
    fieldsOf[name].map((field) => {
      const names = [field.label, field.name, ...field.also].map(plainly);
      const at = names.map((one) => called.indexOf(one)).find((index) => index !== -1);
      return [field.name, at ?? null];
    }),
  );
}

function mapped(name: Incoming, { columns }: Table, asked: unknown): Outcome<Mapping> {
  if (asked === undefined || asked === null) return done(guessed(name, columns));
  if (typeof asked !== 'object')
    return refused('mapping', 'Which column is which must be said field by field.');
  const given = asked as Record<string, unknown>;
  const mapping: Record<string, number | null> = {};
  for (const field of fieldsOf[name]) {
    const at = Object.hasOwn(given, field.name) ? given[field.name] : null;
    const sound =
      at === null || (Number.isInteger(at) && (at as number) >= 0 && (at as number) < columns.length);
    if (!sound) return refused('mapping', `${field.label} is said to be a column there is none of.`);
    mapping[field.name] = at as number | null;
  }
  return done(mapping);
}

interface Weighed extends Changes {
  readonly look: TableLook;
}

/** What one line would do. */
interface Step {
  readonly state: Line['state'];
  readonly what: string;
  readonly why: readonly string[];
  readonly added?: readonly (readonly [ThingName, Entry])[];
  readonly changed?: readonly (readonly [ThingName, Entry, Entry])[];
}

const no = (what: string, problems: readonly Problem[]): Step => ({
  state: 'refused',
  what,
  why: problems.map(({ message }) => message),
});

/** Looks a table through, line by line; nothing is written. */
export async function lookAtTable(
  context: Context,
  name: Incoming,
  bytes: Uint8Array,
  mapping: unknown,
): Promise<Outcome<TableLook>> {
  const weighed = await weigh(context, context.db, name, bytes, mapping);
  return weighed.ok ? done(weighed.value.look) : weighed;
}

/** Takes over the lines that are sound, all at once; the others are named and left out. One undo takes it all back. */
export async function takeOverTable(
  context: Context,
  name: Incoming,
  bytes: Uint8Array,
  mapping: unknown,
  file: string,
): Promise<Outcome<{ readonly id: string | null; readonly lines: readonly Line[] }>> {
  return write(context.db, async (tx) => {
    const weighed = await weigh(context, tx, name, bytes, mapping);
    if (!weighed.ok) return weighed;
    const { look, ...changes } = weighed.value;
    return done({ id: await putIn(tx, context, file, changes), lines: look.lines });
  });
}

async function weigh(
  context: Context,
  db: Executor,
  name: Incoming,
  bytes: Uint8Array,
  asked: unknown,
): Promise<Outcome<Weighed>> {
  const table = readTable(bytes, mostRows);
  if (!table.ok) return table;
  const mapping = mapped(name, table.value, asked);
  if (!mapping.ok) return mapping;
  const { columns, rows, latin } = table.value;
  const step = name === 'squad' ? await squadSteps(context, db) : await sessionSteps(context, db);
  const added = new Map<ThingName, Entry[]>();
  const changed = new Map<ThingName, { was: Entry; is: Entry }[]>();
  const lines = rows.map(({ line, cells }): Line => {
    const given = (field: string) => {
      const at = mapping.value[field];
      return at === null || at === undefined ? undefined : (cells[at] ?? '');
    };
    const { state, what, why, added: fresh = [], changed: other = [] } = step(given);
    for (const [thing, entry] of fresh) added.set(thing, [...(added.get(thing) ?? []), entry]);
    for (const [thing, was, is] of other) changed.set(thing, [...(changed.get(thing) ?? []), { was, is }]);
    return { line, state, what, why };
  });
  const fields = fieldsOf[name].map(({ name: field, label, needed }) => ({ name: field, label, needed }));
  return done({ look: { columns, fields, mapping: mapping.value, latin, lines }, added, changed });
}

type Steps = (given: (field: string) => string | undefined) => Step;

/** A player of the squad by each line: known by name and birth year. */
async function squadSteps(context: Context, db: Executor): Promise<Steps> {
  const players = await entriesOf(db, 'players', sql`removed_at_ms is null`);
  const focuses = new Map(
    (await entriesOf(db, 'focuses', sql`until_ms is null`)).map((one) => [String(one.playerId), one]),
  );
  const known = new Map(players.map((one) => [called(one), one]));
  const seen = new Set<string>();
  const year = Number(context.today.slice(0, 4));
  return (given) => {
    const what = given('name') || 'A line without a name';
    const was = known.get(called({ name: given('name') ?? '', birthYear: Number(given('birthYear')) }));
    const form = Object.fromEntries(
      playerFieldNames.map((name) => {
        const { read = String, ofNew } = playerFields[name];
        const cell = given(name);
        // A column that is not there changes nothing.
        return [name, cell === undefined ? (was?.[name] ?? ofNew) : read(cell)];
      }),
    );
    const checked = check(playerSchema(year), form);
    if (!checked.ok) return no(what, checked.problems);
    const { focus, sure: _, ...fields } = checked.value;
    const key = called(fields as unknown as Entry);
    if (seen.has(key))
      return no(what, [{ field: 'name', message: 'Name: this child is in the table twice.' }]);
    seen.add(key);
    const is: Entry = was
      ? { ...was, ...(fields as Entry) }
      : ordered('players', {
          ...(fields as Entry),
          id: context.newId(),
          createdAtMs: context.nowMs,
          removedAtMs: null,
          erasedAtMs: null,
        });
    const open = focuses.get(String(is.id));
    const works = given('focus') !== undefined && focus !== (open?.text ?? '');
    const why = was
      ? [
          ...Object.keys(was)
            .filter((field) => was[field] !== is[field])
            .map((field) => `${labelOf(field)}: ${shown(was[field])} becomes ${shown(is[field])}`),
          ...(works ? [`Working on: ${shown(open?.text ?? '')} becomes ${shown(focus)}`] : []),
        ]
      : [];
    if (was && why.length === 0) return { state: 'same', what, why };
    const at = { playerId: is.id!, sinceMs: context.nowMs, untilMs: null };
    return {
      state: was ? 'changed' : 'added',
      what,
      why,
      added: [
        ...(was ? [] : [['players', is] as const]),
        ...(works && focus
          ? [['focuses', ordered('focuses', { ...at, id: context.newId(), text: focus })] as const]
          : []),
      ],
      changed: [
        ...(was && keyOf('players', was) && JSON.stringify(was) !== JSON.stringify(is)
          ? [['players', was, is] as const]
          : []),
        ...(works && open ? [['focuses', open, { ...open, untilMs: context.nowMs }] as const] : []),
      ],
    };
  };
}

const called = ({ name, birthYear }: Entry): string => `${plainly(String(name))} ${String(birthYear)}`;
const shown = (value: unknown): string =>
  value === null || value === undefined || value === '' ? 'nothing' : String(value as string | number);
const labelOf = (field: string): string =>
  [...fieldsOf.squad, ...fieldsOf.sessions].find(({ name }) => name === field)?.label ?? field;

/** An entry's fields in their order. */
const ordered = (name: ThingName, entry: Entry): Entry =>
  Object.fromEntries(Object.keys(things[name].fields).map((field) => [field, entry[field] ?? null]));

/** Bookings are looked for so far ahead, days: further than any table of a season. Ours. */
const lookAheadDays = 400;

/** A session by each line; one that is booked already at that day and time under that name is left as it is. */
async function sessionSteps(context: Context, db: Executor): Promise<Steps> {
  const players = new Map(
    (await entriesOf(db, 'players', sql`removed_at_ms is null`)).map((one) => [
      plainly(String(one.name)),
      one,
    ]),
  );
  const places = new Map(
    (await entriesOf(db, 'places', sql`removed_at_ms is null`)).map((one) => [
      plainly(String(one.name)),
      one,
    ]),
  );
  const booked = new Set(
    (await entriesOf(db, 'sessions', sql`removed_at_ms is null and kind = 'court'`)).map(slot),
  );
  const others: (Booked & { readonly title: string })[] = await bookedBetween(
    db,
    context.today,
    daysLater(context.today, lookAheadDays),
  );
  const nameOf = new Map([...players.values()].map((one) => [String(one.id), String(one.name)]));
  return (given) => {
    const what = [given('title') || 'A line without a title', given('day')].filter(Boolean).join(', ');
    const names = (given('players') ?? '')
      .split(/[;\n]/)
      .map((one) => one.trim())
      .filter((one) => one !== '');
    const strangers = names.filter((one) => !players.has(plainly(one)));
    const place = places.get(plainly(given('place') ?? ''));
    const checked = check(bookingSchema, {
      title: given('title'),
      startTime: clock(given('startTime') ?? ''),
      bookedMin: given('bookedMin'),
      coach: given('coach') ?? '',
      placeName: given('place') ?? '',
      placeId: place?.id ?? null,
      day: isoDay(given('day') ?? ''),
      airC: given('airC') ?? '',
      playerIds: names.flatMap((one) => (players.get(plainly(one))?.id as string | undefined) ?? []),
    });
    const problems = checked.ok
      ? []
      : checked.problems.filter(({ field }) => !(strangers.length > 0 && field === 'playerIds'));
    if (strangers.length > 0)
      problems.unshift({
        field: 'players',
        message: `Players: ${strangers.join(', ')} is not on the squad.`,
      });
    if (!checked.ok || problems.length > 0) return no(what, problems);
    const { playerIds, ...fields } = checked.value;
    if (booked.has(slot(fields as unknown as Entry)))
      return { state: 'same', what, why: ['It is booked already.'] };
    booked.add(slot(fields as unknown as Entry));
    const fresh = { ...fields, playerIds };
    const clashes = clashesOf(fresh, others);
    const free = clashes.length > 0 ? nextFreeDay(fresh, others) : null;
    others.push(fresh);
    const id = context.newId();
    return {
      state: 'added',
      what,
      why: [
        ...clashes.map((clash) => `Booked already: ${clashText(clashSaid(clash, nameOf))}`),
        ...(free ? [`Free at that hour: ${shortDay(free)}.`] : []),
      ],
      added: [
        [
          'sessions',
          ordered('sessions', {
            kind: 'court',
            ...(fields as unknown as Entry),
            id,
            state: 'planned',
            revision: 1,
            createdAtMs: context.nowMs,
          }),
        ],
        ...playerIds.map(
          (playerId, position) =>
            ['attendances', ordered('attendances', { sessionId: id, playerId, position })] as const,
        ),
      ],
    };
  };
}

const slot = ({ day, startTime, title }: Entry): string =>
  `${String(day)} ${String(startTime)} ${plainly(String(title))}`;

/** "9:30" as it is written here; what is no time stays as it is, and is refused with it. */
const clock = (text: string): string => {
  const [, hours, minutes] = /^(\d{1,2})[:.](\d\d)(?::\d\d)?$/.exec(text) ?? [];
  return hours === undefined ? text : `${hours.padStart(2, '0')}:${minutes}`;
};
/** "26.11.2026" as a day; with strokes it could be either order, and is refused. */
const isoDay = (text: string): string => {
  const [, d, m, y] = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text) ?? [];
  return y === undefined ? text : `${y}-${m!.padStart(2, '0')}-${d!.padStart(2, '0')}`;
};
