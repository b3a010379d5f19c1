'use client';

import { Flag } from 'lucide-react';
import { counted } from '@/core/base/words';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useLogState, type Court } from './use-court';

interface Props {
  readonly court: Court;
  /** Titles of blocks that were never begun and not left out. */
  readonly untouched: readonly string[];
  /** Titles of blocks that were begun and not done to their end. */
  readonly unfinished: readonly string[];
  readonly finishing: boolean;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly onFinish: () => void;
  readonly onHeldBack: () => void;
}

/** Asks before a session is ended, and says what would be left behind. */
export function FinishSheet({
  court,
  untouched,
  unfinished,
  finishing,
  open,
  onOpenChange,
  onFinish,
  onHeldBack,
}: Props) {
  const { heldBack, waiting, loose } = useLogState(court.log);
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Finish the session?" startsAtField={false}>
      <ul className="mb-4 list-disc space-y-1 pl-5 text-lg">
        {unfinished.length > 0 && <li>Not done to the end: {unfinished.join(', ')}.</li>}
        {untouched.length > 0 && <li>Not begun: {untouched.join(', ')}.</li>}
        {waiting + loose > 0 && <li>{counted(waiting + loose, 'mark')} on the way to the server first.</li>}
        {heldBack.length > 0 && (
          <li className="font-bold text-care">
            {counted(heldBack.length, 'mark')} {heldBack.length === 1 ? 'is' : 'are'} held back on this device
            and will not be in the review.
          </li>
        )}
        <li>The review comes next.</li>
      </ul>
      <div className="flex flex-wrap justify-end gap-2">
        {heldBack.length > 0 && (
          <button type="button" onClick={onHeldBack} className={buttonClass('now', 'min-h-16 text-xl')}>
            Look at what is held back
          </button>
        )}
        <button
          type="button"
          onClick={() => onOpenChange(false)}
          className={buttonClass('plain', 'min-h-16 text-xl')}
        >
          Go on counting
        </button>
        <button
          type="button"
          disabled={finishing}
          onClick={onFinish}
          className={buttonClass(heldBack.length > 0 ? 'stop' : 'now', 'min-h-16 text-xl')}
        >
          <Flag aria-hidden />{' '}
          {finishing ? 'Finishing…' : heldBack.length > 0 ? 'Finish without them' : 'Finish now'}
        </button>
      </div>
    </Dialog>
  );
}
