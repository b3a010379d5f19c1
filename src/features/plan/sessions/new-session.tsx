'use client';

import { CalendarPlus } from 'lucide-react';
import { useState } from 'react';
import { startsAction } from '@/server/actions';
import type { PlayerName } from '@/server/views/facts';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';

/** The form, and the groups and patterns it can begin with; without them it begins empty. */
const loadForm = async () => {
  const [form, starts] = await Promise.all([
    import('./new-session-form'),
    startsAction().catch(() => ({ groups: [], patterns: [] })),
  ]);
  return { Form: form.NewSessionForm, ...starts };
};

interface Props {
  readonly today: string;
  readonly squad: readonly PlayerName[];
  /** The pattern it starts from, where one was chosen. */
  readonly patternId?: string | null;
  /** What the button says, where it is not the one on top of a page. */
  readonly button?: string;
}

/** Books a session and opens its plan. */
export function NewSession({ today, squad, patternId = null, button }: Props) {
  const [open, setOpen] = useState(false);
  const form = usePart(loadForm, open);
  return (
    <>
      <Button look={button ? 'plain' : 'now'} onClick={() => setOpen(true)}>
        <CalendarPlus aria-hidden size={18} /> {button ?? 'Plan a session'}
      </Button>
      <Dialog
        open={open && form !== null}
        onOpenChange={setOpen}
        title="Plan a session"
        intro="First the booking and who is coming; the blocks come next."
      >
        {form && (
          <form.Form
            today={today}
            squad={squad}
            groups={form.groups}
            patterns={form.patterns}
            patternId={patternId}
          />
        )}
      </Dialog>
    </>
  );
}
