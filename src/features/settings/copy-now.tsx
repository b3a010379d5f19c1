'use client';

import { CopyPlus } from 'lucide-react';
import { useState } from 'react';
import { copyNowAction } from '@/server/actions';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { useNotice } from '@/ui/toast';

/** Makes a copy of the book now. */
export function CopyNow() {
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const copy = async () => {
    setBusy(true);
    const outcome = await ask(() => copyNowAction());
    setBusy(false);
    notice(
      outcome.ok
        ? { text: `Copied to ${outcome.value.name}; looked through, sound.` }
        : { text: problemsText(outcome), tone: 'stop' },
    );
  };
  return (
    <Button look="now" disabled={busy} onClick={() => void copy()}>
      <CopyPlus aria-hidden size={18} /> {busy ? 'Copying…' : 'Copy the book now'}
    </Button>
  );
}
