import { throughRoute } from '@/server/access/door';
import { refusal } from '@/server/http/body';
import { courtPage } from '@/server/views/court-page';

/** The court page of a session as it is now: how a run screen renews itself without being loaded again. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return throughRoute('see', async (context) => {
    const page = await courtPage(context, id);
    if (page) return Response.json(page);
    const message = 'This session is not on the server (any more).';
    return refusal({ problems: [{ field: 'session', message }], status: 404 });
  });
}
