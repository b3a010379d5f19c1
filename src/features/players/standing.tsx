'use client';

import { Link } from '@/ui/link';
import { numberInWords, resultInWords } from '@/core/counting/measure';
import { explainTouches } from '@/core/explanations/results';
import { measures } from '@/core/counting/measure';
import { counted } from '@/core/base/words';
import { ageBandOf } from '@/drills/base/age-band';
import { markFor, needsInWords } from '@/session/base/goals';
import type { PlayerView, StepBest } from '@/server/views/player';
import { cx } from '@/ui/class-names';
import { shortDay } from '@/ui/dates';
import { Figure } from '@/ui/figure';
import { useWholeBook } from '@/ui/whole-book';
import { Stairs } from '@/ui/stairs';

interface Row {
  readonly drillId: string;
  readonly stepId: string;
  readonly why: string;
  readonly bests: readonly StepBest[];
}

/** Every drill a player has begun: the step they stand on, and the best on it. */
export function Standing({ view }: { view: PlayerView }) {
  const drillIds = [
    ...new Set([...view.bests.map((best) => best.drillId), ...view.places.map(([drillId]) => drillId)]),
  ];
  const rows = drillIds.map<Row>((drillId) => {
    const bests = view.bests.filter((best) => best.drillId === drillId);
    const place = view.places.find(([id]) => id === drillId);
    return {
      drillId,
      stepId: place?.[1] ?? bests[0]!.stepId,
      why: place?.[2] ?? 'Not judged yet: where they worked last.',
      bests,
    };
  });
  if (rows.length === 0)
    return <p className="p-4 text-soft">Bests stand here after the first session with counts.</p>;
  return (
    <ul>
      {rows.map((row) => (
        <StandingRow
          key={row.drillId}
          player={view.facts}
          row={row}
          shown={view.chart?.drillId === row.drillId}
        />
      ))}
    </ul>
  );
}

function StandingRow({
  player: { id: playerId, age },
  row,
  shown,
}: {
  player: Pick<PlayerView['facts'], 'id' | 'age'>;
  row: Row;
  shown: boolean;
}) {
  const book = useWholeBook();
  const drill = book.drill(row.drillId, playerId);
  const step = book.step(row.drillId, row.stepId, playerId);
  if (!drill || !step) return null;
  const own = row.bests.find((best) => best.stepId === step.id);
  return (
    <li
      className={cx(
        'flex items-center gap-3 border-b border-line px-3 py-1.5 last:border-0',
        shown && 'bg-chalk',
      )}
    >
      <Stairs
        treads={drill.steps}
        at={step.id}
        width={60}
        height={40}
        label={`Step ${drill.steps.indexOf(step) + 1} of ${drill.steps.length}`}
      />
      <div className="min-w-0 flex-1">
        <Link
          href={`/players/${playerId}?drill=${drill.id}`}
          scroll={false}
          aria-current={shown ? 'true' : undefined}
          className="hit block font-semibold underline-offset-4 hover:underline"
        >
          {drill.title}
        </Link>
        <p className="text-sm text-soft">{step.title}</p>
      </div>
      <div className="text-right whitespace-nowrap">
        {own && own.best !== null ? (
          <Figure
            className="font-bold"
            label={
              step.habit
                ? `Repetitions of ${drill.title}: ${own.touches}`
                : `Best of ${drill.title}: ${resultInWords(step.measure, own.best)}`
            }
            explain={() =>
              step.habit
                ? explainTouches(own, 'all time, on this step')
                : {
                    ...explainTouches(own, 'all time, on this step'),
                    title: 'Best on this step',
                    value: resultInWords(step.measure, own.best!),
                    formula: `The ${measures[step.measure].lowerIsBetter ? 'lowest' : 'highest'} result of ${counted(own.attempts, 'attempt')} on “${step.title}”, the last on ${shortDay(own.lastDay)}. Stands here: ${row.why}`,
                  }
            }
          >
            {step.habit ? own.touches : numberInWords(step.measure, own.best)}
          </Figure>
        ) : (
          <span className="text-soft">new</span>
        )}
        <p className="text-sm text-soft">{needsInWords(step, markFor(step, ageBandOf(age)))}</p>
        {own && own.homeBest !== null && (
          <p className="text-sm text-soft">at home {numberInWords(step.measure, own.homeBest)}</p>
        )}
      </div>
    </li>
  );
}
