'use client';

import type { Dose } from '@/core/dose/dose';
import { doseFields, fieldProblem, partField, type DoseField } from '@/core/dose/limits';
import { Field } from '@/ui/field';
import { useTypedNumber } from '@/ui/typing';

interface Props {
  readonly dose: Dose;
  /** Takes a dose; `field` names what was typed, so that the keys of one number are one step to undo. */
  readonly onChange: (dose: Dose, field: string) => void;
}

/** The numbers of a dose, taken as they are typed. One that cannot be stays in its field with what is wrong. */
export function DoseFields({ dose, onChange }: Props) {
  return (
    <div className="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
      {doseFields[dose.kind].map((field) => (
        <DoseInput
          key={`${dose.kind} ${field.name}`}
          field={field}
          value={(dose as unknown as Record<string, number>)[field.name]!}
          onChange={(next) => onChange({ ...dose, [field.name]: next }, field.name)}
        />
      ))}
      {dose.kind === 'routine' &&
        dose.parts.map((part, index) => (
          <DoseInput
            key={`${index} ${part.name}`}
            field={{ ...partField, label: part.sides === 2 ? `${part.name}, each side` : part.name }}
            value={part.partS}
            onChange={(partS) =>
              onChange(
                { ...dose, parts: dose.parts.map((one, at) => (at === index ? { ...one, partS } : one)) },
                `part ${index}`,
              )
            }
          />
        ))}
    </div>
  );
}

function DoseInput({
  field,
  value,
  onChange,
}: {
  field: DoseField;
  value: number;
  onChange: (value: number) => void;
}) {
  const { input, error } = useTypedNumber(value, (typed) => fieldProblem(field, typed), onChange);
  return (
    <Field label={[field.label, field.unit].filter(Boolean).join(', ')} error={error}>
      <input {...input} />
    </Field>
  );
}
