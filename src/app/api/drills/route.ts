import { revalidatePath } from 'next/cache';
import { throughRoute } from '@/server/access/door';
import { drillFile } from '@/server/drills/drill-file';
import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';
import { newsResponse } from '@/server/http/news';
import { importDrills, type Imported } from '@/server/drills/import-drills';

/** Drills as a file to take away: one with `?id=`, else all. */
export async function GET(request: Request): Promise<Response> {
  return throughRoute('take-away', async (context) => {
    const file = await drillFile(context, new URL(request.url).searchParams.get('id'));
    if (!file) return Response.json({ error: 'There is no such drill (any more).' }, { status: 404 });
    return new Response(file.text, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${file.name}"`,
      },
    });
  });
}

/** Takes a file of drills: all of them or none. The answer says how far it is, a line at a time; the last one how it went. */
export async function POST(request: Request): Promise<Response> {
  return throughRoute(
    'write',
    async (context) => {
      const body = await readJson(request, bodyLimits.drills);
      if (!body.ok) return refusal(body);
      return newsResponse<Imported>(request.signal, async (say, signal) => {
        const outcome = await importDrills(context, body.value, {
          onChecked: (checked, of) => say({ checked, of }),
          signal,
        });
        if (outcome.ok) revalidatePath('/', 'layout');
        return outcome;
      });
    },
    'drill.import',
  );
}
