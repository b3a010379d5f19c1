import { throughRoute } from '@/server/access/door';
import { childFactsView } from '@/server/views/child-facts';

/** What the session builder is told of children: `?players=` with their ids, one after the other. */
export async function GET(request: Request): Promise<Response> {
  const ids = (new URL(request.url).searchParams.get('players') ?? '').split(' ');
  return throughRoute('see', async (context) =>
    Response.json(
      await childFactsView(
        context,
        ids.filter((id) => /^\w{26}$/.test(id)),
      ),
      { headers: { 'cache-control': 'private, no-store' } },
    ),
  );
}
