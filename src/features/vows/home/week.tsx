import { shortDay } from '@/core/base/day-words';
import { dayNumber, isoDay } from '@/core/base/days';
import { tally } from '@/core/counting/tally';
import { isKept } from '@/core/vows/keeping';
import { weekdayOf } from '@/core/vows/vow';
import { counted } from '@/core/base/words';
import { dayShare, doneShare, doseOn } from '@/session/vows/done-share';
import type { HomeView } from '@/session/vows/home-view';
import { restsOn } from './rests-on';
import type { HomeLog } from './use-home';

/** The week so far: which days were asked, begun and kept. */
export function Week({ view, home, today }: { view: HomeView; home: HomeLog; today: string }) {
  const number = dayNumber(today);
  const monday = number - weekdayOf(number) + 1;
  const days = Array.from({ length: 7 }, (_, i) => isoDay(monday + i));
  const shareOf = (day: string): number | null => {
    const shares = view.vows.flatMap((vow) =>
      vow.days
        .filter(
          (one) =>
            one.day === day &&
            ((one.asked && !restsOn(vow, day)) ||
              one.parts.some(({ blockId }) => home.log.events(blockId, view.playerId).length > 0)),
        )
        .map(({ parts }) =>
          dayShare(
            parts.map((one) => {
              const { measure, choices } = vow.card.parts[one.part]!;
              const { attempts } = tally(home.log.eventsOf(one.blockId, view.playerId), measure);
              const stepId = attempts.at(-1)?.conditions.stepId ?? null;
              return doneShare(doseOn(one, choices, stepId), attempts);
            }),
          ),
        ),
    );
    return shares.length === 0 ? null : shares.reduce((sum, one) => sum + one, 0) / shares.length;
  };
  const shares = days.map(shareOf);
  const kept = shares.filter((share) => share !== null && isKept(share)).length;
  return (
    <section aria-label="This week">
      <h2 className="text-xl">This week</h2>
      <ol className="mt-2 grid grid-cols-7 gap-1 text-center text-sm">
        {days.map((day, i) => {
          const share = shares[i] ?? null;
          const word =
            share === null
              ? 'free'
              : isKept(share)
                ? 'kept'
                : share > 0
                  ? 'begun'
                  : day < today
                    ? 'not done'
                    : 'to do';
          return (
            <li
              key={day}
              aria-current={day === today ? 'date' : undefined}
              className={`rounded-md border-2 px-0.5 py-2 ${day === today ? 'border-ink' : 'border-edge'} ${share !== null && isKept(share) ? 'bg-safe text-on-now' : ''}`}
            >
              <span className="block font-semibold">{shortDay(day).slice(0, 3)}</span>
              <span className="block text-xs">{word}</span>
            </li>
          );
        })}
      </ol>
      <p className="pt-2 text-base">
        {kept === 0 ? 'Every day is a new one.' : `${counted(kept, 'day')} kept this week.`}
      </p>
    </section>
  );
}
