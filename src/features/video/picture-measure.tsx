'use client';

import { useState, type RefObject } from 'react';
import { angleAt, heightOf, slopeOf, tapPx, type Point } from '@/core/video/measure';
import { Button } from '@/ui/button';

interface Props {
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly mirrored: boolean;
  readonly atS: number;
}

/** A line in the picture whose length is known. */
type Known = Parameters<typeof heightOf>[2];

/**
 * Two taps measure a line against level, a third one the angle at the middle; where the length of a line is said, heights too.
 * Only numbers: nobody is judged by them.
 */
export function PictureMeasure({ video, mirrored, atS }: Props) {
  const [taken, setTaken] = useState<{ readonly atS: number; readonly points: readonly Point[] }>({
    atS,
    points: [],
  });
  const [known, setKnown] = useState<Known | null>(null);
  const [metres, setMetres] = useState('');
  // Points belong to the frame they were tapped on.
  const points = taken.atS === atS ? taken.points : [];
  const box = video.current?.getBoundingClientRect();
  const length = Number(metres.replace(',', '.'));
  const words =
    points.length < 2
      ? points.length === 0
        ? 'Tap the ends of a line: the racket tip and the hand, hips and net.'
        : 'Tap the other end.'
      : said(points, known);
  return (
    <>
      <svg
        role="application"
        aria-label="Tap points on the picture to measure"
        className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
        onPointerDown={(event) => {
          const { left, top } = event.currentTarget.getBoundingClientRect();
          const point = { x: event.clientX - left, y: event.clientY - top };
          setTaken({ atS, points: points.length >= 3 ? [point] : [...points, point] });
        }}
      >
        {points.length > 1 && (
          <polyline
            points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
            className="fill-none stroke-now"
            strokeWidth="3"
          />
        )}
        {points.map(({ x, y }, at) => (
          <circle key={at} cx={x} cy={y} r="6" className="fill-paper stroke-now" strokeWidth="3" />
        ))}
      </svg>
      <div className="absolute inset-x-2 bottom-2 flex flex-wrap items-center justify-center gap-2 rounded-md bg-paper px-2 py-1 text-ink">
        <p role="status" data-measured className="text-center font-bold">
          {words}
          {box && mirrored && points.length > 1 && ' (mirrored)'}
        </p>
        {points.length === 2 && (
          <label className="flex items-center gap-1 text-sm">
            This line is
            <input
              inputMode="decimal"
              value={metres}
              onChange={({ target }) => /^\d{0,2}[.,]?\d{0,3}$/.test(target.value) && setMetres(target.value)}
              aria-label="Length of this line, metres"
              className="tabular min-h-11 w-16 rounded-md border-2 border-edge bg-sheet px-1"
            />
            m
            <Button
              disabled={!(length > 0)}
              onClick={() => {
                setKnown({ from: points[0]!, to: points[1]!, metres: length });
                setTaken({ atS, points: [] });
              }}
            >
              Measure by it
            </Button>
          </label>
        )}
      </div>
    </>
  );
}

function said(points: readonly Point[], known: Known | null): string {
  const [a, b, c] = points;
  const { value, give } = c ? angleAt(a!, b!, c, tapPx) : slopeOf(a!, b!, tapPx);
  const about = `${Math.round(value)}°, give or take ${Math.ceil(give)}°`;
  if (c) return `Angle ${about} by the taps; seen from the side only.`;
  const [low, high] = a!.y > b!.y ? [a!, b!] : [b!, a!];
  const height = known && heightOf(low, high, known, tapPx);
  return `${about} against level${
    height ? `; ${height.value.toFixed(2)} m up, give or take ${height.give.toFixed(2)}` : ''
  }, by the taps. A third tap measures the angle.`;
}
