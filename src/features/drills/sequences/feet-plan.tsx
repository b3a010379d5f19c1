'use client';

import { Pause, Play, SkipForward } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { tableSize } from '@/core/ballistics/surfaces';
import type { Point } from '@/core/geometry/points';
import type { Demands } from '@/core/movement/sequence/feasible';
import { feetAt } from '@/core/movement/sequence/feet';
import { wordsOfShot } from '@/core/movement/sequence/line';
import {
  floorOf,
  homeOf,
  placeOf,
  type Shot,
  type ShadowGround,
  type ShadowSport,
} from '@/core/movement/sequence/shots';
import { Button } from '@/ui/button';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { useUnits } from '@/ui/units';
import type { ShadowChild } from './use-sequence';

const widthPx = 560;
const topPx = 26;

interface Props {
  readonly shots: readonly Shot[];
  readonly sport: ShadowSport;
  readonly ground: ShadowGround;
  readonly demands: Demands;
  readonly child: ShadowChild;
  readonly perMin: number;
}

/** The floor from above with the balls, the feet and their ways, and the feet moving through it; slowly, or as it is called. */
export function FeetPlan({ shots, sport, ground, demands, child, perMin }: Props) {
  const { say, length } = useUnits();
  const [pace, setPace] = useState<'slowly' | 'as called'>('slowly');
  const [still, setStill] = useState(0);
  const everyS = (60 / perMin) * (pace === 'slowly' ? 2 : 1);
  const [playing, nowS, setPlaying] = usePlaying(everyS * shots.length);
  const whole = floorOf(ground, child.contactM);
  const home = homeOf(ground);
  // Floor behind the last one that is stood at is left out.
  const deepest = Math.max(home.y, ...shots.map((shot) => placeOf(shot, ground, child.contactM).feet.y));
  const { widthM, depthM } = { ...whole, depthM: Math.min(whole.depthM, deepest + 0.7) };
  const scale = Math.min((widthPx - 20) / widthM, 360 / depthM);
  const mirror = child.leftHanded ? -1 : 1;
  const x = (metres: number) => widthPx / 2 + metres * scale;
  const y = (metres: number) => topPx + metres * scale;
  const places = shots.map((shot) => placeOf(shot, ground, child.contactM, child.leftHanded));
  const shown = nowS === null ? null : feetAt(demands.gaps, everyS, nowS);
  const current = shown?.shot ?? Math.min(still, shots.length - 1);
  const feet: Point = shown ? { x: mirror * shown.at.x, y: shown.at.y } : places[current]!.feet;
  const front = ground === 'table' ? tableSize.widthM : widthM - 1;
  const heightPx = y(depthM) + 8;
  return (
    <div>
      <DrawingToTake name="sequence">
        <svg
          role="img"
          viewBox={`0 0 ${widthPx} ${Math.ceil(heightPx)}`}
          className="mx-auto w-full max-w-[42rem]"
          aria-label={say(
            `The floor from above, to scale${child.leftHanded ? ', for a left-hander' : ''}: ${shots
              .map((shot, n) => `${n + 1} ${wordsOfShot(shot, sport)}`)
              .join(', ')}. ${demands.lengthM.toFixed(1)} m in one pass.`,
          )}
        >
          <rect
            x={x(-widthM / 2)}
            y={y(0)}
            width={widthM * scale}
            height={depthM * scale}
            fill="var(--chalk)"
          />
          <line
            x1={x(-front / 2)}
            x2={x(front / 2)}
            y1={y(0)}
            y2={y(0)}
            stroke="var(--ink)"
            strokeWidth="4"
          />
          <text x={x(0)} y={y(0) - 9} textAnchor="middle" fontSize="13" fill="var(--soft)">
            {ground === 'table' ? 'the table’s end' : 'the net'}
          </text>
          {demands.gaps.flatMap(({ to, stretches }) =>
            stretches.map((one, n) => (
              <line
                key={`${to} ${n}`}
                x1={x(mirror * one.from.x)}
                y1={y(one.from.y)}
                x2={x(mirror * one.to.x)}
                y2={y(one.to.y)}
                stroke="var(--safe)"
                strokeWidth={to === current ? 4 : 2}
                strokeDasharray={one.pattern === 'crossover' ? '7 5' : undefined}
              />
            )),
          )}
          <g stroke="var(--soft)" strokeWidth="2">
            <path d={`M${x(home.x) - 6} ${y(home.y)}h12M${x(home.x)} ${y(home.y) - 6}v12`} />
          </g>
          {inGroups(places.map(({ ball }) => ball)).map(({ point, numbers }) => (
            <g key={numbers.join()}>
              <circle
                cx={x(point.x)}
                cy={y(point.y)}
                r="9"
                fill={numbers.includes(current + 1) ? 'var(--now)' : 'var(--sheet)'}
                stroke="var(--ink)"
                strokeWidth="2"
              />
              <text x={x(point.x) + 12} y={y(point.y) + 5} fontSize="14" fontWeight="700" fill="var(--ink)">
                {numbers.join(', ')}
              </text>
            </g>
          ))}
          <Feet x={x(feet.x)} y={y(feet.y)} scale={scale} swings={shown?.doing === 'swings'} />
          <path
            d={`M${x(-widthM / 2) + 8} ${y(depthM) - 10}h${scale}`}
            stroke="var(--ink)"
            strokeWidth="2"
            fill="none"
          />
          <text x={x(-widthM / 2) + 14 + scale} y={y(depthM) - 6} fontSize="13" fill="var(--ink)">
            {length(1)}
          </text>
        </svg>
      </DrawingToTake>
      <div className="flex flex-wrap items-center gap-2 text-sm">
        <Button
          className="min-h-9 touch:min-h-11 px-3 motion-reduce:hidden"
          onClick={() => setPlaying(!playing)}
        >
          {playing ? <Pause aria-hidden size={16} /> : <Play aria-hidden size={16} />}
          {playing ? 'Stop' : 'Play it'}
        </Button>
        <Button
          look="quiet"
          className="min-h-9 touch:min-h-11 px-3 motion-reduce:hidden"
          onClick={() => setPace(pace === 'slowly' ? 'as called' : 'slowly')}
        >
          Half the tempo: {pace === 'slowly' ? 'on' : 'off'}
        </Button>
        <Button
          look="quiet"
          className="min-h-9 touch:min-h-11 px-3"
          disabled={playing}
          onClick={() => setStill((current + 1) % shots.length)}
        >
          <SkipForward aria-hidden size={16} /> Next stroke
        </Button>
        <span role="status" className="text-soft">
          {current + 1} of {shots.length}: {wordsOfShot(shots[current]!, sport)}
        </span>
      </div>
      <p className="text-sm text-soft">
        Solid ways are side steps or a step in, dashed ones are crossed over.
      </p>
    </div>
  );
}

/** Two feet a shoulder apart, seen from above. */
function Feet({ x, y, scale, swings }: { x: number; y: number; scale: number; swings: boolean }) {
  const apart = Math.max(7, 0.18 * scale);
  const long = Math.max(8, 0.13 * scale);
  return (
    <g data-feet fill={swings ? 'var(--now)' : 'var(--ink)'} stroke="var(--sheet)" strokeWidth="1.5">
      <ellipse cx={x - apart} cy={y} rx={long * 0.45} ry={long} />
      <ellipse cx={x + apart} cy={y} rx={long * 0.45} ry={long} />
    </g>
  );
}

/** Points that lie on one another have one mark, with all their numbers. */
function inGroups(points: readonly Point[]): { point: Point; numbers: number[] }[] {
  const groups: { point: Point; numbers: number[] }[] = [];
  for (const [n, point] of points.entries()) {
    const same = groups.find((one) => Math.hypot(one.point.x - point.x, one.point.y - point.y) < 0.01);
    if (same) same.numbers.push(n + 1);
    else groups.push({ point, numbers: [n + 1] });
  }
  return groups;
}

/** Seconds since it was started, drawn frame by frame; null while it stands still. */
function usePlaying(forS: number): [boolean, number | null, (playing: boolean) => void] {
  const [playing, setPlaying] = useState(false);
  const [nowS, setNowS] = useState<number | null>(null);
  const length = useRef(forS);
  useEffect(() => {
    length.current = forS;
  });
  useEffect(() => {
    if (!playing) return;
    const from = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      setNowS((Math.max(0, now - from) / 1000) % length.current);
      frame = requestAnimationFrame(draw);
    });
    return () => {
      cancelAnimationFrame(frame);
      setNowS(null);
    };
  }, [playing]);
  return [playing, nowS, setPlaying];
}
