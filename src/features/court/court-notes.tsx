'use client';

import { X } from 'lucide-react';
import { useState, useSyncExternalStore, type ReactNode } from 'react';
import { counted, inMinutes } from '@/core/base/words';
import { ErrorNote } from '@/ui/error-note';
import { useCourtSettings } from './court-settings';
import { plainHttp } from './plain-http';
import { useLogState, type Court } from './use-court';

export interface CourtNotesProps {
  readonly court: Court;
  /** The time the session goes by; 0 before the first reading. */
  readonly now: number;
  /** The revision of the plan this screen was opened with. */
  readonly openedWith: number;
  /** Opens what is held back. */
  readonly onHeldBack?: () => void;
}

const secure = () => window.isSecureContext;
const never = () => () => undefined;

/** What is not as it should be on this device, in plain words; nothing of it loses a count. */
export function CourtNotes({ court, now, openedWith, onHeldBack }: CourtNotesProps) {
  const { log, view, twins, news, clock, daysAhead, offered, dismissOffered } = court;
  const { trouble, heldBack } = useLogState(log);
  const isSecure = useSyncExternalStore(never, secure, () => true);
  const [settings, setSettings] = useCourtSettings();
  const setBackS = now > 0 ? clock.setBackS : 0;
  const older = news !== null && news.build !== '' && news.build !== view.build;
  const { revision } = view.session;
  return (
    <>
      {trouble && <ErrorNote>{trouble}</ErrorNote>}
      {heldBack.length > 0 && onHeldBack && (
        <Note action={{ words: 'Look and decide', press: onHeldBack }}>
          {counted(heldBack.length, 'mark')} {heldBack.length === 1 ? 'is' : 'are'} held back on this device:
          the server does not take {heldBack.length === 1 ? 'it' : 'them'}.
        </Note>
      )}
      {offered !== null && (
        <Note onClose={dismissOffered}>
          The server’s book was put back to another state.{' '}
          {offered === 0
            ? 'It has everything this device has.'
            : `${counted(offered, 'mark')} that it lacks go to it again from here.`}
        </Note>
      )}
      {news !== null && (news.plan === null || news.plan.removed) && (
        <Note>
          {news.plan === null ? 'This session is not on the server (any more).' : 'This session was removed.'}{' '}
          Counting goes on, and everything is kept on this device.
        </Note>
      )}
      {news?.ending && (
        <Note>
          The server is being ended. Count on: everything is kept on this device and goes to it when it is
          back.
        </Note>
      )}
      {revision !== openedWith && (
        <Note key={revision} closes>
          The plan was changed elsewhere: this is the new one. What was begun stays as it was begun.
        </Note>
      )}
      {older && (
        <Note closes>
          Vow Step was renewed on the server, and this page is the older one. It goes on counting and sending;
          between two blocks, load it again.
        </Note>
      )}
      {daysAhead > 0 && (
        <Note>
          This device’s clock is about {counted(daysAhead, 'day')} ahead: the session goes by the server’s
          time. Set the clock right when there is time for it.
        </Note>
      )}
      {twins > 0 && (
        <Note>
          This session is open in {counted(twins, 'other tab')} on this device. All count into the same log
          and nothing is counted twice; close the others, so that only one sounds.
        </Note>
      )}
      {setBackS > 0 && (
        <Note>
          This device’s clock was set back by {inMinutes(setBackS)}. The session goes on by its own time: no
          count and no second is lost.
        </Note>
      )}
      {!isSecure && !settings.knowsPlainHttp && (
        <Note onClose={() => setSettings({ knowsPlainHttp: true })}>
          {plainHttp} Counts are kept on this device all the same.
        </Note>
      )}
    </>
  );
}

function Note({
  children,
  closes = false,
  onClose,
  action,
}: {
  readonly children: ReactNode;
  /** It can be put away until the page is loaded again. */
  readonly closes?: boolean;
  readonly onClose?: () => void;
  readonly action?: { readonly words: string; readonly press: () => void };
}) {
  const [open, setOpen] = useState(true);
  if (!open) return null;
  return (
    <div
      role="status"
      className="flex items-center gap-3 rounded-md border-2 border-care bg-care-bg px-3 text-care"
    >
      <p className="flex-1 leading-snug">{children}</p>
      {action && (
        <button type="button" onClick={action.press} className="min-h-16 shrink-0 px-2 font-bold underline">
          {action.words}
        </button>
      )}
      {(closes || onClose) && (
        <button
          type="button"
          onClick={() => {
            setOpen(false);
            onClose?.();
          }}
          className="inline-flex min-h-16 min-w-16 items-center gap-1 rounded-md px-2 font-semibold"
        >
          <X aria-hidden size={18} /> Seen
        </button>
      )}
    </div>
  );
}
