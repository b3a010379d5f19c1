import type { PhaseShare } from '@/core/plan/phases';
import { percent } from '@/core/base/words';

/** How the time is shared out over the phases of a session, beside what is suggested. */
export function PhaseBar({ phases }: { phases: readonly PhaseShare[] }) {
  const shown = phases.filter((phase) => phase.planned > 0 || phase.id !== 'retest');
  return (
    <dl className="flex flex-wrap gap-x-4 text-sm" aria-label="Share of the time">
      {shown.map((phase) => (
        <div key={phase.id} className="flex items-baseline gap-1.5">
          <dt className="text-soft">{phase.title}</dt>
          <dd className="tabular">
            <strong>{percent(phase.planned)}</strong>
            <span className="text-soft"> of {percent(phase.suggested)} suggested</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}
