'use client';

import { ListChecks } from 'lucide-react';
import { useState } from 'react';
import { counted, inThousands } from '@/core/base/words';
import { dayNumber } from '@/core/base/days';
import { ledgerWords } from '@/session/skill/progress-words';
import type { FocusLedger, ProgressView } from '@/server/views/progress';
import { Button } from '@/ui/button';
import { dayAt } from '@/ui/dates';
import { Dialog } from '@/ui/dialog';
import { Figure } from '@/ui/figure';
import { Sheet } from '@/ui/page-head';
import { usePart } from '@/ui/use-part';
import { useWholeBook } from '@/ui/whole-book';

const loadForm = () => import('./ledger-form');

/** The one thing they work on: good repetitions so far, of how many, and when it will be there. */
export function LedgerCard({ view }: { readonly view: ProgressView }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  const now = view.foci.find(({ untilMs }) => untilMs === null);
  const past = view.foci.filter(({ untilMs }) => untilMs !== null);
  if (!now && past.length === 0) return null;
  return (
    <Sheet className="p-3" aria-label="Working on">
      {now && (
        <>
          <div className="flex flex-wrap items-baseline justify-between gap-2">
            <h2 className="text-lg">Working on: {now.text}</h2>
            <Button look="quiet" className="px-2 text-sm" onClick={() => setOpen(true)}>
              <ListChecks aria-hidden size={16} /> What counts towards it
            </Button>
          </div>
          {now.forecast ? (
            <Ledger focus={now} view={view} />
          ) : (
            <p className="text-sm text-soft">
              Say which drills count towards it and how many good repetitions you want, and the date at this
              rate stands here.
            </p>
          )}
          <Dialog
            open={open && form !== null}
            onOpenChange={setOpen}
            title="What counts towards it"
            intro={now.text}
          >
            {form && <form.LedgerFields focus={now} view={view} onDone={() => setOpen(false)} />}
          </Dialog>
        </>
      )}
      {past.length > 0 && (
        <details className="mt-2 text-sm">
          <summary className="min-h-6 touch:min-h-11 font-semibold">
            {counted(past.length, 'earlier focus', 'earlier foci')}
          </summary>
          <ul>
            {past.map((one) => (
              <li key={one.id} className="border-t border-line py-1">
                {one.text}
                <span className="text-soft">
                  {' '}
                  · {dayAt(one.sinceMs)} to {dayAt(one.untilMs!)}
                  {one.forecast &&
                    ` · ${counted(one.forecast.done, 'good repetition')} of ${inThousands(one.forecast.goal)}`}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </Sheet>
  );
}

function Ledger({ focus, view }: { readonly focus: FocusLedger; readonly view: ProgressView }) {
  const book = useWholeBook();
  const forecast = focus.forecast!;
  const words = ledgerWords(forecast, dayNumber(view.today));
  return (
    <>
      <p>
        <Figure
          className="text-xl font-bold"
          explain={() => ({
            title: 'Good repetitions',
            value: `${forecast.done} of ${forecast.goal}`,
            formula:
              'Touches that held, of the drills that count, since the focus began. The rate is the mean of the last six weeks, its range what their scatter leaves.',
            inputs: [
              {
                label: 'Drills that count',
                value: focus.drillIds.map((id) => book.drill(id)?.title ?? id).join(', '),
              },
              ...focus.weeks.map((week, n) => ({
                label:
                  n === focus.weeks.length - 1
                    ? 'The last seven days'
                    : `${focus.weeks.length - n} weeks ago`,
                value: String(week),
              })),
            ],
            source:
              'About 2,000 for a pattern, several thousand for a skill: common practice, no source. The coach sets the number.',
          })}
        >
          {inThousands(forecast.done)}
        </Figure>{' '}
        of {inThousands(forecast.goal)} good repetitions
        {focus.atHome > 0 && `, ${inThousands(focus.atHome)} of them at home`}
      </p>
      <div
        role="meter"
        aria-label="Good repetitions"
        aria-valuemin={0}
        aria-valuemax={forecast.goal}
        aria-valuenow={Math.min(forecast.done, forecast.goal)}
        className="my-1 h-4 border-2 border-ink bg-sheet"
      >
        <div
          className="h-full bg-safe"
          style={{ width: `${Math.min(100, (100 * forecast.done) / forecast.goal)}%` }}
        />
      </div>
      <p className="text-sm">{words}</p>
    </>
  );
}
