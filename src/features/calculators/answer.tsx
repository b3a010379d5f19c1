import { Children, type ReactNode } from 'react';
import type { Explanation } from '@/core/base/explain';
import { Figure } from '@/ui/figure';
import { Sheet } from '@/ui/page-head';
import { useUnits } from '@/ui/units';

/** Text among other things, its lengths as this coach reads them. */
const said = (children: ReactNode, say: (text: string) => string): ReactNode =>
  Children.map(children, (one) => (typeof one === 'string' ? say(one) : one));

/** What comes out, in one sentence; a limit says what stands in the way. */
export function Sentence({ children, limit = false }: { children: ReactNode; limit?: boolean }) {
  const { say } = useUnits();
  return (
    <p
      role="status"
      data-sentence
      className={
        limit
          ? 'rounded-md border-2 border-care bg-care-bg px-4 py-2 text-lg font-semibold text-care'
          : 'font-head text-2xl leading-tight font-bold'
      }
    >
      {said(children, say)}
    </p>
  );
}

export interface Reading {
  readonly label: string;
  readonly value: string;
  readonly note?: string;
  readonly explain?: () => Explanation;
  /** The same reading of the set-up kept beside. */
  readonly beside?: string;
}

/** Numbers under the picture. */
export function Readings({ readings, title }: { readings: readonly Reading[]; title: string }) {
  const { say } = useUnits();
  return (
    <Sheet aria-label={title}>
      <dl className="grid grid-cols-2 md:grid-cols-3 xl:grid-cols-4">
        {readings.map(({ label, value, note, explain, beside }) => (
          <div key={label} className="border-r border-b border-line px-3 py-1.5">
            <dt className="text-sm text-soft">{label}</dt>
            <dd className="text-lg leading-tight font-semibold">
              {explain ? (
                <Figure explain={explain} label={say(`${label}: ${value}`)}>
                  {say(value)}
                </Figure>
              ) : (
                <span className="tabular">{say(value)}</span>
              )}
              {beside && (
                <span className="tabular text-base font-normal text-safe"> · kept: {say(beside)}</span>
              )}
            </dd>
            {note && <dd className="text-sm text-soft">{say(note)}</dd>}
          </div>
        ))}
      </dl>
    </Sheet>
  );
}

/** How it was worked out, at the end. */
export function Law({ formula, source }: { formula: string; source: string }) {
  return (
    <details className="text-sm">
      <summary className="min-h-6 touch:min-h-11 font-semibold">
        How this is worked out, and where it comes from
      </summary>
      <p className="mt-1">{formula}</p>
      <p className="text-soft">Source: {source}</p>
    </details>
  );
}
