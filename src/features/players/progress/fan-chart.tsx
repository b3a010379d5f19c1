'use client';

import { area, line, scaleLinear, scaleUtc } from 'd3';
import { numberInWords, resultInWords } from '@/core/counting/measure';
import type { Step } from '@/drills/base/types';
import { isoDay } from '@/core/base/days';
import type { StepProgress } from '@/session/skill/progress';
import { shortDay } from '@/ui/dates';
import { MarkLine } from '@/ui/drawing/mark-line';
import { YGrid } from '@/ui/drawing/y-grid';

const [width, height] = [820, 270];
const margin = { left: 44, right: 96, top: 14, bottom: 24 };
const timeOf = (day: number) => day * 86_400_000;

interface Props {
  readonly step: Step;
  readonly mark: number;
  readonly progress: StepProgress;
  /** Days since 1970. */
  readonly today: number;
}

/** Rows grow without end: what is drawn ends a little above what was shown and what is aimed at. */
const tallest = 1.6;
/** So many days to come are drawn: about as many as there are of the past. */
const [fewest, mostDays] = [21, 56];

/**
 * The days on a step, each as a dot (the best to expect by that day's own counts), the level worked out from all of them
 * with its range, and the fan of what is to come; all as the best result of a day.
 */
export function FanChart({ step, mark, progress, today }: Props) {
  const { past, forecast } = progress;
  const daysDrawn = Math.min(mostDays, Math.max(fewest, today - past[0]!.day));
  const fan = progress.fan.filter(({ day }) => day <= today + daysDrawn);
  const last = past.at(-1)!;
  // The fan opens from the last day.
  const ahead = [last, ...fan];
  const x = scaleUtc()
    .domain([timeOf(past[0]!.day - 1), timeOf(Math.max(last.day + 7, ...fan.map(({ day }) => day)))])
    .range([margin.left, width - margin.right]);
  const most = Math.max(mark, ...past.map(({ shown }) => shown), ...past.map(({ level }) => level)) * tallest;
  const y = scaleLinear()
    .domain([0, Math.min(most, Math.max(mark * 1.15, ...[...past, ...ahead].map(({ high }) => high)))])
    .clamp(true)
    .nice(4)
    .range([height - margin.bottom, margin.top]);
  const band = area<{ day: number; low: number; high: number }>(
    ({ day }) => x(timeOf(day)),
    ({ low }) => y(low),
    ({ high }) => y(high),
  );
  const course = line<{ day: number; level: number }>(
    ({ day }) => x(timeOf(day)),
    ({ level }) => y(level),
  );
  const middle = progress.passed ? null : (forecast?.middle ?? null);
  const passes = middle !== null && middle <= today + daysDrawn ? middle : null;
  return (
    <svg
      role="img"
      aria-label={`${step.title} over ${past.length} days: now about ${numberInWords(step.measure, Math.round(last.level * 10) / 10)}, between ${Math.round(last.low * 10) / 10} and ${Math.round(last.high * 10) / 10}; the mark is ${resultInWords(step.measure, mark)}.`}
      viewBox={`0 0 ${width} ${height}`}
      className="w-full"
    >
      <YGrid y={y} ticks={5} from={margin.left} to={width - margin.right} words={String} />
      {x.ticks(7).map((tick) => (
        <text key={+tick} x={x(tick)} y={height - 6} textAnchor="middle" fontSize="12" fill="var(--soft)">
          {tick.getUTCDate()} {tick.toLocaleString('en-GB', { month: 'short', timeZone: 'UTC' })}
        </text>
      ))}
      <path d={band(past)!} fill="var(--safe)" fillOpacity="0.16" />
      <path d={band(ahead)!} fill="var(--now)" fillOpacity="0.16" />
      <path d={course(past)!} fill="none" stroke="var(--safe)" strokeWidth="2.5" />
      <path d={course(ahead)!} fill="none" stroke="var(--now)" strokeWidth="2" strokeDasharray="2 5" />
      {past.map(({ day, shown }) => (
        <circle key={day} cx={x(timeOf(day))} cy={y(shown)} r="4" fill="var(--safe)" fillOpacity="0.7">
          <title>{`${shortDay(isoDay(day))}: about ${Math.round(shown * 10) / 10}`}</title>
        </circle>
      ))}
      <MarkLine mark={mark} y={y(mark)} from={margin.left} to={width - margin.right} />
      <line
        x1={x(timeOf(today))}
        x2={x(timeOf(today))}
        y1={margin.top}
        y2={height - margin.bottom}
        stroke="var(--ink)"
        strokeWidth="1"
      />
      <text x={x(timeOf(today))} y={margin.top - 3} textAnchor="middle" fontSize="12" fill="var(--ink)">
        today
      </text>
      {passes !== null && (
        <g>
          <circle
            cx={x(timeOf(passes))}
            cy={y(mark)}
            r="7"
            fill="var(--now)"
            stroke="var(--ink)"
            strokeWidth="2"
          />
          <text
            x={Math.min(x(timeOf(passes)), width - margin.right - 30)}
            y={y(mark) - 12}
            textAnchor="middle"
            fontSize="13"
            fontWeight="700"
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth="4"
            paintOrder="stroke"
          >
            {shortDay(isoDay(passes))}
          </text>
        </g>
      )}
    </svg>
  );
}
