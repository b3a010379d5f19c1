import { calendarFor } from '@/server/plan/calendar';
import { throughLink } from '@/server/access/door';

/** The sessions as a calendar a program follows. 410: the address opens nothing (any more). */
export async function GET(_: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params;
  return throughLink(token, async (context) => {
    const text = await calendarFor(context, token);
    if (text === null)
      return new Response('This address opens nothing any more: ask an owner for a new one.\n', {
        status: 410,
      });
    return new Response(text, {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'cache-control': 'private, no-store',
        'x-robots-tag': 'noindex',
      },
    });
  });
}
