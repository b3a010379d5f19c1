import { requestContext } from '@/server/context';
import { drillFile } from '@/server/drill-file';

/** Drills as a file to take away: one with `?id=`, else all. */
export async function GET(request: Request): Promise<Response> {
  const file = await drillFile(await requestContext(), new URL(request.url).searchParams.get('id'));
  if (!file) return Response.json({ error: 'There is no such drill (any more).' }, { status: 404 });
  return new Response(file.text, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${file.name}"`,
    },
  });
}
