'use client';

import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import type { UseFormReturn } from 'react-hook-form';
import { ageBands } from '@/drills/base/types';
import { measures, type Measure } from '@/core/counting/measure';
import type { DoseKind } from '@/core/dose/dose';
import { doseFields } from '@/core/dose/limits';
import { dosesOf } from '@/schemas/drill';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { measuredBy, type Draft } from './draft';
import { PartRows, ZoneRows } from './drill-rows';
import { Lines, Options, Text } from './form-fields';

interface Props {
  readonly form: UseFormReturn<Draft>;
  readonly index: number;
  readonly of: number;
  /** True where task, cue and measure are asked for elsewhere. */
  readonly asked?: boolean;
  readonly onMove: (to: number) => void;
  readonly onRemove: () => void;
}

/** The measure of a step; another one brings the kind of dose it begins with. */
export const measureOf = ({ register, setValue, getValues }: UseFormReturn<Draft>, index: number) =>
  register(`steps.${index}.measure`, {
    onChange: (event: { target: { value: Measure } }) =>
      setValue(`steps.${index}`, measuredBy(getValues(`steps.${index}`), event.target.value), {
        shouldDirty: true,
      }),
  });

/** One rung of the ladder as typed: what is done, how it is counted, and how much of it at each age. */
export function StepFields({ form, index, of, asked = false, onMove, onRemove }: Props) {
  const { register, watch } = form;
  const at = `steps.${index}` as const;
  const measure = watch(`${at}.measure`);
  const kind = watch(`${at}.kind`);
  const scored = measure === 'points' || measure === 'grade';
  const hasPaces = form.getValues(`${at}.base`).paces !== undefined;
  const measureField = measureOf(form, index);
  return (
    <Sheet className="p-4" aria-label={`Step ${index + 1}`}>
      <div className="mb-2 flex flex-wrap items-center justify-between">
        <h3 className="text-lg">Step {index + 1}</h3>
        <div className="flex">
          <Button look="quiet" className="px-2" onClick={() => onMove(index - 1)} disabled={index === 0}>
            <ArrowUp aria-hidden size={18} /> Easier<span className="sr-only"> than step {index}</span>
          </Button>
          <Button look="quiet" className="px-2" onClick={() => onMove(index + 1)} disabled={index === of - 1}>
            <ArrowDown aria-hidden size={18} /> Harder<span className="sr-only"> than step {index + 2}</span>
          </Button>
          <Button look="quiet" className="px-2" onClick={onRemove} disabled={of === 1}>
            <Trash2 aria-hidden size={18} /> Take out<span className="sr-only"> step {index + 1}</span>
          </Button>
        </div>
      </div>
      <div className="grid gap-3 lg:grid-cols-6">
        <Text label="Step title" field={register(`${at}.title`)} className="lg:col-span-2" />
        {!asked && (
          <Text
            label="Cue"
            hint="One positive sentence."
            field={register(`${at}.cue`)}
            className="lg:col-span-2"
          />
        )}
        <Lines label="What changed" field={register(`${at}.change`)} rows={2} className="lg:col-span-2" />
        {!asked && <Lines label="Task" field={register(`${at}.task`)} rows={2} className="lg:col-span-3" />}
        <div className="grid grid-cols-3 gap-2 lg:col-span-3">
          {!asked && <Options label="Measure" field={measureField} options={Object.keys(measures)} />}
          <Text label="Mark" field={register(`${at}.gateResult`)} number />
          <Text label="On days" field={register(`${at}.gateDays`)} number />
        </div>
        <Text
          label="Seconds a touch"
          hint={hasPaces ? 'At 10 to 12; another number is that of every age.' : undefined}
          field={register(`${at}.perTouchS`)}
          number
        />
        <Text label="Seconds a drop" field={register(`${at}.dropCostS`)} number />
        <Text label="Usual success" hint="0 to 1" field={register(`${at}.usualRate`)} number />
        <Options label="Dose" field={register(`${at}.kind`)} options={dosesOf[measure] ?? []} />
        {scored && <ZoneRows form={form} index={index} className="lg:col-span-2" />}
        {kind === 'routine' && <PartRows form={form} index={index} className="lg:col-span-3" />}
      </div>
      <DoseTable form={form} index={index} kind={kind} />
    </Sheet>
  );
}

function DoseTable({ form, index, kind }: { form: UseFormReturn<Draft>; index: number; kind: DoseKind }) {
  return (
    <div className="overflow-x-auto">
      <table className="mt-3 text-left text-sm">
        <caption className="sr-only">Dose of step {index + 1} by age</caption>
        <thead>
          <tr>
            <th scope="col" className="pr-4">
              Dose by age
            </th>
            {ageBands.map((band) => (
              <th key={band} scope="col" className="px-2">
                {band}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {doseFields[kind].map((field) => (
            <tr key={field.name}>
              <th scope="row" className="pr-4 font-normal">
                {[field.label, field.unit].filter(Boolean).join(', ')}
              </th>
              {ageBands.map((band) => (
                <td key={band} className="px-1 py-0.5">
                  <input
                    {...form.register(`steps.${index}.doses.${band}.${field.name}`)}
                    aria-label={`${field.label}, ${band} years, step ${index + 1}`}
                    inputMode="numeric"
                    autoComplete="off"
                    className="tabular min-h-9 touch:min-h-11 w-20 rounded-md border-2 border-edge bg-sheet px-2"
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
