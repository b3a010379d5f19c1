'use client';

import { UserPlus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sports } from '@/drills/base/types';
import { joinSessionAction, whoElseAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ErrorNote, Field } from '@/ui/field';

type WhoElse = Awaited<ReturnType<typeof whoElseAction>>;

/** A child nobody planned for: one of the squad in one press, or a guest by name and year of birth. */
export function SomebodyElse({
  sessionId,
  onJoined,
}: {
  sessionId: string;
  onJoined: (name: string) => void;
}) {
  const router = useRouter();
  const [who, setWho] = useState<WhoElse | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const open = async () => {
    try {
      setWho(await whoElseAction(sessionId));
      setProblem(null);
    } catch {
      setProblem('The server could not be reached: try again.');
    }
  };
  const join = async (input: unknown) => {
    if (busy) return;
    setBusy(true);
    const outcome = await ask(() => joinSessionAction(sessionId, input));
    setBusy(false);
    setProblem(outcome.ok ? null : problemsText(outcome));
    if (!outcome.ok) return;
    setWho(null);
    router.refresh();
    onJoined(outcome.value.name);
  };
  return (
    <div className="mt-4 border-t-2 border-line pt-3">
      {problem && <ErrorNote>{problem}</ErrorNote>}
      {who === null ? (
        <Button onClick={() => void open()}>
          <UserPlus aria-hidden size={18} /> Somebody else came
        </Button>
      ) : (
        <>
          {who.others.length > 0 && (
            <fieldset disabled={busy}>
              <legend className="mb-1 font-semibold">Of the squad</legend>
              <div className="flex flex-wrap gap-2">
                {who.others.map(({ id, name }) => (
                  <Button key={id} onClick={() => void join({ playerId: id })}>
                    {name}
                  </Button>
                ))}
              </div>
            </fieldset>
          )}
          <Guest sport={who.sport} busy={busy} onJoin={(guest) => void join({ guest })} />
        </>
      )}
    </div>
  );
}

interface GuestProps {
  readonly sport: WhoElse['sport'];
  readonly busy: boolean;
  readonly onJoin: (guest: { name: string; birthYear: string; sport: string }) => void;
}

function Guest({ sport: usual, busy, onJoin }: GuestProps) {
  const [name, setName] = useState('');
  const [birthYear, setBirthYear] = useState('');
  const [sport, setSport] = useState<string>(usual);
  return (
    <form
      noValidate
      className="mt-3 grid grid-cols-2 items-end gap-3 sm:grid-cols-[1fr_7rem_9rem_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        onJoin({ name, birthYear, sport });
      }}
    >
      <Field label="A guest">
        <input value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />
      </Field>
      <Field label="Born in">
        <input
          value={birthYear}
          inputMode="numeric"
          onChange={(event) => setBirthYear(event.target.value)}
          autoComplete="off"
        />
      </Field>
      <Field label="Plays">
        <select value={sport} onChange={(event) => setSport(event.target.value)}>
          {sports.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </Field>
      <Button type="submit" disabled={busy}>
        Let them join
      </Button>
      <p className="col-span-full text-sm text-soft">
        A guest goes onto the squad, so that what they do is kept. Take them off it when they do not come
        back.
      </p>
    </form>
  );
}
