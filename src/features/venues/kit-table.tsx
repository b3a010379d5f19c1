'use client';

import { useState } from 'react';
import { kitThings } from '@/drills/base/kit';
import { saveKitAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';

/** What there is of everything a drill can ask for. An empty field means: nobody counted. */
export function KitTable({ kit }: { kit: Readonly<Record<string, number>> }) {
  const counted = Object.keys(kit).length > 0;
  const group = (title: string, kind: 'kit' | 'household', hint: string) => (
    <>
      <h3 className="mt-2 text-base">{title}</h3>
      <p className="text-sm text-soft">{hint}</p>
      <div className="grid grid-cols-2 gap-x-4">
        {kitThings
          .filter((thing) => thing.kind === kind)
          .map(({ name }) => (
            <KitField key={`${name} ${kit[name] ?? ''}`} name={name} count={kit[name]} />
          ))}
      </div>
    </>
  );
  return (
    <Sheet className="p-3" aria-label="Kit">
      <h2 className="text-lg">Kit</h2>
      {!counted && (
        <p className="text-sm">
          Nothing is counted yet: every plan assumes that everything is there, and as many as it needs. Count
          what you have, and plans say what is missing.
        </p>
      )}
      {group(
        'Bought or borrowed',
        'kit',
        counted
          ? 'What is left open is taken as missing.'
          : 'Once one thing is counted, what is left open is taken as missing.',
      )}
      {group('In every household', 'household', 'Taken as there; type 0 for what you cannot get.')}
    </Sheet>
  );
}

function KitField({ name, count }: { name: string; count: number | undefined }) {
  const before = count === undefined ? '' : String(count);
  const [text, setText] = useState(before);
  const [problem, setProblem] = useState<string | null>(null);
  const notice = useNotice();
  const save = async (value: string, undo = true) => {
    const outcome = await ask(() => saveKitAction({ [name]: value.trim() === '' ? null : value }));
    setProblem(outcome.ok ? null : problemsText(outcome));
    if (outcome.ok)
      notice({
        text: `${name}: ${value.trim() === '' ? 'not counted' : value}.`,
        ...(undo && { undo: () => void save(before, false) }),
      });
  };
  return (
    <label className="flex items-center justify-between gap-2 border-b border-line py-0.5 text-sm">
      <span>
        <span className="block">{name}</span>
        {problem && <span className="block font-semibold text-stop">{problem}</span>}
      </span>
      <input
        value={text}
        inputMode="numeric"
        autoComplete="off"
        aria-invalid={problem ? true : undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => {
          if (text.trim() !== before) void save(text);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
        }}
        className="tabular min-h-8 touch:min-h-11 w-14 rounded-md border-2 border-edge bg-sheet px-2 text-right aria-[invalid=true]:border-stop"
      />
    </label>
  );
}
