'use client';

import { KeyRound, LogOut } from 'lucide-react';
import { useState } from 'react';
import { changePasscodeAction, signOutAction } from '@/server/actions/doors';
import type { SettingsView } from '@/server/views/settings';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Sheet } from '@/ui/page-head';
import { useNotice } from '@/ui/toast';
import { CoachFields } from './coach-form';

/** Who sits here, and how to go. */
export function SignedInAs({ me }: { readonly me: NonNullable<SettingsView['me']> }) {
  const notice = useNotice();
  const [changing, setChanging] = useState(false);
  const leave = async (everywhere: boolean) => {
    const outcome = await ask(() => signOutAction(everywhere));
    if (outcome.ok) location.assign('/sign-in');
    else notice({ text: problemsText(outcome), tone: 'stop' });
  };
  return (
    <Sheet className="p-4" aria-label="Signed in">
      <h2 className="text-lg">Signed in as {me.name}</h2>
      <p className="text-sm text-soft">
        {me.role === 'owner' ? 'Owner.' : 'Coach. Coaches, links and copies are an owner’s.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={() => void leave(false)}>
          <LogOut aria-hidden size={16} /> Sign out
        </Button>
        <Button look="quiet" onClick={() => void leave(true)}>
          Sign out everywhere
        </Button>
        <Button look="quiet" onClick={() => setChanging(true)}>
          <KeyRound aria-hidden size={16} /> Change passcode
        </Button>
      </div>
      <Dialog
        open={changing}
        onOpenChange={setChanging}
        title="Your new passcode"
        intro="You stay signed in here; your other browsers are signed out."
      >
        <CoachFields
          of={me.name}
          save={(form) => changePasscodeAction(me.id, { passcode: form.passcode })}
          onDone={() => {
            setChanging(false);
            notice({ text: 'Your passcode is changed.' });
          }}
        />
      </Dialog>
    </Sheet>
  );
}
