import { requestContext } from '@/server/context';
import { readJson } from '@/server/http/body';
import { ingestTouches } from '@/server/ingest';

/** 250 events of the longest kind are some 75 KB. */
const maxBytes = 128 * 1024;

/** Takes a batch of events of a running session. 200: all stored or known before. 4xx: nothing was stored. */
export async function POST(request: Request): Promise<Response> {
  // Browsers say where a request comes from; another site has no business here.
  const site = request.headers.get('sec-fetch-site');
  if (site && site !== 'same-origin')
    return Response.json(
      { problems: [{ field: 'origin', message: 'Touches are taken from Vow Step’s own pages only.' }] },
      { status: 403 },
    );
  const body = await readJson(request, maxBytes);
  if (!body.ok) return Response.json({ problems: body.problems }, { status: body.status ?? 400 });
  const outcome = await ingestTouches(await requestContext(), body.value);
  return outcome.ok
    ? Response.json(outcome.value)
    : Response.json({ problems: outcome.problems }, { status: 400 });
}
