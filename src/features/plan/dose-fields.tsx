'use client';

import { useState } from 'react';
import type { Dose } from '@/core/dose/dose';
import { doseFields, fieldProblem, partField, type DoseField } from '@/core/dose/limits';
import { Field } from '@/ui/field';

/** The numbers of a dose. A number that cannot be stays in its field with what is wrong; the plan keeps the last good one. */
export function DoseFields({ dose, onChange }: { dose: Dose; onChange: (dose: Dose) => void }) {
  return (
    <div className="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
      {doseFields[dose.kind].map((field) => {
        const value = (dose as unknown as Record<string, number>)[field.name]!;
        return (
          <DoseInput
            // A change from elsewhere (undo, another step) starts the field afresh.
            key={`${dose.kind} ${field.name} ${value}`}
            field={field}
            value={value}
            onChange={(next) => onChange({ ...dose, [field.name]: next })}
          />
        );
      })}
      {dose.kind === 'routine' &&
        dose.parts.map((part, index) => (
          <DoseInput
            key={`${index} ${part.name} ${part.partS}`}
            field={{ ...partField, label: part.sides === 2 ? `${part.name}, each side` : part.name }}
            value={part.partS}
            onChange={(partS) =>
              onChange({
                ...dose,
                parts: dose.parts.map((one, at) => (at === index ? { ...one, partS } : one)),
              })
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
  const [text, setText] = useState(String(value));
  const typed = text.trim() === '' ? Number.NaN : Number(text);
  const problem = fieldProblem(field, typed);
  const commit = () => {
    if (!problem && typed !== value) onChange(typed);
  };
  return (
    <Field label={[field.label, field.unit].filter(Boolean).join(', ')} error={problem ?? undefined}>
      <input
        value={text}
        inputMode="numeric"
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
        }}
      />
    </Field>
  );
}
