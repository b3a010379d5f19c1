import { longDay, shortDay } from '@/core/base/day-words';
import type { Dose } from '@/core/dose/dose';
import { explainVow } from '@/core/explanations/vow';
import { counted } from '@/core/base/words';
import type { Book } from '@/drills';
import { shortDose } from '@/session/vows/card';
import type { VowMend } from '@/session/vows/propose';
import { Button } from '@/ui/button';
import { Figure } from '@/ui/figure';
import type { Form, Preview, SetForm } from './form';

interface ComesProps {
  readonly preview: Preview | null;
  readonly form: Form;
  readonly book: Book;
  readonly playerId: string;
  readonly set: SetForm;
}

/** What it comes to: the days, the doses, the chance, what is in the way. */
export function Comes({ preview, form, book, playerId, set }: ComesProps) {
  if (!preview) return <p className="text-soft">Worked out as you type.</p>;
  const mend = (one: VowMend) => {
    if (one.kind === 'until') set({ untilDay: one.untilDay });
    else if (one.kind === 'minutes') set({ minutes: one.minutes });
    else {
      const [part] = form.parts;
      const step = book.step(part!.drillId, one.stepId, playerId);
      if (step) set({ parts: [{ ...part!, stepId: step.id, dose: part!.dose, choices: [] }] });
    }
  };
  const { days, short, chanceText, rested, tooMuch } = preview;
  const longest = days.reduce((most, { seconds }) => Math.max(most, seconds), 0);
  return (
    <div className="space-y-2" aria-live="polite" data-days={days.length}>
      {days.length > 0 && (
        <>
          <p className="text-2xl font-bold">{counted(days.length, 'day')}</p>
          <p>
            {Math.max(1, Math.round(longest / 60))} min a day at most, about{' '}
            <Figure
              explain={() =>
                explainVow({
                  good: preview.good,
                  days: days.length,
                  longestS: longest,
                  growth: form.aim.kind === 'habit' ? 0 : form.growth,
                  rested: rested.length,
                })
              }
            >
              {Math.round(preview.good)}
            </Figure>{' '}
            good ones in all.
          </p>
        </>
      )}
      {chanceText && <p>{chanceText}</p>}
      {short && (
        <div className="space-y-2 rounded-md bg-care-bg px-3 py-2 text-care">
          <p>{short.text}</p>
          <div className="flex flex-wrap gap-2">
            {short.mends.map((one) => (
              <Button key={one.text} onClick={() => mend(one)} className="text-ink">
                {one.text}
              </Button>
            ))}
          </div>
        </div>
      )}
      {tooMuch.map((text) => (
        <p key={text} className="rounded-md bg-care-bg px-3 py-2 text-care">
          {text}
        </p>
      ))}
      {rested.length > 0 && (
        <p className="text-sm">
          Free, because the body needs the day: {rested.slice(0, 6).map(shortDay).join(', ')}
          {rested.length > 6 && ` and ${rested.length - 6} more`}.
        </p>
      )}
      {days.length > 0 && <DayList days={days} />}
    </div>
  );
}

/** The dose of each day, week by week. */
function DayList({ days }: { readonly days: Preview['days'] }) {
  const words = (doses: readonly Dose[]) => doses.map(shortDose).join(' + ');
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {words(days[0]!.doses)} on {shortDay(days[0]!.day)}
        {days.length > 1 && `, ${words(days.at(-1)!.doses)} on ${shortDay(days.at(-1)!.day)}`}
      </summary>
      <ol className="max-h-56 overflow-y-auto text-sm" tabIndex={0} aria-label="Dose of each day">
        {days.map(({ day, doses }) => (
          <li key={day} className="flex justify-between border-b border-line py-0.5">
            <span>{longDay(day)}</span>
            <span className="tabular font-semibold">{words(doses)}</span>
          </li>
        ))}
      </ol>
    </details>
  );
}
