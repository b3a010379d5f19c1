import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';
import { counted } from '@/core/base/words';
import { readBundle } from '@/formats/bundle/read';
import { keyOf, thingNames, things, type Bundle, type Entry, type ThingName } from '@/formats/bundle/things';
import { entriesOf, knownOf, putEntries, removeEntries } from '@/data/bundle';
import type { Executor } from '@/data/database';
import { markStale } from '@/data/log';
import { erasedIds } from '@/data/squad';
import { dropAttempts, findTakeOver, otherMarks, setUndone, type TakenOver } from '@/data/take-over';
import { write } from '@/data/write';
import { meaningProblems } from '@/schemas/bundle';
import { latestMs, type Context } from '../base/context';
import { refreshSoon } from '../court/results';
import { markOf } from './mark-of';
import { keysOf, putIn, type Changes } from './put-in';
import { RemovedHere } from './removed-here';
import { sql } from 'drizzle-orm';

/** What bringing a file in would do. */
export interface Look {
  readonly part: string;
  readonly madeOn: string;
  /** By thing: how many would be added, are the same, say something else, or are left out. */
  readonly counts: readonly {
    readonly thing: ThingName;
    readonly added: number;
    readonly same: number;
    readonly differ: number;
    readonly leftOut: number;
  }[];
  /** Examples of what says something else or is left out, and why. */
  readonly lines: readonly { readonly what: string; readonly why: string }[];
}

export interface TookOver extends Look {
  /** By which it can be taken back; null where nothing was done. */
  readonly id: string | null;
}

export interface Watch {
  readonly onChecked?: (checked: number, of: number) => void;
  readonly signal?: AbortSignal;
}

/** Lets other work go on. */
const breath = () => new Promise((resolve) => setImmediate(resolve));
const mostProblems = 20;
const mostLines = 30;
const atOnce = 500;

/** Looks a file through and says what it would do; nothing is written. */
export async function lookAtBundle(
  context: Context,
  input: unknown,
  watch: Watch = {},
): Promise<Outcome<Look>> {
  const read = await understood(context, input, watch);
  if (!read.ok) return read;
  const weighed = await weigh(context.db, read.value);
  return weighed.ok ? done(weighed.value.look) : weighed;
}

/**
 * Brings a file in, all or nothing: what is new is added; what says something else than here is left as it is here, or
 * with `replace` becomes as the file says. Marks of the log are only ever added.
 */
export async function takeOverBundle(
  context: Context,
  input: unknown,
  { replace, name }: { readonly replace: boolean; readonly name: string },
  watch: Watch = {},
): Promise<Outcome<TookOver>> {
  const read = await understood(context, input, watch);
  if (!read.ok) return read;
  const outcome = await write(context.db, async (tx): Promise<Outcome<TookOver>> => {
    const weighed = await weigh(tx, read.value);
    if (!weighed.ok) return weighed;
    const { look, added, differ } = weighed.value;
    const id = await putIn(tx, context, name, { added, changed: replace ? differ : new Map() });
    const blockIds = [...new Set((added.get('marks') ?? []).map((mark) => String(mark.blockId)))];
    if (blockIds.length > 0) await markStale(tx, blockIds);
    return done({ ...look, id });
  });
  if (outcome.ok) refreshSoon(context.db);
  return outcome;
}

/**
 * Takes back all that a file brought in: what was added goes, what was changed is as before. Refused whole where something
 * of it was changed or used since.
 */
export async function undoTakeOver(context: Context, id: string): Promise<Outcome<null>> {
  const outcome = await write(context.db, async (tx): Promise<Outcome<null>> => {
    const found = await findTakeOver(tx, id);
    if (!found) return refused('file', 'This was taken back already, or never brought in: reload the page.');
    const { added, changed } = found.what;
    const since = await changedSince(tx, found.what);
    if (since)
      return refused(
        'file',
        `${since} was changed or used since: nothing was taken back. Put a copy back instead, in Settings.`,
      );
    const blocks = (added.blocks ?? []).map(({ key }) => key[0]!);
    const marks = (added.marks ?? []).map(({ key }) => key[0]!);
    const markedBlocks = await blocksOfMarks(tx, marks);
    await dropAttempts(tx, [...new Set([...blocks, ...markedBlocks])]);
    for (const name of [...thingNames].reverse()) {
      const keys = (added[name] ?? []).map(({ key }) => key);
      if (keys.length > 0) await removeEntries(tx, name, keys);
      const before = (changed[name] ?? []).map((one) => one.before);
      if (before.length > 0) await putEntries(tx, name, before);
    }
    const left = markedBlocks.filter((one) => !blocks.includes(one));
    if (left.length > 0) await markStale(tx, left);
    await setUndone(tx, id, context.nowMs);
    return done(null);
  }).catch((error: unknown) => {
    // Something that came since hangs on it, and the database does not let it go.
    if (/FOREIGN KEY/.test(causesOf(error)))
      return refused(
        'file',
        'Something that came since hangs on it: nothing was taken back. Put a copy back instead, in Settings.',
      );
    throw error;
  });
  if (outcome.ok) refreshSoon(context.db);
  return outcome;
}

const causesOf = (error: unknown): string =>
  error instanceof Error ? `${error.message} ${causesOf(error.cause)}` : '';

/** Reads a file: its shape, then what its parts mean. */
async function understood(context: Context, input: unknown, watch: Watch): Promise<Outcome<Bundle>> {
  const read = await readBundle(input, { ...watch, breath });
  if (!read.ok) return read;
  const problems: Problem[] = [];
  const nowMs = latestMs(context);
  let looked = 0;
  for (const name of thingNames)
    for (const [index, entry] of (read.value.entries[name] ?? []).entries()) {
      for (const { field, message } of meaningProblems(name, entry, nowMs))
        problems.push({
          field: `${name}[${index}]${field && `.${field}`}`,
          message: `${name}, number ${index + 1}: ${message}`,
        });
      if (problems.length >= mostProblems) return { ok: false, problems };
      if (++looked % atOnce === 0) {
        await breath();
        if (watch.signal?.aborted) return refused('file', 'This was left off. Nothing was brought in.');
      }
    }
  return problems.length > 0 ? { ok: false, problems } : read;
}

interface Weighed {
  readonly look: Look;
  readonly added: Changes['added'];
  readonly differ: Changes['changed'];
}

/** Sets a file against the book: what is new, the same, or says something else; and whether all it names is there. */
async function weigh(db: Executor, { part, madeOn, entries }: Bundle): Promise<Outcome<Weighed>> {
  const added = new Map<ThingName, Entry[]>();
  const differ = new Map<ThingName, { was: Entry; is: Entry }[]>();
  const counts: Look['counts'][number][] = [];
  const lines: { what: string; why: string }[] = [];
  const problems: Problem[] = [];
  const removed = new RemovedHere(new Set(await erasedIds(db)), entries);
  const focused = new Map(
    (await entriesOf(db, 'focuses', sql`until_ms is null`)).map((one) => [
      String(one.playerId),
      String(one.id),
    ]),
  );
  /** Ids that will be there, by thing. */
  const there = new Map<ThingName, Set<string>>();
  const say = (what: string, why: string) => {
    if (lines.length < mostLines) lines.push({ what, why });
  };
  for (const name of thingNames) {
    const all = entries[name];
    if (!all) continue;
    const known = await knownOf(db, name, all);
    const own: Entry[] = [];
    const other: { was: Entry; is: Entry }[] = [];
    let [same, leftOut] = [0, 0];
    for (const [index, raw] of all.entries()) {
      const entry = removed.cleaned(name, raw);
      const missing = await missingIn(db, name, entry, entries, there);
      if (missing && problems.length < mostProblems)
        problems.push({
          field: `${name}[${index}].${missing}`,
          message: `${name}, number ${index + 1}: what ${missing} names is neither in the file nor in the book.`,
        });
      if (removed.leavesOut(name, entry, known.has(keyOf(name, entry)))) {
        leftOut += 1;
        if (name === 'players') say('A child', 'was removed for good here, and stays removed.');
        continue;
      }
      const openFocus = name === 'focuses' && entry.untilMs === null && focused.get(String(entry.playerId));
      const was = known.get(keyOf(name, entry));
      if (!was) {
        if (openFocus && openFocus !== entry.id) {
          leftOut += 1;
          say(String(entry.text), 'the player works on something else here.');
        } else own.push(entry);
      } else if (JSON.stringify(was) === JSON.stringify(entry)) same += 1;
      else if (name === 'marks')
        problems.push({
          field: `marks[${index}]`,
          message: `marks, number ${index + 1}: this mark is in the log with other contents. The log is only added to.`,
        });
      else {
        other.push({ was, is: entry });
        say(calledIn(name, entry), 'says something else here.');
      }
      if (problems.length >= mostProblems) return { ok: false, problems };
    }
    added.set(name, own);
    differ.set(name, other);
    counts.push({ thing: name, added: own.length, same, differ: other.length, leftOut });
  }
  if (problems.length > 0) return { ok: false, problems };
  return done({ look: { part, madeOn, counts, lines }, added, differ });
}

/** The field of an entry that names something that is nowhere; null where all is there. */
async function missingIn(
  db: Executor,
  name: ThingName,
  entry: Entry,
  entries: Bundle['entries'],
  there: Map<ThingName, Set<string>>,
): Promise<string | null> {
  for (const [field, { of }] of Object.entries(things[name].fields)) {
    const asked = entry[field];
    if (!of || asked === null || asked === undefined) continue;
    let ids = there.get(of);
    if (!ids) {
      ids = new Set((await idsOf(db, of)).concat((entries[of] ?? []).map((one) => String(one.id))));
      there.set(of, ids);
    }
    if (!ids.has(String(asked))) return field;
  }
  return null;
}

const idsOf = async (db: Executor, name: ThingName): Promise<string[]> =>
  (await entriesOf(db, name)).map((entry) => String(entry.id));

/** How a thing is called in what is said about it. */
const calledIn = (name: ThingName, entry: Entry): string =>
  String(
    entry.name ??
      entry.title ??
      (entry.drill as { title?: string } | undefined)?.title ??
      entry.text ??
      oneOf[name],
  );

const oneOf: Readonly<Partial<Record<ThingName, string>>> = {
  standings: 'A standing',
  blocks: 'A block',
  parts: 'A player’s part in a block',
  attendances: 'Who came',
  decisions: 'A decision',
  fits: 'A number of the fit',
  styles: 'A style',
};

/** What was changed or used since it was brought in, in words; null where nothing was. */
async function changedSince(db: Executor, { added, changed }: TakenOver): Promise<string | null> {
  for (const name of thingNames) {
    const asked = [
      ...(name === 'marks' ? [] : (added[name] ?? []).map(({ key, said }) => ({ key, said }))),
      ...(changed[name] ?? []).map(({ before, said }) => ({ key: keysOf(name, before), said })),
    ];
    if (asked.length === 0) continue;
    const stubs = asked.map(({ key }) =>
      Object.fromEntries(things[name].key.map((field, index) => [field, key[index]!])),
    );
    const now = await knownOf(db, name, stubs);
    for (const [index, { said }] of asked.entries()) {
      const is = now.get(keyOf(name, stubs[index]!));
      if (!is || markOf(is) !== said) return is ? calledIn(name, is) : (oneOf[name] ?? 'Something');
    }
  }
  const blocks = (added.blocks ?? []).map(({ key }) => key[0]!);
  const marks = (added.marks ?? []).map(({ key }) => key[0]!);
  const others = await otherMarks(db, blocks, marks);
  return others > 0 ? `A block with ${counted(others, 'mark')} counted here` : null;
}

const blocksOfMarks = async (db: Executor, ids: readonly string[]): Promise<string[]> => [
  ...new Set(
    (
      await db.all<{ id: string }>(
        sql`select distinct block_id as id from touch_event where id in (select value from json_each(${JSON.stringify(ids)}))`,
      )
    ).map(({ id }) => id),
  ),
];
