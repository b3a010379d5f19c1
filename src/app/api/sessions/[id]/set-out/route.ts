import { throughRoute } from '@/server/access/door';
import { sessionSetOutView } from '@/server/views/session-set-out';

/** A session on the floor of its place, for the small plan on court. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return throughRoute('see', async (context) => {
    const view = await sessionSetOutView(context, id);
    if (view) return Response.json(view);
    return Response.json(
      { problems: [{ field: 'session', message: 'This session is not on record (any more).' }] },
      { status: 404 },
    );
  });
}
