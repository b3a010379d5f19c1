import { revalidatePath } from 'next/cache';
import { bringClub, clubFile } from '@/server/challenges/club';
import { throughRoute } from '@/server/access/door';
import { sayTaken } from '@/server/access/say-taken';
import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';

interface Props {
  readonly params: Promise<{ id: string }>;
}

/** Our results in a challenge, for another club: `?club=` is what the others know us by. No name is in it. */
export async function GET(request: Request, { params }: Props): Promise<Response> {
  const { id } = await params;
  const club = (new URL(request.url).searchParams.get('club') ?? '').slice(0, 200);
  return throughRoute('take-away', async (context) => {
    const file = await clubFile(context, id.slice(0, 80), club);
    if (!file.ok) return refusal({ problems: file.problems, status: 404 });
    await sayTaken(context, 'challenge.take', id);
    return new Response(file.value, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="vowstep-challenge-${context.today}.json"`,
      },
    });
  });
}

/** Another club's results. */
export async function POST(request: Request, { params }: Props): Promise<Response> {
  const { id } = await params;
  return throughRoute(
    'write',
    async (context) => {
      const body = await readJson(request, bodyLimits.challenge);
      if (!body.ok) return refusal(body);
      const outcome = await bringClub(context, id.slice(0, 80), body.value);
      if (!outcome.ok) return refusal(outcome);
      revalidatePath('/', 'layout');
      return Response.json(outcome.value);
    },
    'challenge.bring',
  );
}
