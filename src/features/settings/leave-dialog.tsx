'use client';

import { LogOut } from 'lucide-react';
import { useState } from 'react';
import { counted } from '@/core/base/words';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import type { Rests } from '../access/leave-device';

interface Props {
  readonly rests: Rests;
  readonly onStay: () => void;
  readonly onGo: (stills: boolean) => void;
}

/** Says what is on this device alone, before somebody signs out. */
export function LeaveDialog({ rests: { marks, drafts, stills }, onStay, onGo }: Props) {
  const [dropStills, setDropStills] = useState(false);
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onStay()}
      title="Sign out of this device?"
      intro="Run screens kept here are deleted, and so are marks the server already has. Only this device has:"
      startsAtField={false}
    >
      <ul className="list-disc space-y-1 pl-5">
        {marks > 0 && (
          <li>
            <b>{counted(marks, 'mark')} not on the server yet.</b> They stay here without names, and are sent
            when a coach signs in.
          </li>
        )}
        {drafts > 0 && (
          <li>
            <b>{counted(drafts, 'draft')} not saved yet.</b> {drafts === 1 ? 'It is' : 'They are'} gone once
            you sign out.
          </li>
        )}
        {stills > 0 && (
          <li>
            <b>{counted(stills, 'picture')} kept from clips.</b>{' '}
            <label className="inline-flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={dropStills}
                onChange={(event) => setDropStills(event.target.checked)}
              />
              Delete {stills === 1 ? 'it' : 'them'} too
            </label>
          </li>
        )}
      </ul>
      <div className="mt-4 flex gap-2">
        <Button look="now" onClick={() => onGo(dropStills)}>
          <LogOut aria-hidden size={18} /> Sign out
        </Button>
        <Button onClick={onStay}>Stay signed in</Button>
      </div>
    </Dialog>
  );
}
