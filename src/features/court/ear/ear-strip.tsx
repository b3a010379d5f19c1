import { Ear, Square } from 'lucide-react';
import { createPortal } from 'react-dom';
import type { Step } from '@/drills/base/types';
import { besideTheNumber, heardNow } from '@/features/sound/heard-words';
import { LevelBar } from '@/features/sound/level-bar';
import type { EarState } from '@/features/sound/use-ear';

interface Props {
  readonly ear: EarState;
  readonly digit: number;
  readonly name: string;
  readonly step: Step;
  readonly onStop: () => void;
}

/** What is heard, on the tile of who is listened to; over the footer while that tile is not on the screen. */
export function EarStrip({ ear, digit, name, step, onStop }: Props) {
  const { news } = ear;
  const place = document.querySelector(`[data-ear-of="${digit}"]`);
  const heard = news?.heard ?? null;
  const bad = news?.conditions.find(({ stops }) => stops);
  const strip = (
    <section
      aria-label={`By ear: ${name}`}
      className="flex h-full min-h-16 items-center gap-1.5 border-l-2 border-ink bg-sheet px-1.5"
    >
      <span className="min-w-0 flex-1">
        <span className="flex items-center gap-1.5">
          <Ear aria-hidden size={18} className="shrink-0" />
          <span className="tabular font-head text-2xl leading-none font-extrabold" data-heard>
            {heard ? heardNow(heard, step) : '–'}
          </span>
        </span>
        <span className="block truncate text-sm leading-tight" data-heard-words>
          {bad ? `${bad.kind} here` : heard ? besideTheNumber(heard, step) : 'listens'}
        </span>
        <LevelBar levelDb={news?.levelDb ?? -80} noiseDb={news?.noiseDb ?? -80} />
      </span>
      <button
        type="button"
        onClick={onStop}
        className="inline-flex min-h-12 shrink-0 touch-manipulation flex-col items-center justify-center rounded-md border-2 border-ink bg-sheet px-2.5 text-sm font-bold active:bg-chalk"
      >
        <Square aria-hidden size={16} /> Stop
      </button>
    </section>
  );
  return place ? createPortal(strip, place) : <div className="rounded-md border-2 border-ink">{strip}</div>;
}
