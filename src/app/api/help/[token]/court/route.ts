import { throughLink } from '@/server/access/door';
import { linkTrouble } from '@/server/court/helper-links';
import { refusal } from '@/server/http/body';
import { helperPage } from '@/server/views/court-page';

/** A helper's page as it is now. 410: the link is closed. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  return throughLink(token, async (context) => {
    const page = await helperPage(context, token);
    if (!('kind' in page)) return Response.json(page);
    return refusal({ problems: [{ field: 'link', message: linkTrouble(page) }], status: 410 });
  });
}
