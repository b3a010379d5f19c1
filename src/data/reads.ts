import type { Client, InStatement, ResultSet } from '@libsql/client';

/**
 * What is kept of answers, characters of text. Ours: some hundred pages of a large club, little beside the server itself.
 */
const keptText = 16e6;

/**
 * Keeps the answers to reads until anybody writes to the file, this process or another.
 *
 * A page that is opened again, or by a second coach, costs no query then. SQLite says whether anything was written
 * through a number that changes for a connection whenever another one commits (`PRAGMA data_version`); a connection of
 * its own asks for it, once for all reads of one turn of the event loop; what this process writes meanwhile is said by
 * `written`. The number is asked for before the read, so an answer is never older than the number it is kept under.
 * @param watch a client of the same file that neither writes nor is used for anything else
 */
export function keepsAnswers(
  execute: Client['execute'],
  watch: Pick<Client, 'execute' | 'reconnect'>,
): { readonly execute: Client['execute']; readonly written: () => void } {
  const kept = new Map<string, { readonly answer: ResultSet; readonly size: number }>();
  let [under, size]: [unknown, number] = [null, 0];
  let asked: Promise<unknown> | null = null;

  const forget = () => {
    kept.clear();
    size = 0;
  };
  /** The number the file stands at; null where it cannot be told, and nothing is kept. */
  const version = () => {
    if (asked) return asked;
    setImmediate(() => (asked = null));
    return (asked = watch
      .execute('PRAGMA data_version')
      .then(({ rows }) => rows[0]?.data_version ?? null)
      .catch(async () => {
        // A connection that met a lock tells nothing reliable any more, and a new one counts from elsewhere.
        forget();
        under = null;
        await watch.reconnect();
        return null;
      }));
  };

  const read = async (statement: InStatement, ...rest: []) => {
    if (!isRead(statement)) return execute(statement, ...rest).finally(() => (asked = null));
    const key = keyOf(statement);
    if (key === null) return execute(statement, ...rest);
    const at = await version();
    if (at === null) return execute(statement, ...rest);
    if (at !== under) {
      forget();
      under = at;
    }
    const known = kept.get(key);
    if (known) {
      // Used last, given up last.
      kept.delete(key);
      kept.set(key, known);
      return known.answer;
    }
    const answer = await execute(statement, ...rest);
    if (at === under) {
      const own = key.length + sizeOf(answer);
      kept.set(key, { answer, size: own });
      size += own;
      for (const [old, { size: its }] of kept) {
        if (size <= keptText) break;
        kept.delete(old);
        size -= its;
      }
    }
    return answer;
  };
  return { execute: read as Client['execute'], written: () => (asked = null) };
}

/** The same client, keeping answers ({@link keepsAnswers}). */
export function readingBeside(client: Client, watch: Client): { client: Client; written: () => void } {
  const { execute, written } = keepsAnswers(client.execute, watch);
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
  return { client: reading, written };
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
