import { longDay } from '@/core/base/day-words';
import { isKept } from '@/core/vows/keeping';
import type { StripDay } from '@/server/views/vows';
import { cx } from '@/ui/class-names';

const wordOf = ({ asked, rests, share }: StripDay): string =>
  isKept(share) ? 'kept' : share > 0 ? 'begun' : rests ? 'rests' : asked ? 'not done' : 'free';

/** Two weeks of a vow: kept days full, begun ones half, asked ones empty, free ones a line. */
export function Strip({ days, today }: { readonly days: readonly StripDay[]; readonly today: string }) {
  const kept = days.filter(({ share }) => isKept(share)).length;
  const begun = days.filter(({ share }) => share > 0 && !isKept(share)).length;
  return (
    <ol
      className="flex items-end gap-0.5"
      aria-label={`Two weeks to ${longDay(today)}: ${kept} days kept, ${begun} begun`}
    >
      {days.map((one) => {
        const word = one.day === today && one.asked && one.share === 0 && !one.rests ? 'to do' : wordOf(one);
        const asked = one.asked && !one.rests;
        return (
          <li key={one.day} title={`${longDay(one.day)}: ${word}`} className="text-center">
            <span className="sr-only">{`${longDay(one.day)}: ${word}`}</span>
            <span
              aria-hidden
              className={cx(
                'relative block w-3.5 overflow-hidden',
                asked || one.share > 0 ? 'h-6 border-2 border-ink' : 'h-1 border-b-2 border-line',
                one.day === today && 'outline-2 outline-offset-1 outline-now',
              )}
            >
              <span
                className="absolute inset-x-0 bottom-0 block bg-safe"
                style={{ height: `${Math.min(1, one.share) * 100}%` }}
              />
            </span>
          </li>
        );
      })}
    </ol>
  );
}
