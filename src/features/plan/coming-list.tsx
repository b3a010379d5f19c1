'use client';

import type { PlanTime } from '@/core/plan/plan-time';
import { inMinutes } from '@/core/base/words';
import type { PlayerFacts } from '@/server/views/facts';
import { Figure } from '@/ui/figure';

interface Props {
  readonly squad: readonly PlayerFacts[];
  readonly playerIds: readonly string[];
  readonly absent: readonly string[];
  readonly time: PlanTime;
  readonly titles: readonly string[];
  readonly onToggle: (id: string) => void;
}

/** Who is coming, and how many touches each can expect; who gets the fewest is named. */
export function ComingList({ squad, playerIds, absent, time, titles, onToggle }: Props) {
  const least = squad.find((player) => player.id === time.leastServedId);
  const waits = playerIds.some((id) => (time.waitOf[id] ?? 0) >= 1);
  return (
    <>
      <h2 className="text-lg">Coming</h2>
      <p className="mb-1 text-sm text-soft">Touches in the whole session{waits && ', and waiting'}.</p>
      {squad.map((player) => {
        const coming = playerIds.includes(player.id);
        const touches = Math.round(time.touchesOf[player.id] ?? 0);
        const waitS = time.waitOf[player.id] ?? 0;
        return (
          <div key={player.id} className="flex items-center justify-between gap-2">
            <label className="flex min-h-9 touch:min-h-11 min-w-0 items-center gap-2">
              <input
                type="checkbox"
                checked={coming}
                disabled={coming && playerIds.length === 1}
                onChange={() => onToggle(player.id)}
                className="size-5 shrink-0 accent-[var(--now)]"
              />
              <span className="min-w-0 leading-tight">
                <span className="block">{player.name}</span>
                {coming && waitS >= 1 && <span className="text-xs text-soft">waits {inMinutes(waitS)}</span>}
              </span>
            </label>
            {coming && absent.includes(player.id) && <span className="text-sm text-soft">absent</span>}
            {coming && !absent.includes(player.id) && (
              <span className="text-right whitespace-nowrap">
                <Figure
                  label={`${player.name}: about ${touches} touches in the session`}
                  explain={async () =>
                    (await import('@/core/explanations/plan')).explainPlanTouches(
                      time,
                      titles,
                      player.id,
                      player.name,
                    )
                  }
                >
                  {touches}
                </Figure>
              </span>
            )}
          </div>
        );
      })}
      {least && (
        <p className="mt-2 border-t border-line pt-2 text-sm" data-least>
          Fewest touches: <strong>{least.name}</strong>, about {Math.round(time.touchesOf[least.id] ?? 0)}.
        </p>
      )}
      {time.helper.feeds >= 1 && (
        <p className="text-sm text-soft">
          A helper has about {Math.round(time.helper.feeds)} feeds or calls in {inMinutes(time.helper.busyS)}.
        </p>
      )}
    </>
  );
}
