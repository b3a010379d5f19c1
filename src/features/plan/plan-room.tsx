'use client';

import type { DrawnTime } from '@/core/plan/plan-time';
import { inMinutes } from '@/core/base/words';
import { cx } from '@/ui/class-names';
import { Figure } from '@/ui/figure';

/** A plan fits to the half minute: closer than a quarter of a minute is as good as exact. Ours. */
const halfOfHalfS = 15;

/** How much room a plan leaves in its booking, or how far it runs over. */
export function PlanRoom({ time, titles }: { time: DrawnTime; titles: readonly string[] }) {
  const exact = Math.abs(time.overrunS) < halfOfHalfS;
  const over = time.overrunS > 0 && !exact;
  const text = exact
    ? 'just fits'
    : over
      ? `${inMinutes(time.overrunS)} over`
      : `${inMinutes(-time.overrunS)} to spare`;
  return (
    <Figure
      className={cx('font-bold', over ? 'text-stop' : 'text-safe')}
      label={over ? `${text} the booking` : text}
      explain={async () => (await import('@/core/explanations/plan')).explainPlanTotal(time, titles)}
    >
      {text}
    </Figure>
  );
}
