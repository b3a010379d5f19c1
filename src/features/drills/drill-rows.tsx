'use client';

import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import { kitThings } from '@/drills/base/kit';
import { kitPers } from '@/drills/base/types';
import type { Draft } from './draft';
import { Cell, Rows } from './rows';

type Form = UseFormReturn<Draft>;

/** How many of what, for whom, and what stands in. */
export function KitRows({ form, className }: { readonly form: Form; readonly className?: string }) {
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'kit' });
  return (
    <Rows
      label="Kit"
      one="thing"
      ids={fields.map(({ id }) => id)}
      onAdd={() => append({ count: '1', item: '', per: 'player', standIns: '' })}
      onRemove={remove}
      className={className}
      row={(at) => (
        <div className="grid grid-cols-[4rem_1fr] gap-1.5 sm:grid-cols-[4rem_1fr_8rem]">
          <Cell label="How many" number field={form.register(`kit.${at}.count`)} />
          <Cell label="What" list="kit-things" field={form.register(`kit.${at}.item`)} />
          <select
            {...form.register(`kit.${at}.per`)}
            aria-label="For each"
            className="col-span-full min-h-11 rounded-md border-2 border-edge bg-sheet px-1 sm:col-span-1"
          >
            {kitPers.map((per) => (
              <option key={per} value={per}>
                each {per}
              </option>
            ))}
          </select>
          <div className="col-span-full">
            <Cell label="What stands in, with commas" field={form.register(`kit.${at}.standIns`)} />
          </div>
          {at === 0 && (
            <datalist id="kit-things">
              {kitThings.map(({ name }) => (
                <option key={name} value={name} />
              ))}
            </datalist>
          )}
        </div>
      )}
    />
  );
}

/** What goes wrong, what to say, and whether it sends the player a step back. */
export function FaultRows({ form }: { readonly form: Form }) {
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'faults' });
  return (
    <Rows
      label="Faults"
      one="fault"
      ids={fields.map(({ id }) => id)}
      onAdd={() => append({ fault: '', correction: '', stepBack: false })}
      onRemove={remove}
      row={(at) => (
        <>
          <Cell label="What goes wrong" long field={form.register(`faults.${at}.fault`)} />
          <Cell label="What to say" long field={form.register(`faults.${at}.correction`)} />
          <label className="flex min-h-11 items-center gap-2 text-sm">
            <input
              type="checkbox"
              {...form.register(`faults.${at}.stepBack`)}
              className="size-5 accent-[var(--now)]"
            />
            sends the player a step back
          </label>
        </>
      )}
    />
  );
}

interface OfStep {
  readonly form: Form;
  readonly index: number;
  readonly className?: string;
}

/** Zones or quality marks, the best first. */
export function ZoneRows({ form, index, className }: OfStep) {
  const name = `steps.${index}.zones` as const;
  const { fields, append, remove } = useFieldArray({ control: form.control, name });
  return (
    <Rows
      label="Zones, the best first"
      one="zone"
      ids={fields.map(({ id }) => id)}
      onAdd={() => append({ label: '', points: '0' })}
      onRemove={remove}
      className={className}
      row={(at) => (
        <div className="grid grid-cols-[1fr_5rem] gap-1.5">
          <Cell label="Zone" field={form.register(`${name}.${at}.label`)} />
          <Cell label="Points" number field={form.register(`${name}.${at}.points`)} />
        </div>
      )}
    />
  );
}

/** The parts of a routine in their order. */
export function PartRows({ form, index, className }: OfStep) {
  const name = `steps.${index}.parts` as const;
  const { fields, append, remove } = useFieldArray({ control: form.control, name });
  return (
    <Rows
      label="Parts"
      one="part"
      ids={fields.map(({ id }) => id)}
      onAdd={() => append({ name: '', partS: '20', sides: '1' })}
      onRemove={remove}
      className={className}
      row={(at) => (
        <div className="grid grid-cols-[1fr_5.5rem_6.5rem] gap-1.5">
          <Cell label="Part" field={form.register(`${name}.${at}.name`)} />
          <Cell label="Seconds" number field={form.register(`${name}.${at}.partS`)} />
          <select
            {...form.register(`${name}.${at}.sides`)}
            aria-label="Sides"
            className="min-h-11 rounded-md border-2 border-edge bg-sheet px-1"
          >
            <option value="1">one side</option>
            <option value="2">both sides</option>
          </select>
        </div>
      )}
    />
  );
}
