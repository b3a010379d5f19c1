'use client';

import { useState, type RefObject } from 'react';
import { angleAt, slopeOf, tapPx, type Point } from '@/core/clip/measure';

interface Props {
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly mirrored: boolean;
  readonly atS: number;
}

/** Two taps measure a line against level, a third one the angle at the middle. Only numbers: nobody is judged by it. */
export function PictureMeasure({ video, mirrored, atS }: Props) {
  const [taken, setTaken] = useState<{ readonly atS: number; readonly points: readonly Point[] }>({
    atS,
    points: [],
  });
  // Points belong to the frame they were tapped on.
  const points = taken.atS === atS ? taken.points : [];
  const box = video.current?.getBoundingClientRect();
  const words =
    points.length < 2
      ? points.length === 0
        ? 'Tap the ends of a line: the racket tip and the hand, hips and net.'
        : 'Tap the other end.'
      : said(points);
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
      <p
        role="status"
        data-measured
        className="absolute inset-x-2 bottom-2 rounded-md bg-paper px-2 py-1 text-center font-bold text-ink"
      >
        {words}
        {box && mirrored && points.length > 1 && ' (mirrored)'}
      </p>
    </>
  );
}

function said(points: readonly Point[]): string {
  const [a, b, c] = points;
  const { value, give } = c ? angleAt(a!, b!, c, tapPx) : slopeOf(a!, b!, tapPx);
  const about = `${Math.round(value)}°, give or take ${Math.ceil(give)}°`;
  return c
    ? `Angle ${about} by the taps; seen from the side only.`
    : `${about} against level, by the taps. A third tap measures the angle.`;
}
