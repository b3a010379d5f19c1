'use client';

import { counted } from '@/core/base/words';
import type { TableLook } from '@/server/views/files';
import { Button } from '@/ui/button';

interface Props {
  readonly name: string;
  readonly look: TableLook;
  readonly busy: boolean;
  readonly onMap: (mapping: TableLook['mapping']) => void;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}

const words = { added: 'new', changed: 'changes', same: 'is the same', refused: 'left out' } as const;
const tone = { added: 'text-safe', changed: 'text-ink', same: 'text-soft', refused: 'text-stop' } as const;

/** What a table would do, line by line, and which of its columns is which. */
export function TablePreview({ name, look, busy, onMap, onTake, onLeave }: Props) {
  const { columns, fields, mapping, lines, latin } = look;
  const count = (state: keyof typeof words) => lines.filter((line) => line.state === state).length;
  const does = count('added') + count('changed');
  return (
    <div className="mt-4 space-y-3" data-preview="table">
      <h3 className="font-semibold">
        {name}: {counted(lines.length, 'line')}
      </h3>
      {latin && (
        <p className="text-sm text-soft">
          The file is not in UTF-8, and is read as Western European: look whether the names are right.
        </p>
      )}
      <fieldset className="rounded-md border-2 border-line p-3">
        <legend className="px-1 font-semibold">Which column is which</legend>
        <div className="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-3">
          {fields.map((field) => (
            <label key={field.name} className="text-sm">
              <span className={field.needed ? 'font-semibold' : ''}>
                {field.label}
                {field.needed && ' (needed)'}
              </span>
              <select
                value={mapping[field.name] ?? ''}
                disabled={busy}
                onChange={(event) =>
                  onMap({
                    ...mapping,
                    [field.name]: event.target.value === '' ? null : Number(event.target.value),
                  })
                }
                className="min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2"
              >
                <option value="">in no column</option>
                {columns.map((column, index) => (
                  <option key={index} value={index}>
                    {column || `column ${index + 1}`}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
      </fieldset>
      <p role="status">
        {count('added')} new, {count('changed')} changed, {count('same')} the same,{' '}
        <span className={count('refused') > 0 ? 'font-semibold text-stop' : ''}>
          {count('refused')} left out
        </span>
        .
      </p>
      <div
        className="max-h-80 overflow-y-auto rounded-md border-2 border-line"
        tabIndex={0}
        role="region"
        aria-label="Lines"
      >
        <table className="w-full text-left text-sm">
          <thead>
            <tr className="text-soft">
              <th className="px-2 font-normal">Line</th>
              <th className="px-2 font-normal">What</th>
              <th className="px-2 font-normal">Would be</th>
              <th className="px-2 font-normal">Why</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ line, state, what, why }) => (
              <tr key={line} className="border-t border-line align-top" data-line={state}>
                <td className="tabular px-2 py-1">{line}</td>
                <td className="px-2 py-1 font-semibold break-words">{what}</td>
                <td className={`px-2 py-1 font-semibold ${tone[state]}`}>{words[state]}</td>
                <td className="px-2 py-1">
                  {why.map((one) => (
                    <span key={one} className="block">
                      {one}
                    </span>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button look="now" disabled={busy || does === 0} onClick={onTake}>
          {does === 0 ? 'Nothing to take over' : `Take over ${counted(does, 'line')}`}
        </Button>
        <Button disabled={busy} onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </div>
  );
}
