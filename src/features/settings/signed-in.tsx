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
import { clearDevice } from '@/court/clear-device';
import { leaveDevice, whatRests, type Rests } from '../access/leave-device';
import { CoachFields } from './coach-form';
import { LeaveDialog } from './leave-dialog';

/** Who sits here, and how to go. */
export function SignedInAs({ me }: { readonly me: NonNullable<SettingsView['me']> }) {
  const notice = useNotice();
  const [changing, setChanging] = useState(false);
  const [leaving, setLeaving] = useState<(Rests & { readonly everywhere: boolean }) | null>(null);
  const go = async (everywhere: boolean, stills: boolean) => {
    const outcome = await ask(() => signOutAction(everywhere));
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    await leaveDevice({ stills });
    location.assign('/sign-in?out=1');
  };
  const leave = async (everywhere: boolean) => {
    const rests = await whatRests();
    if (rests.marks + rests.drafts + rests.stills > 0) setLeaving({ ...rests, everywhere });
    else await go(everywhere, false);
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
          self
          save={({ passcode, own }) => changePasscodeAction(me.id, { passcode, own })}
          onDone={() => {
            setChanging(false);
            // Others may have been here with the old one.
            void clearDevice();
            notice({ text: 'Your passcode is changed.' });
          }}
        />
      </Dialog>
      {leaving && (
        <LeaveDialog
          rests={leaving}
          onStay={() => setLeaving(null)}
          onGo={(stills) => void go(leaving.everywhere, stills)}
        />
      )}
    </Sheet>
  );
}
