import { seededRandom, wholeBetween } from '../../src/core/base/random';
import { EarAtWork, type EarNews } from '@/core/sound/job';
import { anyRoom, madeRows, taught, thingsOf } from '@/core/sound/synth/drills';
import { sceneWave } from '@/core/sound/synth/scene';

/** What became of rows in a noisy room: refused before they were counted, or counted with a range. */
export interface NoisyRows {
  readonly refused: boolean;
  /** For each row whether its number lies in the range that was said; none where it was refused. */
  readonly inRange: readonly boolean[];
}

const piece = 2048;

function hears(work: EarAtWork, wave: Float32Array): EarNews {
  let last: EarNews | null = null;
  for (let at = 0; at + piece <= wave.length; at += piece)
    last = work.take(wave.slice(at, at + piece)) ?? last;
  return last!;
}

/** The whole way of a coach in a room of some noise: the ball and the floor are taught, then two rows are listened to. */
export function noisyRows(seed: number, snrDb: number): NoisyRows {
  const random = seededRandom(seed);
  const room = anyRoom(random, snrDb);
  const things = thingsOf(seed);
  const work = new EarAtWork(room.rate);
  const waveOf = (made: Pick<ReturnType<typeof taught>, 'seconds' | 'blows'>, at: number) =>
    sceneWave({ ...room, seed: 7 * seed + at, seconds: made.seconds, struck: made.blows });
  for (const [at, kind] of (['strings', 'floor'] as const).entries()) {
    work.ask({ kind: 'teach', label: kind, sound: kind });
    const { conditions, knows } = hears(work, waveOf(taught(things, kind, at === 0 ? 0 : -3), at));
    work.ask({ kind: 'end lesson' });
    if (conditions.some(({ stops }) => stops) || !knows.includes(kind)) return { refused: true, inRange: [] };
  }
  const lengths = [wholeBetween(random, 5, 12), wholeBetween(random, 8, 24)];
  work.ask({
    kind: 'listen',
    hearing: { by: 'rows', counts: 'strings', ends: 'floor', periodS: { least: 0.22, most: 1.2 } },
  });
  const { heard, conditions } = hears(work, waveOf(madeRows(things, lengths), 5));
  if (conditions.some(({ stops }) => stops)) return { refused: true, inRange: [] };
  const found = heard?.by === 'rows' ? heard.rows.rows.filter(({ touches }) => touches.length > 1) : [];
  const inRange = lengths.map((wanted, n) => {
    const { from, to } = found[n]?.howMany ?? { from: 0, to: 0 };
    return wanted >= from && wanted <= to;
  });
  return { refused: false, inRange };
}
