import { bodyLimits } from '@/server/http/body-limits';
import { readJson, refusal } from '@/server/http/body';
import { inLine } from '@/server/http/in-line';
import { fileResponse } from '@/server/http/take';
import { throughRoute } from '@/server/access/door';
import { practiceTrack } from '@/server/base/track';

/** A practice track to take away: sound (WAV) or words (WebVTT). One is made at a time, and no longer than somebody takes it. */
export async function POST(request: Request): Promise<Response> {
  return throughRoute('see', async () => {
    const wish = await readJson(request, bodyLimits.track);
    if (!wish.ok) return refusal(wish);
    const file = await practiceTrack(wish.value);
    if (!file.ok) return refusal(file);
    const turn = await inLine('track', request.signal);
    if ('refusal' in turn) return turn.refusal;
    const { leave } = turn;
    request.signal.addEventListener('abort', leave);
    return fileResponse(file.value, leave);
  });
}
