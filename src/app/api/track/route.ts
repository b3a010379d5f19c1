import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';
import { Line } from '@/server/http/line';
import { fileResponse } from '@/server/http/take';
import { throughRoute } from '@/server/doors/door';
import { practiceTrack } from '@/server/track';

const line = new Line(4);

/** A practice track to take away: sound (WAV) or words (WebVTT). One is made at a time, and no longer than somebody takes it. */
export async function POST(request: Request): Promise<Response> {
  return throughRoute('see', async () => {
    const wish = await readJson(request, bodyLimits.track);
    if (!wish.ok) return refusal(wish);
    const file = await practiceTrack(wish.value);
    if (!file.ok) return refusal(file);
    const leave = await line.enter(request.signal);
    if (!leave)
      return refusal(
        {
          problems: [
            { field: 'track', message: 'Other tracks are being made just now: try again in a moment.' },
          ],
          status: 503,
        },
        { 'retry-after': '10' },
      );
    request.signal.addEventListener('abort', leave);
    return fileResponse(file.value, leave);
  });
}
