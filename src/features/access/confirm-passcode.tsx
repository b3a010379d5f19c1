'use client';

import { KeyRound } from 'lucide-react';
import { useEffect, useState, type FormEvent } from 'react';
import { confirmAction } from '@/server/actions/doors';
import { ask, confirmBy, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Field } from '@/ui/field';

/** Asks for the passcode once more where the server wants it, then lets what was asked for go on. */
export function ConfirmPasscode() {
  const [said, setSaid] = useState<((typed: boolean) => void) | null>(null);
  useEffect(() => confirmBy(() => new Promise<boolean>((resolve) => setSaid(() => resolve))), []);
  const end = (typed: boolean) => {
    said?.(typed);
    setSaid(null);
  };
  return (
    <Dialog
      open={said !== null}
      onOpenChange={(open) => !open && end(false)}
      title="Your passcode, once more"
      intro="What you asked for cannot be undone, or takes children’s data away. You last typed your passcode over ten minutes ago."
    >
      {said !== null && <Confirm onDone={() => end(true)} onLeave={() => end(false)} />}
    </Dialog>
  );
}

function Confirm({ onDone, onLeave }: { readonly onDone: () => void; readonly onLeave: () => void }) {
  const [passcode, setPasscode] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const send = async (event: FormEvent) => {
    event.preventDefault();
    // It may lie over another form of the page.
    event.stopPropagation();
    setBusy(true);
    const outcome = await ask(() => confirmAction(passcode));
    setBusy(false);
    if (outcome.ok) return onDone();
    setProblem(problemsText(outcome));
    setPasscode('');
  };
  return (
    <form noValidate onSubmit={(event) => void send(event)} className="space-y-4">
      <Field label="Passcode" error={problem}>
        <input
          type="password"
          autoComplete="current-password"
          value={passcode}
          onChange={(event) => setPasscode(event.target.value)}
        />
      </Field>
      <div className="flex gap-2">
        <Button type="submit" look="now" disabled={busy}>
          <KeyRound aria-hidden size={18} /> {busy ? 'Looking…' : 'Go on'}
        </Button>
        <Button onClick={onLeave}>Not now</Button>
      </div>
    </form>
  );
}
