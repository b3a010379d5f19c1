'use client';

import { Ruler } from 'lucide-react';
import { useState, type ComponentProps } from 'react';
import { explainFit } from '@/core/explanations/fit';
import { fitKeys, fitOf, type Fitted } from '@/core/players/fit';
import { heightOf } from '@/core/players/growth';
import { stageFor } from '@/core/players/racket';
import { originInWords } from '@/core/base/origin';
import { overruleFitAction } from '@/server/actions';
import type { PlayerView } from '@/server/views/player';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Figure } from '@/ui/figure';
import { LengthInput } from '@/ui/length-input';
import { useUnits } from '@/ui/units';

/** The measures of a set-up for one child, each with its range and source; the coach may put their own. */
export function FitSheet({ view }: { view: PlayerView }) {
  const [open, setOpen] = useState(false);
  const { facts } = view;
  const { say } = useUnits();
  const height = heightOf(facts.age, facts.heightCm);
  const centimetres = (metres: number) => Math.round(metres * 100);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Ruler aria-hidden size={18} /> Fit
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Fit to ${facts.name}`}
        intro={say(
          height.measured
            ? `Worked out from ${centimetres(height.valueM)} cm, as measured.`
            : `Height is not measured: ${centimetres(height.valueM)} cm is usual at ${facts.age} years, two in three are from ${centimetres(height.lowM)} to ${centimetres(height.highM)} cm (WHO growth references, from memory).`,
        )}
      >
        <FitTable view={view} />
      </Dialog>
    </>
  );
}

/** Every measure in a row of its own. */
export function FitTable({ view }: { view: PlayerView }) {
  const { facts } = view;
  const fitted = fitOf(facts, view.fit);
  return (
    <>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink text-sm">
            <th scope="col">Measure</th>
            <th scope="col">Suggested</th>
            <th scope="col">Usual range</th>
            <th scope="col">Source</th>
            <th scope="col">Your own</th>
          </tr>
        </thead>
        <tbody>
          {fitKeys
            .filter((key) => key !== 'racketIn' || facts.sport === 'tennis')
            .map((key) => (
              <FitRow
                key={`${key} ${fitted[key].overruled ? fitted[key].value : ''}`}
                view={view}
                fitted={fitted[key]}
              />
            ))}
        </tbody>
      </table>
      {facts.sport === 'tennis' && (
        <p className="mt-2 text-sm text-soft">
          Ball stage usual at {facts.age}: {stageFor(facts.age)} (ITF, from memory)
          {facts.stage &&
            facts.stage !== stageFor(facts.age) &&
            `; set to ${facts.stage} in the profile, which stands`}
          .
        </p>
      )}
    </>
  );
}

function FitRow({ view, fitted }: { view: PlayerView; fitted: Fitted }) {
  const before = fitted.overruled ? String(fitted.value) : '';
  const [text, setText] = useState(before);
  const [problem, setProblem] = useState<string | null>(null);
  const { facts } = view;
  const { say, unit } = useUnits();
  const isLength = fitted.unit === 'm';
  const save = async () => {
    if (text.trim() === before) return;
    const value = text.trim() === '' ? null : text.trim().replace(',', '.');
    const outcome = await ask(() => overruleFitAction(facts.id, { key: fitted.key, value }));
    setProblem(outcome.ok ? null : problemsText(outcome));
  };
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-1 font-semibold">
        {fitted.label}
      </th>
      <td>
        <Figure
          label={say(`${fitted.label}: ${fitted.suggested} ${fitted.unit}`)}
          explain={() => explainFit(fitted, facts)}
        >
          {say(`${fitted.suggested} ${fitted.unit}`)}
        </Figure>
      </td>
      <td className="tabular text-sm">
        {isLength && unit === 'ft'
          ? say(`${fitted.low} to ${fitted.high} m`)
          : `${fitted.low} to ${fitted.high}`}
      </td>
      <td className="text-sm text-soft">
        {originInWords({ origin: fitted.origin })}
        {fitted.origin === 'ours' && ', change it here'}
      </td>
      <td>
        <FitInput
          isLength={isLength}
          aria-label={`Your own ${fitted.label}, ${isLength ? unit : fitted.unit}`}
          value={text}
          aria-invalid={problem ? true : undefined}
          onChange={setText}
          onBlur={() => void save()}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
          className="tabular min-h-9 touch:min-h-11 w-20 rounded-md border-2 border-edge bg-sheet px-2 aria-[invalid=true]:border-stop"
        />
        {problem && <span className="block text-sm font-semibold text-stop">{problem}</span>}
      </td>
    </tr>
  );
}

interface FitInputProps extends Omit<ComponentProps<'input'>, 'value' | 'onChange'> {
  readonly isLength: boolean;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

function FitInput({ isLength, onChange, ...rest }: FitInputProps) {
  if (isLength) return <LengthInput {...rest} onChange={onChange} />;
  return (
    <input
      {...rest}
      inputMode="decimal"
      autoComplete="off"
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
