import type { DrawnBlock } from '@/core/plan/plan-time';
import { tapeLengthS } from '@/core/plan/tape';
import { cx } from './class-names';

/** Parts of a piece of tape: how long each is, and how it looks. */
type Parts = readonly (readonly [seconds: number, look: string])[];

/** The rounds of a circuit, and the walks between them. */
const roundParts = ({ rounds, stationS, changeS }: NonNullable<DrawnBlock['station']>): Parts =>
  Array.from({ length: rounds }, (_, round) => [
    [stationS, 'bg-sheet'] as const,
    ...(round < rounds - 1 ? [[changeS, 'hatch-rest'] as const] : []),
  ]).flat();

/** One block's own parts, drawn to scale inside its piece of tape; of a station, those of its circuit. */
export function TapeParts({ time }: { time: DrawnBlock }) {
  const restS = time.turns > 1 ? 0 : time.restS;
  const collectS = time.collectS * time.turns;
  const parts: Parts = [
    [time.setUpS + time.showS, 'hatch-setup'],
    // With turns the stations are in use all the time: one rests while the next one works.
    ...(time.station
      ? roundParts(time.station)
      : ([
          [time.activeS - restS - collectS, 'bg-sheet'],
          [restS, 'hatch-rest'],
          [collectS, 'hatch-collect'],
        ] as const)),
    [time.changeoverS, 'hatch-setup'],
    [time.breakS, 'hatch-rest'],
  ];
  return (
    <span aria-hidden className="absolute inset-0 flex">
      {parts.map(([seconds, look], index) => (
        <span key={index} className={look} style={{ width: `${(100 * seconds) / time.totalS}%` }} />
      ))}
    </span>
  );
}

/** Where a piece lies across the tape: all of it, or a lane of it where others are done at the same time. */
export function laneOf({ station }: Pick<DrawnBlock, 'station'>): { top?: string; bottom?: string } {
  if (!station) return {};
  const { at, of } = station;
  return { top: `${(100 * at) / of}%`, bottom: `${(100 * (of - at - 1)) / of}%` };
}

/** A lane wants so much height, pixels. */
const laneHeight = 18;

/** How high a tape is, pixels: higher where many are done side by side. */
export const tapeHeight = (blocks: readonly DrawnBlock[], usual: number, lane = laneHeight): number =>
  Math.max(usual, ...blocks.map(({ station }) => (station?.of ?? 0) * lane));

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
      <div className="relative border-y-2 border-line bg-chalk" style={{ height: tapeHeight(blocks, 40) }}>
        {blocks.map((block, index) => (
          <span
            key={block.id}
            className={cx(
              '@container absolute inset-y-0 overflow-hidden border-r-2 border-ink bg-chalk first:border-l-2',
              block.station && block.station.at < block.station.of - 1 && 'border-b-1',
            )}
            style={{
              left: `${(100 * block.startS) / lengthS}%`,
              width: `${(100 * block.totalS) / lengthS}%`,
              ...laneOf(block),
            }}
          >
            <TapeParts time={block} />
            <span className="sr-only">
              {index + 1} {titles[index]}
            </span>
            <span
              aria-hidden
              className={cx(
                'relative m-px w-fit rounded-sm bg-sheet px-0.5 leading-none font-semibold @min-[2rem]:max-w-[calc(100%-8px)] @min-[2rem]:px-1',
                block.station ? 'line-clamp-1 text-xs' : 'line-clamp-2 text-sm @min-[2rem]:m-1',
              )}
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
