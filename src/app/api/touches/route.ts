import { requestContext } from '@/server/context';
import { readJson, refusal } from '@/server/http/body';
import { ingestAnswer, maxTouchBytes } from '@/server/http/log-requests';
import { ingestTouches } from '@/server/log/ingest';

/** Takes a batch of events of a running session. 200: all stored or known before. Anything else: nothing was stored. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request, maxTouchBytes);
  if (!body.ok) return refusal(body);
  return ingestAnswer(async () => ingestTouches(await requestContext(), body.value));
}
