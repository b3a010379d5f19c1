'use client';

import { CalendarPlus } from 'lucide-react';
import { useState } from 'react';
import { groupsAction } from '@/server/actions';
import type { Group } from '@/server/views/groups';
import type { PlayerName } from '@/server/views/facts';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';

/** The form, and the groups it can begin with; without them it begins empty. */
const loadForm = async () => {
  const [form, groups] = await Promise.all([
    import('./new-session-form'),
    groupsAction().catch((): readonly Group[] => []),
  ]);
  return { Form: form.NewSessionForm, groups };
};

/** Books a session and opens its empty plan. */
export function NewSession({ today, squad }: { today: string; squad: readonly PlayerName[] }) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button look="now" onClick={() => setOpen(true)}>
        <CalendarPlus aria-hidden size={18} /> Plan a session
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Plan a session"
        intro="First the booking and who is coming; the blocks come next."
      >
        {form && <form.Form today={today} squad={squad} groups={form.groups} />}
      </Dialog>
    </>
  );
}
