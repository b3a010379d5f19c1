import { practiceTrack } from '@/server/track';

/** A practice track to take away, as its query asks: sound (WAV) or words (WebVTT). */
export async function GET(request: Request): Promise<Response> {
  const outcome = await practiceTrack(Object.fromEntries(new URL(request.url).searchParams));
  if (!outcome.ok) return Response.json({ problems: outcome.problems }, { status: 400 });
  const { name, type, body } = outcome.value;
  return new Response(body, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
  });
}
