'use client';

import { Download, FilePlus2, Footprints } from 'lucide-react';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { anything, findDrills, type Wanted } from '@/session/drills/find';
import { addressOf, lookedFor, usualGroup } from './wanted-in-address';
import { kitAtHand } from '@/drills/base/kit';
import { families, focuses, sports, type Drill } from '@/drills/base/types';
import { measures, type Measure } from '@/core/counting/measure';
import { fitsHere } from '@/core/venues/fits';
import { counted } from '@/core/base/words';
import type { DrillListView } from '@/server/views/drills';
import { buttonClass } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { Field } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';
import { PageHead, Sheet } from '@/ui/page-head';
import { TakenOffList } from '@/ui/taken-off';
import { removeDrillAction } from '@/server/actions';
import { BringIn } from './bring-in';
import { CardsRow } from './cards';
import { DrillRow } from './drill-row';

/** Every drill there is: found by what it is, for whom, and whether it fits the place and the kit. */
export function Drills({ view }: { view: DrillListView }) {
  const book = useWholeBook();
  const query = useSearchParams();
  const [first] = useState(() => lookedFor(query));
  const [wanted, setWanted] = useState<Wanted>(first.wanted);
  const [placeId, setPlaceId] = useState(first.placeId);
  const [group, setGroup] = useState(first.group);
  const [cleared, setCleared] = useState(0);
  // What is looked for stands in the address, so that Back from a drill finds it again.
  const address = addressOf({ wanted, placeId, group });
  useEffect(() => {
    const now = window.location.search.replace(/^\?/, '');
    if (now !== address)
      window.history.replaceState(null, '', address ? `?${address}` : window.location.pathname);
  }, [address]);
  const place = view.grounds.find((one) => one.id === placeId) ?? null;
  const atHand = useMemo(() => kitAtHand(view.kit), [view.kit]);
  const fits = useMemo(
    () => new Map(book.drills.map((drill) => [drill.id, fitsHere(drill, group, 1, place, atHand)])),
    [book, group, place, atHand],
  );
  const fitOf = (drill: Drill) => fits.get(drill.id)!;
  const found = findDrills(book.drills, wanted, fitOf);
  const set = (part: Partial<Wanted>) => setWanted((before) => ({ ...before, ...part }));
  const age = wanted.age ?? 10;

  return (
    <>
      <PageHead
        title="Drills"
        actions={
          <>
            <a href="/api/drills" download className={buttonClass('quiet')}>
              <Download aria-hidden size={18} /> Take all away
            </a>
            <ButtonLink look="quiet" href="/drills/sequences">
              <Footprints aria-hidden size={18} /> Shadow sequences
            </ButtonLink>
            <BringIn />
            <ButtonLink look="now" href="/drills/new">
              <FilePlus2 aria-hidden size={18} /> Write a drill
            </ButtonLink>
          </>
        }
      >
        <span role="status">
          {found.length === book.drills.length
            ? counted(found.length, 'drill')
            : `${found.length} of ${counted(book.drills.length, 'drill')}`}
        </span>
        , each a ladder of steps.
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[16rem_1fr]">
        <Sheet
          key={cleared}
          className="grid grid-cols-2 gap-x-3 gap-y-2 p-3 text-sm lg:grid-cols-1"
          aria-label="Find"
        >
          <Field label="Words">
            <input
              type="search"
              value={wanted.words}
              onChange={(event) => set({ words: event.target.value })}
              placeholder="bounce, wall, serve…"
            />
          </Field>
          <div className="grid grid-cols-2 gap-2">
            <Choice
              label="Sport"
              value={wanted.sport}
              options={sports}
              onChange={(sport) => set({ sport })}
            />
            <Choice
              label="Family"
              value={wanted.family}
              options={families}
              onChange={(family) => set({ family })}
            />
          </div>
          <div className="grid grid-cols-2 gap-2">
            <Amount label="Age" value={wanted.age} min={3} max={18} onChange={(next) => set({ age: next })} />
            <Amount
              label="Minutes"
              value={wanted.minutes}
              min={1}
              max={20}
              onChange={(minutes) => set({ minutes })}
            />
          </div>
          <div className="grid grid-cols-2 gap-2">
            <Choice
              label="Measure"
              value={wanted.measure}
              options={Object.keys(measures) as Measure[]}
              onChange={(measure) => set({ measure })}
            />
            <Choice
              label="Trains"
              value={wanted.focus}
              options={focuses}
              onChange={(focus) => set({ focus })}
            />
          </div>
          <Field label="Place">
            <select value={placeId} onChange={(event) => setPlaceId(event.target.value)}>
              <option value="">anywhere</option>
              {view.grounds.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </select>
          </Field>
          <Amount
            label="Players"
            value={group}
            min={1}
            max={12}
            onChange={(n) => setGroup(n ?? usualGroup)}
          />
          <label className="flex min-h-9 touch:min-h-11 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              checked={wanted.fitting}
              onChange={(event) => set({ fitting: event.target.checked })}
              className="size-5 accent-[var(--now)]"
            />
            Only what fits place and kit
          </label>
          <button
            type="button"
            className={buttonClass('quiet', 'justify-start px-0')}
            onClick={() => {
              setWanted(anything);
              setPlaceId('');
              setGroup(usualGroup);
              setCleared(cleared + 1);
            }}
          >
            Clear all
          </button>
        </Sheet>
        <div className="min-w-0 space-y-3">
          <CardsRow />
          {found.length === 0 && (
            <Sheet className="p-5">
              <p>
                No drill is like that. Take one wish away, choose another place, or write the drill yourself.
              </p>
            </Sheet>
          )}
          {families.map((family) => {
            const own = found.filter((drill) => drill.family === family);
            return own.length === 0 ? null : (
              <Sheet key={family} aria-label={family}>
                <h2 className="border-b-2 border-ink px-3 py-1.5 text-lg first-letter:uppercase">{family}</h2>
                <ul>
                  {own.map((drill) => (
                    <DrillRow
                      key={drill.id}
                      drill={drill}
                      fit={fitOf(drill)}
                      age={age}
                      own={book.isOwn(drill.id)}
                    />
                  ))}
                </ul>
              </Sheet>
            );
          })}
        </div>
      </div>
      <TakenOffList items={view.takenOff} setRemoved={removeDrillAction} />
    </>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly T[];
  readonly onChange: (value: T | null) => void;
}

function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <Field label={label}>
      <select
        value={value ?? ''}
        onChange={(event) => onChange((event.target.value || null) as T | null)}
        className="px-1"
      >
        <option value="">any</option>
        {options.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </Field>
  );
}

interface AmountProps {
  readonly label: string;
  readonly value: number | null;
  readonly min: number;
  readonly max: number;
  readonly onChange: (value: number | null) => void;
}

/** A whole number that may stay open; what cannot be is not taken and says so. */
function Amount({ label, value, min, max, onChange }: AmountProps) {
  const [text, setText] = useState(value === null ? '' : String(value));
  const typed = Number(text);
  const good = text.trim() === '' || (Number.isInteger(typed) && typed >= min && typed <= max);
  return (
    <Field label={label} error={good ? undefined : `${min} to ${max}.`}>
      <input
        inputMode="numeric"
        autoComplete="off"
        value={text}
        placeholder="any"
        onChange={(event) => {
          setText(event.target.value);
          const next = event.target.value.trim();
          const number = Number(next);
          if (next === '') onChange(null);
          else if (Number.isInteger(number) && number >= min && number <= max) onChange(number);
        }}
      />
    </Field>
  );
}
