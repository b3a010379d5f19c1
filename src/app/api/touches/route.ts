import { requestContext } from '@/server/context';
import { readJson } from '@/server/http/body';
import { maxTouchBytes, strangeOrigin } from '@/server/http/own-pages';
import { ingestTouches } from '@/server/ingest';

/** Takes a batch of events of a running session. 200: all stored or known before. 4xx: nothing was stored. */
export async function POST(request: Request): Promise<Response> {
  const strange = strangeOrigin(request);
  if (strange) return strange;
  const body = await readJson(request, maxTouchBytes);
  if (!body.ok) return Response.json({ problems: body.problems }, { status: body.status ?? 400 });
  const outcome = await ingestTouches(await requestContext(), body.value);
  return outcome.ok
    ? Response.json(outcome.value)
    : Response.json({ problems: outcome.problems }, { status: 400 });
}
