import { throughRoute } from '@/server/access/door';
import { refusal } from '@/server/http/body';
import { beginningNow, homeView } from '@/server/views/home';
import { makeVowFile, signOfFile } from '@/server/vows/files';
import { vowFilePage } from '@/server/vows/file-page';

/** A child’s vows in one file for a home without the server. Each has a key of its own, so it is made by a POST. */
export async function POST(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  return throughRoute(
    'take-away',
    async (context) => {
      const made = await makeVowFile(context, id);
      if (!made.ok) return refusal({ ...made, status: 404 });
      const { id: fileId, key } = made.value;
      const view = await homeView(context, { playerId: id, ...signOfFile(fileId) });
      if (!view)
        return refusal({ problems: [{ field: 'playerId', message: 'This player is gone.' }], status: 404 });
      const page = await vowFilePage(beginningNow(view), { id: fileId, key });
      return new Response(page, {
        headers: {
          'content-type': 'text/html; charset=utf-8',
          'content-disposition': 'attachment; filename="vow.html"',
          'cache-control': 'private, no-store',
        },
      });
    },
    'vow.file',
  );
}
