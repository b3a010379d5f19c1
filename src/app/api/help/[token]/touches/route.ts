import { requestContext } from '@/server/context';
import { followSession } from '@/server/follow';
import { ingestFromHelper, linkState, linkTrouble } from '@/server/helper-links';
import { readJson } from '@/server/http/body';
import { badPlace, maxTouchBytes, placeAsked, strangeOrigin } from '@/server/http/own-pages';

interface Props {
  params: Promise<{ token: string }>;
}

const closed = (message: string) =>
  Response.json({ problems: [{ field: 'link', message }] }, { status: 410 });

/** Takes a helper's batch. 410: the link is closed; nothing was stored. */
export async function POST(request: Request, { params }: Props): Promise<Response> {
  const strange = strangeOrigin(request);
  if (strange) return strange;
  const body = await readJson(request, maxTouchBytes);
  if (!body.ok) return Response.json({ problems: body.problems }, { status: body.status ?? 400 });
  const outcome = await ingestFromHelper(await requestContext(), (await params).token, body.value);
  if (outcome.ok) return Response.json(outcome.value);
  const [first] = outcome.problems;
  return first?.field === 'link'
    ? closed(first.message)
    : Response.json({ problems: outcome.problems }, { status: 400 });
}

/** What was stored of the helper's child, and of the block's clock, after a place in the log. */
export async function GET(request: Request, { params }: Props): Promise<Response> {
  const after = placeAsked(request);
  if (after === null) return badPlace();
  const context = await requestContext();
  const link = await linkState(context, (await params).token);
  if (link.kind !== 'open') return closed(linkTrouble(link));
  return Response.json(await followSession(context, link.sessionId, after, link.playerId));
}
