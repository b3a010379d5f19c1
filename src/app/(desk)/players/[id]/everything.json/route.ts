import { sayTaken } from '@/server/access/say-taken';
import { throughRoute } from '@/server/access/door';
import { everythingView } from '@/server/views/everything';

/** Everything about one child as a file, for their family. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  return throughRoute('take-away', async (context) => {
    const all = await everythingView(context, id);
    if (!all) return Response.json({ error: 'There is no such player (any more).' }, { status: 404 });
    await sayTaken(context, 'player.everything', id);
    const text = `${JSON.stringify({ format: 'vowstep-child', version: 1, madeOn: context.today, ...all }, null, 2)}\n`;
    return new Response(text, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'cache-control': 'no-store',
        'content-disposition': `attachment; filename="child-${context.today}.json"`,
      },
    });
  });
}
