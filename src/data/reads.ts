import type { Client, InStatement, ResultSet } from '@libsql/client';

/**
 * What is kept of answers, characters of text. Ours: some hundred pages of a large club, little beside the server itself.
 */
const keptText = 16e6;

/** How it is told whether anything was written. */
export interface Watch {
  /** A number that changes with every write, whoever writes; it rejects where it cannot be told. */
  readonly version: () => Promise<unknown>;
  /** Called after it rejected: what it said before says nothing of what it will say. */
  readonly anew?: () => Promise<void>;
  /** What was said holds for so long, milliseconds; for one turn of the event loop where it is left out. */
  readonly holdsMs?: number;
  /** Whether what was asked together before is asked together again: where the way to the database is long. */
  readonly ahead?: boolean;
}

/** Statements this near to each other were asked for one page, milliseconds; at most so many are asked ahead. Ours. */
const togetherMs = 400;
const mostAhead = 60;
const mostRecent = 600;

export interface Kept {
  readonly execute: Client['execute'];
  /** To be called after a write of this process. */
  readonly written: () => void;
  /**
   * A sign of how the database stands: the same one until anybody writes, and never again after that. Null where it
   * cannot be told.
   */
  readonly stands: () => Promise<object | null>;
}

/**
 * Keeps the answers to reads until anybody writes, this process or another.
 *
 * A page that is opened again, or by a second coach, costs no query then. The number is asked for before the read, so an
 * answer is never older than the number it is kept under. What this process writes meanwhile is said by `written`.
 */
export function keepsAnswers(
  execute: Client['execute'],
  { version, anew, holdsMs, ahead = false }: Watch,
): Kept {
  const kept = new Map<string, { readonly answer: ResultSet; readonly size: number }>();
  /** Answers that are on their way, under the number of now. */
  const coming = new Map<string, Promise<ResultSet>>();
  const recent = new Map<string, { readonly statement: InStatement; readonly atMs: number }>();
  let [under, size]: [unknown, number] = [null, 0];
  let sign = {};
  let asked: Promise<unknown> | null = null;

  const forget = (at: unknown) => {
    kept.clear();
    coming.clear();
    [under, size] = [at, 0];
    sign = {};
  };

  /** The number the database stands at; null where it cannot be told, and nothing is kept. */
  const now = () => {
    if (asked) return asked;
    const own = version().catch(async () => {
      forget(null);
      await anew?.();
      return null;
    });
    asked = own;
    const over = () => {
      if (asked === own) asked = null;
    };
    if (holdsMs === undefined) setImmediate(over);
    else void own.then(() => setTimeout(over, holdsMs).unref());
    return own;
  };

  const keep = (key: string, answer: ResultSet) => {
    const own = key.length + sizeOf(answer);
    kept.set(key, { answer, size: own });
    size += own;
    for (const [old, { size: its }] of kept) {
      if (size <= keptText) break;
      kept.delete(old);
      size -= its;
    }
  };

  const fetched = (key: string, statement: InStatement): Promise<ResultSet> => {
    const at = under;
    const answer = execute(statement).finally(() => {
      if (coming.get(key) === answer) coming.delete(key);
    });
    coming.set(key, answer);
    return answer.then((own) => {
      if (at === under) keep(key, own);
      return own;
    });
  };

  /** What was asked for with this the last time is asked for with it again. */
  const together = (key: string) => {
    const last = recent.get(key)?.atMs;
    if (last === undefined) return;
    let most = mostAhead;
    for (const [other, { statement, atMs }] of [...recent].reverse()) {
      if (most === 0) break;
      if (Math.abs(atMs - last) > togetherMs || kept.has(other) || coming.has(other)) continue;
      most -= 1;
      fetched(other, statement).catch(() => undefined);
    }
  };

  const used = (key: string, statement: InStatement) => {
    recent.delete(key);
    recent.set(key, { statement, atMs: performance.now() });
    if (recent.size > mostRecent) recent.delete(recent.keys().next().value!);
  };

  const read = async (statement: InStatement, ...rest: []) => {
    if (!isRead(statement)) return execute(statement, ...rest).finally(() => (asked = null));
    const key = keyOf(statement);
    if (key === null) return execute(statement, ...rest);
    const at = await now();
    if (at === null) return execute(statement, ...rest);
    if (at !== under) forget(at);
    const known = kept.get(key);
    if (known) {
      // Used last, given up last.
      kept.delete(key);
      kept.set(key, known);
      if (ahead) used(key, statement);
      return known.answer;
    }
    const answer = coming.get(key) ?? fetched(key, statement);
    if (ahead) {
      together(key);
      used(key, statement);
    }
    return answer;
  };
  const stands = async () => {
    const at = await now();
    if (at === null) return null;
    if (at !== under) forget(at);
    return sign;
  };
  return { execute: read as Client['execute'], written: () => (asked = null), stands };
}

/** The same client, keeping answers ({@link keepsAnswers}). */
export function readingBeside(
  client: Client,
  watch: Watch,
): Omit<Kept, 'execute'> & { readonly client: Client } {
  const { execute, written, stands } = keepsAnswers(client.execute, watch);
  const writing = ['batch', 'migrate', 'executeMultiple'] as const;
  const reading = new Proxy(client, {
    get(target, name) {
      if (name === 'execute') return execute;
      const own: unknown = Reflect.get(target, name, target);
      if (!writing.includes(name as never)) return own;
      return (...args: unknown[]) =>
        (own as (...given: unknown[]) => Promise<unknown>)(...args).finally(written);
    },
  });
  return { client: reading, written, stands };
}

const isRead = (statement: InStatement) =>
  /^\s*(select|with)\b/i.test(typeof statement === 'string' ? statement : statement.sql);

/** Null for a read with values that text cannot tell apart. */
function keyOf(statement: InStatement): string | null {
  if (typeof statement === 'string') return statement;
  const values = Object.values(statement.args ?? {}) as unknown[];
  if (values.some((one) => one !== null && typeof one === 'object')) return null;
  return `${statement.sql}\n${JSON.stringify(values, (_, one: unknown) => (typeof one === 'bigint' ? `${one}n` : one))}`;
}

const perValue = 16;
const sizeOf = ({ rows }: ResultSet) =>
  rows.reduce(
    (sum, row) =>
      Object.values(row).reduce<number>(
        (own, value) => own + perValue + (typeof value === 'string' ? value.length : 0),
        sum,
      ),
    0,
  );
