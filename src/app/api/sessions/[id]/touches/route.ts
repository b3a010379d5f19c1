import { throughRoute } from '@/server/access/door';
import { followSession } from '@/server/court/follow';
import { badPlace, placeAsked } from '@/server/api/log-requests';

/** What was stored in a session after a place in the log: how a run screen hears of other devices. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const from = placeAsked(request);
  if (from === null) return badPlace();
  const { id } = await params;
  return throughRoute('see', async (context) => Response.json(await followSession(context, id, from)));
}
