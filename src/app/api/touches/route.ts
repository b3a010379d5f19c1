import { throughRoute } from '@/server/access/door';
import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';
import { ingestAnswer } from '@/server/api/log-requests';
import { ingestTouches } from '@/server/court/ingest';

/** Takes a batch of events of a running session. 200: all stored or known before. Anything else: nothing was stored. */
export async function POST(request: Request): Promise<Response> {
  return throughRoute('write', async (context) => {
    const body = await readJson(request, bodyLimits.touches);
    return body.ok ? ingestAnswer(() => ingestTouches(context, body.value)) : refusal(body);
  });
}
