import { revalidatePath } from 'next/cache';
import { throughRoute } from '@/server/access/door';
import { sayTaken } from '@/server/access/say-taken';
import { bundleStream, isPart, partIsThere } from '@/server/files/bundle';
import { lookAtBundle, takeOverBundle, type TookOver } from '@/server/files/bring-in';
import { bodyLimits } from '@/server/http/body-limits';
import { noJson, readJsonBytes, refusal } from '@/server/http/body';
import { inLine } from '@/server/http/in-line';
import { newsResponse } from '@/server/http/news';
import { parseApart } from '@/server/http/parse-apart';
import { fileResponse, inBytes } from '@/server/http/take';

/** The book as a file, or a part of it: `?part=child&id=…`. All of it is an owner's to take away. */
export async function GET(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const part = asked.get('part') ?? 'book';
  return throughRoute(part === 'book' ? 'rule-anew' : 'take-away', async (context) => {
    if (!isPart(part))
      return refusal({ problems: [{ field: 'part', message: 'There is no such part of the book.' }] });
    const id = (asked.get('id') ?? '').slice(0, 80);
    const there = await partIsThere(context, part, id);
    if (!there.ok) return refusal({ problems: there.problems, status: 404 });
    await sayTaken(context, 'book.take', ...(id ? [id] : []));
    const turn = await inLine('export', request.signal);
    if ('refusal' in turn) return turn.refusal;
    return fileResponse(
      {
        name: `vowstep-${part}-${context.today}.json`,
        type: 'application/json; charset=utf-8',
        pieces: () => inBytes(bundleStream(context, part, id)),
      },
      turn.leave,
    );
  });
}

/**
 * Brings a file with the book in: `?look=1` only says what it would do; `?replace=1` lets the file say what differs. The
 * answer says how far it is, a line at a time; the last one how it went.
 */
export async function POST(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  return throughRoute(
    'rule',
    async (context) => {
      // A large file takes memory: one is read at a time.
      const turn = await inLine('bring', request.signal);
      if ('refusal' in turn) return turn.refusal;
      const { leave } = turn;
      const body = await readJsonBytes(request, bodyLimits.book).catch((error: unknown) => {
        // Whoever sent it hung up in the middle: the next one is let in.
        leave();
        throw error;
      });
      if (!body.ok) {
        leave();
        return refusal(body);
      }
      const name = (asked.get('name') ?? 'a file').slice(0, 120);
      return newsResponse<TookOver>(request.signal, async (say, signal) => {
        try {
          const file = await parseApart(body.value, signal);
          if (!file) return noJson;
          const watch = { signal, onChecked: (checked: number, of: number) => say({ checked, of }) };
          if (asked.get('look') === '1') {
            const look = await lookAtBundle(context, file.value, watch);
            return look.ok ? { ok: true, value: { ...look.value, id: null } } : look;
          }
          const replace = asked.get('replace') === '1';
          const outcome = await takeOverBundle(context, file.value, { replace, name }, watch);
          if (outcome.ok) revalidatePath('/', 'layout');
          return outcome;
        } finally {
          leave();
        }
      });
    },
    'book.import',
  );
}
