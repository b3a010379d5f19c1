'use client';

import { House } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import type { Problem } from '@/core/base/outcome';
import { surfaces, type Surface } from '@/core/venues/place';
import { kitThings } from '@/drills/base/kit';
import { saveHomeAction } from '@/server/actions/vows';
import { kitInWords, roomInWords, type Home } from '@/session/vows/home';
import { ask } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { ErrorNote, Field } from '@/ui/field';
import { Sheet } from '@/ui/page-head';
import { Said, useUnits } from '@/ui/units';
import { LengthInput } from '@/ui/length-input';

interface Props {
  readonly playerId: string;
  readonly home: Home;
  readonly said: boolean;
  readonly onSaved: () => void;
}

/** What a player has at home, and a form to say it. */
export function HomeCard({ playerId, home, said, onSaved }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Sheet className="p-4" aria-label="At home">
      <h2 className="flex items-center gap-2 text-lg">
        <House aria-hidden size={18} /> At home
      </h2>
      <p className="text-sm">
        {said ? '' : 'Nobody has said, so this is taken: '}
        <Said>{`${roomInWords(home)}.`}</Said>
      </p>
      <p className="text-sm text-soft">{kitInWords(home)}</p>
      <Button className="mt-2" onClick={() => setOpen(true)}>
        Say what there is
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="At home"
        intro="Drills that do not fit here are not offered first. No address, no names: only what a drill needs."
        startsAtField={false}
      >
        <HomeForm
          playerId={playerId}
          home={home}
          onDone={() => {
            setOpen(false);
            onSaved();
          }}
        />
      </Dialog>
    </Sheet>
  );
}

type Typed = Readonly<
  Record<'lengthM' | 'widthM' | 'ceilingM' | 'wallM' | 'tables' | 'quietFrom' | 'quietTo', string>
>;

function HomeForm({ playerId, home, onDone }: Pick<Props, 'playerId' | 'home'> & { onDone: () => void }) {
  const [typed, setTyped] = useState<Typed>(() => ({
    lengthM: String(home.lengthM),
    widthM: String(home.widthM),
    ceilingM: home.ceilingM === null ? '' : String(home.ceilingM),
    wallM: String(home.wallM),
    tables: String(home.tables),
    quietFrom: home.quietFrom ?? '',
    quietTo: home.quietTo ?? '',
  }));
  const [surface, setSurface] = useState<Surface>(home.surface);
  const [lamps, setLamps] = useState(home.lamps);
  const [helper, setHelper] = useState(home.helper);
  const [kit, setKit] = useState<Readonly<Record<string, number>>>(() => Object.fromEntries(home.kit));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const { unit, say } = useUnits();
  const errorOf = (field: string) => {
    const message = problems.find((one) => one.field === field)?.message;
    return message && say(message);
  };
  const field = (name: keyof Typed, label: string, hint?: string, type = 'text') => (
    <Field label={label} hint={hint} error={errorOf(name)}>
      <input
        type={type}
        inputMode={type === 'text' ? 'decimal' : undefined}
        value={typed[name]}
        onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      />
    </Field>
  );
  const length = (name: keyof Typed, label: string, hint?: string) => (
    <Field label={`${label}, ${unit}`} hint={hint} error={errorOf(name)}>
      <LengthInput value={typed[name]} onChange={(metres) => setTyped({ ...typed, [name]: metres })} />
    </Field>
  );
  const send = async (event: FormEvent) => {
    event.preventDefault();
    event.stopPropagation();
    const outcome = await ask(() =>
      saveHomeAction(playerId, {
        ...typed,
        surface,
        lamps,
        helper,
        kit: Object.entries(kit).map(([item, count]) => ({ item, count })),
      }),
    );
    if (outcome.ok) return onDone();
    setProblems(outcome.problems);
  };
  const loose = problems.filter(({ field: name }) => !(name in typed));
  return (
    <form onSubmit={(event) => void send(event)} noValidate className="space-y-4">
      {loose.map(({ message }) => (
        <ErrorNote key={message}>{message}</ErrorNote>
      ))}
      <div className="grid grid-cols-2 gap-3">
        {length('lengthM', 'Length')}
        {length('widthM', 'Width')}
        {length('ceilingM', 'Ceiling', 'Open under the sky.')}
        {length('wallM', 'Wall to hit', '0 for none.')}
        <Field label="Floor">
          <select value={surface} onChange={(event) => setSurface(event.target.value as Surface)}>
            {surfaces.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </Field>
        {field('tables', 'Tables')}
        {field('quietFrom', 'Quiet from', undefined, 'time')}
        {field('quietTo', 'Quiet to', undefined, 'time')}
      </div>
      <div className="flex flex-wrap gap-x-6">
        <label className="inline-flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={lamps} onChange={() => setLamps(!lamps)} /> Lamps
          or windows in reach
        </label>
        <label className="inline-flex min-h-11 items-center gap-2">
          <input type="checkbox" className="size-5" checked={helper} onChange={() => setHelper(!helper)} />{' '}
          Somebody helps
        </label>
      </div>
      <fieldset>
        <legend className="font-semibold">Things there</legend>
        <div className="mt-1 grid grid-cols-2 gap-x-4 gap-y-1">
          {kitThings
            .filter(({ kind }) => kind === 'kit')
            .map(({ name }) => (
              <label key={name} className="flex min-h-11 items-center justify-between gap-2 text-sm">
                {name}
                <input
                  type="number"
                  min={0}
                  max={100}
                  value={kit[name] ?? 0}
                  onChange={(event) =>
                    setKit({ ...kit, [name]: Math.max(0, Number(event.target.value) || 0) })
                  }
                  className="min-h-11 w-16 rounded-md border-2 border-edge bg-sheet px-2"
                />
              </label>
            ))}
        </div>
      </fieldset>
      <div className="flex justify-end">
        <Button type="submit" look="now">
          Keep it
        </Button>
      </div>
    </form>
  );
}
