import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';
import type { TableLook } from '@/server/views/files';

export interface SentTable {
  readonly table: 'squad' | 'sessions';
  readonly file: File;
  /** True to be told what it would do, and no more. */
  readonly look: boolean;
  /** Which column is which field; the server's guess where it is left out. */
  readonly mapping?: TableLook['mapping'];
  readonly signal: AbortSignal;
}

/** Sends a table as it is: its letters are read on the server, whatever they are written in. */
export async function sendTable({
  table,
  file,
  look,
  mapping,
  signal,
}: SentTable): Promise<Outcome<unknown>> {
  const query = new URLSearchParams({ name: file.name });
  if (look) query.set('look', '1');
  if (mapping) query.set('map', JSON.stringify(mapping));
  try {
    const answer = await fetch(`/api/tables/${table}?${query.toString()}`, {
      method: 'POST',
      body: file,
      headers: { 'content-type': 'text/csv' },
      signal,
    });
    const said = (await answer.json()) as { problems?: readonly Problem[] };
    return answer.ok ? done(said) : { ok: false, problems: said.problems ?? [] };
  } catch {
    return refused(
      'server',
      signal.aborted
        ? 'This was left off. Nothing was brought in.'
        : 'The server could not be reached or could not take this: try again.',
    );
  }
}
