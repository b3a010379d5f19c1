'use client';

import type { UseFormReturn } from 'react-hook-form';
import { measures, type Measure } from '@/core/counting/measure';
import { Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import type { Draft } from './draft';
import { Lines, Text } from './form-fields';
import { measureOf } from './step-fields';

/** What a new drill cannot be without: its name, what is done, what is said, and how it is counted. */
export function FourThings({ form }: { readonly form: UseFormReturn<Draft> }) {
  return (
    <Sheet className="mb-3 grid gap-3 p-4 sm:grid-cols-2" aria-label="Four things first">
      <Text label="Title" hint="What you call it." field={form.register('title')} />
      <Field label="How it is counted">
        <select {...measureOf(form, 0)}>
          {(Object.keys(measures) as Measure[]).map((measure) => (
            <option key={measure} value={measure}>
              {measure}: {measures[measure].unit}
            </option>
          ))}
        </select>
      </Field>
      <Lines
        label="Task"
        hint="What is done, in a sentence or two."
        field={form.register('steps.0.task')}
        rows={2}
      />
      <Text label="Cue" hint="What you say: one positive sentence." field={form.register('steps.0.cue')} />
    </Sheet>
  );
}
