'use client';

import { curveStepAfter, line, scaleLinear, scaleUtc } from 'd3';
import { useMemo, useState, type PointerEvent } from 'react';
import { ageBandOf } from '@/drills/base/age-band';
import type { Step } from '@/drills/base/types';
import { markFor } from '@/session/base/goals';
import { better, numberInWords, resultInWords } from '@/core/counting/measure';
import type { ChartAttempt } from '@/server/views/player';
import { useWholeBook } from '@/ui/whole-book';
import { shortDay } from '@/ui/dates';
import { MarkLine } from '@/ui/drawing/mark-line';

const width = 800;
const margin = { left: 44, right: 92, top: 8, bottom: 22 };

interface Mark {
  readonly x: number;
  readonly y: number;
  readonly attempt: ChartAttempt;
}

/** Attempts of one day stand side by side, in the order done. */
function moments(attempts: readonly ChartAttempt[]): number[] {
  const ofDay = new Map<string, number>();
  for (const [day] of attempts) ofDay.set(day, (ofDay.get(day) ?? 0) + 1);
  const seen = new Map<string, number>();
  return attempts.map(([day]) => {
    const place = seen.get(day) ?? 0;
    seen.set(day, place + 1);
    return Date.parse(`${day}T00:00:00Z`) + 86_400_000 * ((place + 0.5) / ofDay.get(day)!);
  });
}

/** Less than this cannot be read: a title, a number and a line, pixels. Ours. */
const leastBand = 84;

/**
 * A drill's results over time: one band for each step practised, the highest step on top.
 * Every attempt is a dot, of those at home a ring; the line is the best on court so far; the dashed line is the step's mark.
 */
export function BestChart({
  drillId,
  age,
  attempts,
  height: wanted,
}: {
  drillId: string;
  /** Of the player, in years: the mark goes by it. */
  age: number;
  attempts: readonly ChartAttempt[];
  /** As high as it stands where few steps were practised; more steps take more. */
  height: number;
}) {
  const drill = useWholeBook().drill(drillId)!;
  const steps = drill.steps.filter((step) => attempts.some((attempt) => attempt[2] === step.id)).reverse();
  const times = useMemo(() => moments(attempts), [attempts]);
  const x = scaleUtc()
    .domain([Math.min(...times), Math.max(...times)])
    .range([margin.left, width - margin.right]);
  const height = Math.max(wanted, steps.length * leastBand + margin.bottom);
  const bandHeight = (height - margin.bottom) / steps.length;
  const summary = steps
    .map((step) => {
      const own = attempts.filter((attempt) => attempt[2] === step.id);
      const best = own.reduce<number | null>((so, attempt) => better(step.measure, so, attempt[3]), null);
      return `${step.title}: ${own.length} attempts, best ${resultInWords(step.measure, best!)}`;
    })
    .join('; ');

  return (
    <svg
      role="img"
      aria-label={`${drill.title} over time. ${summary}.`}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      {x.ticks(6).map((tick) => (
        <text key={+tick} x={x(tick)} y={height - 5} textAnchor="middle" fontSize="12" fill="var(--soft)">
          {tick.getUTCDate()} {tick.toLocaleString('en-GB', { month: 'short', timeZone: 'UTC' })}
        </text>
      ))}
      {steps.map((step, index) => (
        <Band
          key={step.id}
          step={step}
          mark={markFor(step, ageBandOf(age)).result}
          top={index * bandHeight}
          height={bandHeight}
          attempts={attempts.flatMap((attempt, i) =>
            attempt[2] === step.id ? [{ attempt, x: x(times[i]!) }] : [],
          )}
        />
      ))}
    </svg>
  );
}

const isHome = ({ attempt }: Pick<Mark, 'attempt'>): boolean => attempt[4] === 1;

/** The marks that were a new best when they were made: on court, or at home where there are no others. */
function newBests(step: Step, all: readonly Mark[]): Mark[] {
  const onCourt = all.filter((mark) => !isHome(mark));
  const marks = onCourt.length > 0 ? onCourt : all;
  const bests: Mark[] = [];
  for (const mark of marks) {
    const before = bests.at(-1)?.attempt[3] ?? null;
    if (better(step.measure, before, mark.attempt[3]) !== before) bests.push(mark);
  }
  return bests;
}

interface BandProps {
  readonly step: Step;
  readonly mark: number;
  readonly top: number;
  readonly height: number;
  readonly attempts: readonly { readonly attempt: ChartAttempt; readonly x: number }[];
}

function Band({ step, mark, top, height, attempts }: BandProps) {
  const [near, setNear] = useState<Mark | null>(null);
  const floor = top + height - 8;
  const highest = Math.max(mark, ...attempts.map(({ attempt }) => attempt[3]));
  const y = scaleLinear()
    .domain([0, highest * 1.12])
    .range([floor, top + margin.top + 24]);
  const marks = attempts.map<Mark>(({ attempt, x }) => ({ x, y: y(attempt[3]), attempt }));

  const bests = newBests(step, marks);
  const last = bests.at(-1)!;
  const end = { ...last, x: marks.at(-1)!.x };
  const path = line<Mark>(
    (mark) => mark.x,
    (mark) => mark.y,
  ).curve(curveStepAfter)([...bests, end])!;
  // One path for all dots: hundreds of attempts stay cheap to draw and to send.
  const dots = marks.map((mark) => `M${mark.x.toFixed(1)} ${mark.y.toFixed(1)}h0`).join('');
  const gateY = y(mark);

  const look = (event: PointerEvent<SVGRectElement>) => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const at = {
      x: ((event.clientX - box.left) * width) / box.width,
      y: ((event.clientY - box.top) * width) / box.width,
    };
    const distance = (mark: Mark) => Math.hypot(mark.x - at.x, mark.y - at.y);
    const closest = marks.reduce((so, mark) => (distance(mark) < distance(so) ? mark : so));
    setNear(distance(closest) < 30 ? closest : null);
  };

  return (
    <g>
      <line
        x1={margin.left}
        x2={width - margin.right}
        y1={floor}
        y2={floor}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {y.ticks(Math.max(2, Math.floor(height / 45))).map((tick) => (
        <g key={tick}>
          <line
            x1={margin.left}
            x2={width - margin.right}
            y1={y(tick)}
            y2={y(tick)}
            stroke="var(--line)"
            strokeWidth="0.6"
          />
          <text x={margin.left - 8} y={y(tick) + 4} textAnchor="end" fontSize="12" fill="var(--soft)">
            {tick}
          </text>
        </g>
      ))}
      <MarkLine mark={mark} y={gateY} from={margin.left} to={width - margin.right} />
      <path
        d={dots}
        stroke="var(--safe)"
        strokeOpacity="0.55"
        strokeWidth="7"
        strokeLinecap="round"
        fill="none"
      />
      {marks.filter(isHome).map((one, i) => (
        <circle
          key={i}
          cx={one.x}
          cy={one.y}
          r="3.5"
          fill="var(--sheet)"
          stroke="var(--safe)"
          strokeWidth="2"
        />
      ))}
      <path d={path} stroke="var(--now)" strokeWidth="2.5" fill="none" strokeLinejoin="round" />
      <circle cx={last.x} cy={last.y} r="6" fill="var(--now)" stroke="var(--ink)" strokeWidth="2" />
      <text x={last.x} y={last.y - 10} textAnchor="middle" fontSize="14" fontWeight="700" fill="var(--ink)">
        {numberInWords(step.measure, last.attempt[3])}
      </text>
      <text x={margin.left} y={top + 14} fontSize="13" fontWeight="700" fill="var(--ink)">
        {step.title}
      </text>
      <rect
        x={margin.left}
        y={top}
        width={width - margin.left - margin.right}
        height={height}
        fill="transparent"
        onPointerMove={look}
        onPointerLeave={() => setNear(null)}
      />
      {near && (
        <g pointerEvents="none">
          <circle cx={near.x} cy={near.y} r="6" fill="none" stroke="var(--ink)" strokeWidth="2" />
          <text
            x={Math.min(near.x, width - 240)}
            y={Math.max(near.y - 12, 14)}
            fontSize="13"
            fontWeight="700"
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {shortDay(near.attempt[0])}
            {isHome(near) && ', at home'}: {resultInWords(step.measure, near.attempt[3])}
          </text>
        </g>
      )}
    </g>
  );
}
