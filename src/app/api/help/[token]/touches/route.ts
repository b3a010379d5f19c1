import { throughLink } from '@/server/access/door';
import { followSession } from '@/server/court/follow';
import { ingestFromHelper } from '@/server/court/helper-ingest';
import { linkState, linkTrouble } from '@/server/court/helper-links';
import { forHelper } from '@/server/views/helper';
import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';
import { badPlace, ingestAnswer, placeAsked } from '@/server/api/log-requests';

interface Props {
  params: Promise<{ token: string }>;
}

/** Takes a helper's batch. 410: the link is closed; nothing was stored. */
export async function POST(request: Request, { params }: Props): Promise<Response> {
  const { token } = await params;
  return throughLink(token, async (context) => {
    const body = await readJson(request, bodyLimits.touches);
    if (!body.ok) return refusal(body);
    return ingestAnswer(() => ingestFromHelper(context, token, body.value));
  });
}

/** What was stored of the helper's child, and of the block's clock, after a place in the log. */
export async function GET(request: Request, { params }: Props): Promise<Response> {
  const from = placeAsked(request);
  if (from === null) return badPlace();
  const { token } = await params;
  return throughLink(token, async (context) => {
    const link = await linkState(context, token);
    if (link.kind !== 'open')
      return refusal({ problems: [{ field: 'link', message: linkTrouble(link) }], status: 410 });
    const followed = await followSession(context, link.sessionId, from);
    return Response.json({ ...followed, events: forHelper(link, followed.events) });
  });
}
