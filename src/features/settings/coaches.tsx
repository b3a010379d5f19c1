'use client';

import { KeyRound, UserPlus } from 'lucide-react';
import { useState } from 'react';
import { counted } from '@/core/base/words';
import {
  addCoachAction,
  changePasscodeAction,
  giveRoleAction,
  removeCoachAction,
} from '@/server/actions/doors';
import type { CoachFacts, SettingsView } from '@/server/views/settings';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { CoachFields } from './coach-form';

type Open = { readonly kind: 'add' } | { readonly kind: 'passcode' | 'remove'; readonly of: CoachFacts };

/** Who comes in, and as what. While it is nobody, whoever sits at this computer does. */
export function Coaches({
  coaches,
  me,
}: {
  readonly coaches: readonly CoachFacts[];
  readonly me: SettingsView['me'];
}) {
  const notice = useNotice();
  const [open, setOpen] = useState<Open | null>(null);
  const first = coaches.length === 0;
  const say = (text: string) => {
    setOpen(null);
    notice({ text });
  };
  const change = async (coach: CoachFacts, role: 'owner' | 'coach') => {
    const outcome = await ask(() => giveRoleAction(coach.id, role));
    notice(
      outcome.ok
        ? { text: `${coach.name} is ${role === 'owner' ? 'an owner' : 'a coach'} now.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  const remove = async (coach: CoachFacts) => {
    const outcome = await ask(() => removeCoachAction(coach.id));
    setOpen(null);
    notice(
      outcome.ok
        ? { text: `${coach.name} does not come in any more, and is signed out everywhere.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Sheet className="p-4" aria-label="Coaches">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">Coaches</h2>
        <Button look={first ? 'now' : 'plain'} onClick={() => setOpen({ kind: 'add' })}>
          <UserPlus aria-hidden size={18} /> {first ? 'Set your passcode' : 'Add a coach'}
        </Button>
      </div>
      {first && (
        <p className="text-soft">
          Nobody signs in: whoever sits at this computer sees everything. Once you set a passcode, every page
          asks for one, and Vow Step may be opened to tablets in the hall.
        </p>
      )}
      <ul className="mt-2">
        {coaches.map((coach) => (
          <li
            key={coach.id}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-1.5"
            data-coach={coach.name}
          >
            <p className="min-w-40 flex-1">
              <span className="font-semibold">{coach.name}</span>
              {coach.id === me?.id && ' (you)'}
              <span className="block text-sm text-soft">
                {coach.open === 0 ? 'not signed in' : `signed in on ${counted(coach.open, 'browser')}`}
              </span>
            </p>
            <select
              aria-label={`Role of ${coach.name}`}
              value={coach.role}
              onChange={(event) => void change(coach, event.target.value as 'owner' | 'coach')}
              className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
            >
              <option value="owner">owner</option>
              <option value="coach">coach</option>
            </select>
            <Button look="quiet" onClick={() => setOpen({ kind: 'passcode', of: coach })}>
              <KeyRound aria-hidden size={16} /> New passcode
              <span className="sr-only"> for {coach.name}</span>
            </Button>
            <Button look="quiet" onClick={() => setOpen({ kind: 'remove', of: coach })}>
              Remove<span className="sr-only"> {coach.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Dialog
        open={open?.kind === 'add'}
        onOpenChange={(on) => !on && setOpen(null)}
        title={first ? 'Your passcode' : 'Add a coach'}
        intro={
          first
            ? 'You become the owner, and stay signed in here. On other devices you sign in with it.'
            : 'They sign in with it; they can change it themselves in Settings.'
        }
      >
        <CoachFields
          first={first}
          save={addCoachAction}
          onDone={({ name }) => say(first ? `You sign in as ${name} from now on.` : `${name} can sign in.`)}
        />
      </Dialog>
      {open?.kind === 'passcode' && (
        <Dialog
          open
          onOpenChange={(on) => !on && setOpen(null)}
          title={`New passcode for ${open.of.name}`}
          intro="Their other browsers are signed out."
        >
          <CoachFields
            of={open.of.name}
            self={open.of.id === me?.id}
            save={({ passcode, own }) => changePasscodeAction(open.of.id, { passcode, own })}
            onDone={() => say(`${open.of.name} has a new passcode.`)}
          />
        </Dialog>
      )}
      {open?.kind === 'remove' && (
        <Dialog
          open
          onOpenChange={(on) => !on && setOpen(null)}
          title={`Remove ${open.of.name}?`}
          intro="They are signed out everywhere at once and do not come in again. What they wrote and counted stays, with their name."
        >
          <div className="flex gap-2">
            <Button look="stop" onClick={() => void remove(open.of)}>
              Remove {open.of.name}
            </Button>
            <Button onClick={() => setOpen(null)}>Keep</Button>
          </div>
        </Dialog>
      )}
    </Sheet>
  );
}
