import type { DrawnBlock } from '@/core/planning/plan-time';
import { tapeLengthS } from '@/core/planning/tape';
import { cx } from './class-names';

/** One block's own parts, drawn to scale inside its piece of tape. */
export function TapeParts({ time }: { time: DrawnBlock }) {
  const restS = time.turns > 1 ? 0 : time.restS;
  const collectS = time.collectS * time.turns;
  const parts = [
    [time.setUpS + time.showS, 'hatch-setup'],
    // With turns the stations are in use all the time: one rests while the next one works.
    [time.activeS - restS - collectS, 'bg-sheet'],
    [restS, 'hatch-rest'],
    [collectS, 'hatch-collect'],
    [time.changeoverS, 'hatch-setup'],
    [time.breakS, 'hatch-rest'],
  ] as const;
  return (
    <span aria-hidden className="absolute inset-0 flex">
      {parts.map(([seconds, look], index) => (
        <span key={index} className={look} style={{ width: `${(100 * seconds) / time.totalS}%` }} />
      ))}
    </span>
  );
}

/** Minutes along the tape, every so many that they do not crowd. */
export function TapeScale({ lengthS, bookedS }: { lengthS: number; bookedS: number }) {
  const minutes = lengthS / 60;
  const every = [1, 2, 5, 10, 15, 30].find((step) => minutes / step <= 14) ?? 60;
  // The last minutes before the edge belong to its own label.
  const ticks = Array.from({ length: Math.floor(minutes / every) + 1 }, (_, index) => index * every).filter(
    (minute) => minute * 60 > bookedS || minute * 60 < bookedS - lengthS * 0.1,
  );
  return (
    <div aria-hidden className="tabular @container relative h-6 text-xs text-soft">
      {ticks.map((minute) => (
        <span
          key={minute}
          // On a narrow tape the edge’s own label is as long as a third of it.
          className={cx(
            'absolute top-0 border-l-2 border-edge pl-1',
            minute * 60 > bookedS - lengthS * 0.34 && minute * 60 < bookedS && 'hidden @min-[40rem]:block',
          )}
          style={{ left: `${(6000 * minute) / lengthS}%` }}
        >
          {minute}
        </span>
      ))}
      <span
        className="absolute top-0 -translate-x-full pr-2 font-bold whitespace-nowrap text-ink"
        style={{ left: `${(100 * bookedS) / lengthS}%` }}
      >
        {bookedS / 60} min booked
      </span>
    </div>
  );
}

/** The hard edge at the end of the booking. */
export function TapeEdge({ lengthS, bookedS }: { lengthS: number; bookedS: number }) {
  return (
    <span
      aria-hidden
      className="pointer-events-none absolute -top-2 -bottom-2 z-10 w-1 bg-ink"
      style={{ left: `${(100 * bookedS) / lengthS}%` }}
    />
  );
}

export interface TapeProps {
  readonly blocks: readonly DrawnBlock[];
  readonly titles: readonly string[];
  readonly totalS: number;
  readonly bookedS: number;
}

/** A session as a strip of tape, to scale, to look at. */
export function Tape({ blocks, titles, totalS, bookedS }: TapeProps) {
  const lengthS = tapeLengthS(totalS, bookedS);
  return (
    <div>
      <div className="relative h-10 border-y-2 border-line bg-chalk">
        {blocks.map((block, index) => (
          <span
            key={block.id}
            className="@container absolute inset-y-0 overflow-hidden border-r-2 border-ink bg-chalk first:border-l-2"
            style={{
              left: `${(100 * block.startS) / lengthS}%`,
              width: `${(100 * block.totalS) / lengthS}%`,
            }}
          >
            <TapeParts time={block} />
            <span className="sr-only">
              {index + 1} {titles[index]}
            </span>
            <span
              aria-hidden
              className="relative m-px line-clamp-2 w-fit rounded-sm bg-sheet px-0.5 text-sm leading-none font-semibold @min-[2rem]:m-1 @min-[2rem]:max-w-[calc(100%-8px)] @min-[2rem]:px-1"
            >
              {index + 1}
              <span className="hidden @min-[7.5rem]:inline"> {titles[index]}</span>
            </span>
          </span>
        ))}
        <TapeEdge lengthS={lengthS} bookedS={bookedS} />
      </div>
      <TapeScale lengthS={lengthS} bookedS={bookedS} />
    </div>
  );
}
