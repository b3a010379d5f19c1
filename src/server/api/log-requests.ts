import { troubleOf } from '@/data/trouble';
import type { LogPlace } from '@/server/court/follow';
import type { Ingested } from '@/server/court/ingest';
import { buildId } from '@/server/base/build-id';
import { refusal } from '@/server/http/body';

const ulidOrNothing = /^(?:[0-7][0-9A-HJKMNP-TV-Z]{25})?$/;

/** The place in the log a device asks to follow from (`after`, `id`, `epoch`); null for anything else. */
export function placeAsked(request: Request): LogPlace | null {
  const asked = new URL(request.url).searchParams;
  const seq = Number(asked.get('after') ?? '0');
  const id = asked.get('id') ?? '';
  const epoch = asked.get('epoch') ?? '';
  if (!Number.isSafeInteger(seq) || seq < 0 || !ulidOrNothing.test(id) || epoch.length > 64) return null;
  return { seq, id: id === '' ? null : id, epoch };
}

export const badPlace = () =>
  Response.json(
    {
      problems: [
        { field: 'after', message: 'after must be a whole number from 0, id the event there, epoch a name.' },
      ],
    },
    { status: 400 },
  );

/**
 * The answer to a batch. 400: some events are not taken, each is named; 410: the link is closed; 503: the database cannot
 * take anything just now, and the same batch may come again; 500: the server could not digest it.
 */
export async function ingestAnswer(work: () => Promise<Ingested>): Promise<Response> {
  try {
    const outcome = await work();
    if (outcome.ok) return Response.json({ ...outcome.value, build: buildId() });
    const { problems, refused } = outcome;
    if (problems[0]?.field === 'link') return refusal({ problems, status: 410 });
    return Response.json({ problems, ...(refused && { refused }) }, { status: 400 });
  } catch (error) {
    const trouble = troubleOf(error);
    if (!trouble) {
      console.error(error);
      const message = 'The server could not digest this: it is kept on this device.';
      return refusal({ problems: [{ field: 'server', message }], status: 500 });
    }
    return refusal({ problems: [{ field: 'database', message: trouble.message }], status: 503 });
  }
}
