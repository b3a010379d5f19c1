'use client';

import { useEffect, useRef, useState } from 'react';
import { saveFile } from '@/ui/save-file';
import { Chip } from './chip';

interface Props {
  /** What the track is made of, as the server takes it. */
  readonly wish: Readonly<Record<string, unknown>>;
}

type Making = { readonly kind: 'idle' | 'making'; readonly percent: number; readonly trouble?: string };
const idle: Making = { kind: 'idle', percent: 0 };

/** Takes the beat and the calls of a block away as a sound file, or their words; it is told how far it is, and can be left. */
export function PracticeTrack({ wish }: Props) {
  const [making, setMaking] = useState<Making>(idle);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);

  const take = async (format: 'wav' | 'vtt') => {
    const leave = (stop.current = new AbortController());
    setMaking({ kind: 'making', percent: 0 });
    try {
      const response = await fetch('/api/track', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...wish, format }),
        signal: leave.signal,
      });
      if (!response.ok) {
        const { problems } = (await response.json()) as { problems: { message: string }[] };
        return setMaking({ ...idle, trouble: problems[0]?.message ?? 'The track could not be made.' });
      }
      const file = await taken(response, (share) =>
        setMaking({ kind: 'making', percent: Math.round(100 * share) }),
      );
      saveFile(`${String(wish.name)}.${format}`, file);
      setMaking(idle);
    } catch {
      setMaking(
        leave.signal.aborted
          ? idle
          : { ...idle, trouble: 'The server could not be reached: try again when it is back.' },
      );
    }
  };

  if (making.kind === 'making')
    return (
      <>
        <span role="status" className="tabular self-center">
          Making the track: {making.percent} %
        </span>
        <Chip onPress={() => stop.current?.abort()}>Leave it</Chip>
      </>
    );
  return (
    <>
      <Chip onPress={() => void take('wav')}>Practice track (WAV)</Chip>
      <Chip onPress={() => void take('vtt')}>Its words (WebVTT)</Chip>
      {making.trouble && <span role="alert">{making.trouble}</span>}
    </>
  );
}

/** A file as it comes in, told how much of it is here. */
async function taken(response: Response, onShare: (share: number) => void): Promise<Blob> {
  const whole = Number(response.headers.get('x-bytes') ?? 0);
  const reader = response.body!.getReader();
  const parts: BlobPart[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return new Blob(parts, { type: response.headers.get('content-type') ?? '' });
    parts.push(value);
    size += value.length;
    if (whole > 0) onShare(Math.min(1, size / whole));
  }
}
