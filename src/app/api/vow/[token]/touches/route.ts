import { throughLink } from '@/server/access/door';
import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';
import { ingestAnswer } from '@/server/api/log-requests';
import { ingestFromHome } from '@/server/vows/links';

/** Takes what was counted at home. 410: the link is closed; nothing was stored. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const { token } = await params;
  return throughLink(token, async (context) => {
    const body = await readJson(request, bodyLimits.touches);
    if (!body.ok) return refusal(body);
    return ingestAnswer(() => ingestFromHome(context, token, body.value));
  });
}
