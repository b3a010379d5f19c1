'use client';

import { ArrowLeft, ArrowRight, Plus, Undo2, X } from 'lucide-react';
import { useState } from 'react';
import {
  acrosses,
  comings,
  depthsOf,
  goings,
  plainShot,
  sides,
  strokesOf,
  type Shot,
} from '@/core/movement/sequence/shots';
import { shotLimits, wordsOfShot } from '@/core/movement/sequence/line';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import type { Sequence } from './use-sequence';

const depthNames: Readonly<Record<Shot['depth'], string>> = {
  net: 'at the net',
  in: 'short',
  line: 'where one stands',
  out: 'deep',
};

/** The strokes as a line of words, and as pieces to be put in, moved and taken out. */
export function LineField({ sequence }: { sequence: Sequence }) {
  const { draft, shots, problems, change, put, undo } = sequence;
  const move = (from: number, to: number) => {
    const next = [...shots];
    next.splice(to, 0, ...next.splice(from, 1));
    put(next);
  };
  return (
    <Sheet className="p-3 text-sm" aria-label="Strokes">
      <label className="block font-semibold" htmlFor="sequence-line">
        Strokes, with commas between them
      </label>
      <textarea
        id="sequence-line"
        rows={1}
        value={draft.text}
        spellCheck={false}
        aria-invalid={problems.length > 0 || undefined}
        aria-describedby="sequence-line-help"
        onChange={(event) => change({ text: event.target.value })}
        className="mt-1 [field-sizing:content] min-h-9 touch:min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-2 py-1 text-base aria-[invalid=true]:border-stop"
      />
      <p id="sequence-line-help" className="text-soft">
        Side, place, depth, stroke in any order: “bh corner, fh pivot loop, fh wide out home”. What is usual
        is left out.
      </p>
      <div role="status">
        {problems.map(({ message }) => (
          <ErrorNote key={message}>{message}</ErrorNote>
        ))}
      </div>
      {shots.length > 0 && (
        <ol className="mt-2 flex flex-wrap gap-2" aria-label="Strokes in their order">
          {shots.map((shot, n) => {
            const words = wordsOfShot(shot, draft.sport);
            const named = (what: string) => `${what} stroke ${n + 1}, ${words}`;
            return (
              <li
                key={n}
                data-stroke={n + 1}
                className="flex items-center rounded-md border-2 border-line bg-chalk"
              >
                <Small label={named('Earlier:')} disabled={n === 0} onPress={() => move(n, n - 1)}>
                  <ArrowLeft aria-hidden size={14} />
                </Small>
                <span className="px-1">
                  <span className="tabular text-soft">{n + 1}</span> {words}
                </span>
                <Small
                  label={named('Later:')}
                  disabled={n === shots.length - 1}
                  onPress={() => move(n, n + 1)}
                >
                  <ArrowRight aria-hidden size={14} />
                </Small>
                <Small
                  label={named('Take out')}
                  disabled={shots.length <= shotLimits.min}
                  onPress={() => put(shots.filter((_, at) => at !== n))}
                >
                  <X aria-hidden size={14} />
                </Small>
              </li>
            );
          })}
        </ol>
      )}
      <AddStroke
        sport={draft.sport}
        full={shots.length >= shotLimits.max || problems.length > 0}
        onAdd={(shot) => put([...shots, shot])}
      />
      {undo && (
        <Button look="quiet" className="mt-1 min-h-9 touch:min-h-11 px-2" onClick={undo}>
          <Undo2 aria-hidden size={16} /> Undo the last change
        </Button>
      )}
    </Sheet>
  );
}

function Small({
  label,
  disabled,
  onPress,
  children,
}: {
  label: string;
  disabled: boolean;
  onPress: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={disabled}
      onClick={onPress}
      className="inline-flex min-h-8 min-w-8 touch:min-h-11 touch:min-w-11 items-center justify-center rounded-md hover:bg-line disabled:opacity-40"
    >
      {children}
    </button>
  );
}

/** One more stroke, picked instead of typed. */
function AddStroke({
  sport,
  full,
  onAdd,
}: {
  sport: Sequence['draft']['sport'];
  full: boolean;
  onAdd: (shot: Shot) => void;
}) {
  const [own, setOwn] = useState<Partial<Shot>>({});
  const plain = plainShot(sport);
  const stroke = own.stroke && strokesOf(sport).includes(own.stroke) ? own.stroke : plain.stroke;
  const depth = own.depth && depthsOf(sport).includes(own.depth) ? own.depth : plain.depth;
  const shot: Shot = { ...plain, ...own, stroke, depth };
  const pick = <K extends keyof Shot>(key: K, value: Shot[K]) => setOwn({ ...own, [key]: value });
  return (
    <fieldset className="mt-2 flex flex-wrap items-end gap-x-1.5 gap-y-2">
      <legend className="font-semibold">One more</legend>
      <Pick label="Side" value={shot.side} options={sides} onPick={(value) => pick('side', value)} />
      <Pick label="Place" value={shot.across} options={acrosses} onPick={(value) => pick('across', value)} />
      <Pick
        label="Depth"
        value={depth}
        options={depthsOf(sport)}
        words={(value) => depthNames[value]}
        onPick={(value) => pick('depth', value)}
      />
      <Pick
        label="Stroke"
        value={stroke}
        options={strokesOf(sport)}
        onPick={(value) => pick('stroke', value)}
      />
      <Pick
        label="Ball comes"
        value={shot.coming ?? ''}
        options={['', ...comings]}
        words={(value) => value || 'as it likes'}
        onPick={(value) => pick('coming', value === '' ? null : value)}
      />
      <Pick
        label="Ball goes"
        value={shot.going ?? ''}
        options={['', ...goings]}
        words={(value) => value || 'as it likes'}
        onPick={(value) => pick('going', value === '' ? null : value)}
      />
      <Pick
        label="After it"
        value={shot.home ? 'home' : 'stay'}
        options={['stay', 'home'] as const}
        words={(value) => (value === 'home' ? 'home' : 'on from there')}
        onPick={(value) => pick('home', value === 'home')}
      />
      <Button className="min-h-9 touch:min-h-11 px-2" disabled={full} onClick={() => onAdd(shot)}>
        <Plus aria-hidden size={16} /> Add stroke
      </Button>
    </fieldset>
  );
}

function Pick<T extends string>({
  label,
  value,
  options,
  words = (one) => one,
  onPick,
}: {
  label: string;
  value: T;
  options: readonly T[];
  words?: (value: T) => string;
  onPick: (value: T) => void;
}) {
  return (
    <label className="font-semibold">
      <span className="block text-soft">{label}</span>
      <select
        value={value}
        onChange={(event) => onPick(event.target.value as T)}
        className="min-h-9 touch:min-h-11 rounded-md border-2 border-edge bg-sheet px-1.5 font-normal"
      >
        {options.map((one) => (
          <option key={one} value={one}>
            {words(one)}
          </option>
        ))}
      </select>
    </label>
  );
}
