import type { Client, InStatement, ResultSet } from '@libsql/client';

interface Waiting {
  readonly statement: InStatement;
  readonly resolve: (answer: ResultSet) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Sends what is asked in one turn of the event loop in one request: over a network, the way costs more than the query.
 * They are answered from one moment of the database.
 */
export function gathering(
  client: Pick<Client, 'execute' | 'batch'>,
): (statement: InStatement) => Promise<ResultSet> {
  let waiting: Waiting[] = [];
  const send = () => {
    const all = waiting;
    waiting = [];
    void together(client, all);
  };
  return (statement) =>
    new Promise((resolve, reject) => {
      if (waiting.push({ statement, resolve, reject }) === 1) setImmediate(send);
    });
}

async function together(client: Pick<Client, 'execute' | 'batch'>, all: readonly Waiting[]): Promise<void> {
  const alone = ({ statement, resolve, reject }: Waiting) => client.execute(statement).then(resolve, reject);
  if (all.length === 1) return alone(all[0]!);
  try {
    const answers = await client.batch(
      all.map(({ statement }) => statement),
      'read',
    );
    for (const [index, { resolve }] of all.entries()) resolve(answers[index]!);
  } catch {
    // One of them is at fault, and each hears its own.
    await Promise.all(all.map(alone));
  }
}
