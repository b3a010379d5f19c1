import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { sayTaken } from '@/server/access/say-taken';
import { throughRoute } from '@/server/access/door';
import { copyFile } from '@/server/files/copies';

/** A copy of the book, to take away. */
export async function GET(_: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params;
  return throughRoute('rule-anew', async (context) => {
    const copy = copyFile(context, name);
    if (!copy) return Response.json({ error: 'There is no copy of that name.' }, { status: 404 });
    await sayTaken(context, 'copy.take', name);
    return new Response(Readable.toWeb(createReadStream(copy.file)) as ReadableStream, {
      headers: {
        'content-type': 'application/vnd.sqlite3',
        'content-length': String(copy.bytes),
        'cache-control': 'no-store',
        'content-disposition': `attachment; filename="${name}"`,
      },
    });
  });
}
