'use client';

import { ChevronLeft, ChevronRight, FlipHorizontal2, Pause, Play, Repeat, X } from 'lucide-react';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/error-note';
import { cx } from '@/ui/class-names';
import type { HeardTouch } from '@/core/sound/count/rows';
import { ClipLine } from './clip-line';
import { PictureMeasure } from './picture-measure';
import { StillButton } from './still-button';
import type { Clip } from './use-clip';

interface Props {
  readonly clip: Clip;
  readonly title: string;
  readonly heard: readonly HeardTouch[];
  /** True where a checkpoint names something that can be measured on the picture. */
  readonly measures: boolean;
  readonly active: boolean;
  readonly onActive: () => void;
  /** Whose page a still is kept with, and what it is called; null where nobody is chosen. */
  readonly still: {
    readonly player: { readonly id: string; readonly name: string };
    readonly words: string;
  } | null;
}

const rates = [0.1, 0.25, 0.5, 1] as const;

/** One clip: its picture, how it runs, and its line of time. */
export function ClipPane({ clip, title, heard, measures, active, onActive, still }: Props) {
  const { video, url, atS, durationS, playing, rate, loops, mirrored } = clip;
  const [measuring, setMeasuring] = useState(false);
  return (
    <section
      aria-label={title}
      onPointerDown={onActive}
      className={cx(
        'min-w-0 space-y-2 rounded-md border-2 bg-sheet p-3',
        active ? 'border-ink' : 'border-line',
      )}
    >
      <div className="flex items-center justify-between gap-2">
        <h2 className="truncate text-lg">{clip.name ?? title}</h2>
        <Button look="quiet" onClick={clip.close} aria-label={`Close ${clip.name ?? title}`}>
          <X aria-hidden size={18} />
        </Button>
      </div>
      {clip.problem && <ErrorNote>{clip.problem}</ErrorNote>}
      <div className="relative overflow-hidden rounded-md bg-ink">
        <video
          ref={video}
          src={url ?? undefined}
          playsInline
          muted={rate < 1}
          loop={loops}
          preload="auto"
          aria-label={`Picture of ${clip.name ?? title}`}
          onLoadedMetadata={clip.onLoaded}
          onError={clip.onError}
          onPlay={() => clip.onPlaying(true)}
          onPause={() => clip.onPlaying(false)}
          className={cx('block max-h-[40vh] w-full', mirrored && '-scale-x-100')}
        />
        {measuring && <PictureMeasure video={video} mirrored={mirrored} atS={atS} />}
      </div>
      {clip.picture === false && (
        <p className="text-care">This file has no picture: only its sound can be counted.</p>
      )}
      <ClipLine durationS={durationS} atS={atS} heard={heard} marks={clip.marks} onSeek={clip.seek} />
      <div className="flex flex-wrap items-center gap-1.5">
        <Button onClick={() => void clip.step(-1)}>
          <ChevronLeft aria-hidden size={18} /> Frame back
        </Button>
        <Button look="now" onClick={playing ? clip.pause : clip.play}>
          {playing ? <Pause aria-hidden size={18} /> : <Play aria-hidden size={18} />}{' '}
          {playing ? 'Pause' : 'Play'}
        </Button>
        <Button onClick={() => void clip.step(1)}>
          Frame on <ChevronRight aria-hidden size={18} />
        </Button>
        <label className="flex items-center gap-1">
          Speed
          <select
            value={rate}
            onChange={({ target }) => clip.setRate(Number(target.value))}
            className="min-h-11 rounded-md border-2 border-edge bg-sheet px-1"
          >
            {rates.map((one) => (
              <option key={one} value={one}>
                {one === 1 ? 'as it was' : `${one} ×`}
              </option>
            ))}
          </select>
        </label>
        <Button aria-pressed={loops} look={loops ? 'now' : 'plain'} onClick={() => clip.setLoops(!loops)}>
          <Repeat aria-hidden size={18} /> Loop
        </Button>
        <Button
          aria-pressed={mirrored}
          look={mirrored ? 'now' : 'plain'}
          onClick={() => clip.setMirrored(!mirrored)}
        >
          <FlipHorizontal2 aria-hidden size={18} /> Mirror
        </Button>
        {measures && (
          <Button
            aria-pressed={measuring}
            look={measuring ? 'now' : 'plain'}
            onClick={() => setMeasuring(!measuring)}
          >
            Measure
          </Button>
        )}
        {still && clip.picture && (
          <StillButton
            video={video}
            mirrored={mirrored}
            player={still.player}
            words={`${still.words}, ${atS.toFixed(2)} s`}
          />
        )}
        <span className="tabular ml-auto text-lg font-bold" data-at>
          {atS.toFixed(3)} s
        </span>
      </div>
    </section>
  );
}
