import { counted } from '@/core/words';
import { ErrorNote } from '@/ui/field';
import type { RunLog } from './run-log';
import { useLogState } from './use-run';

interface Props {
  readonly log: RunLog;
  readonly twins: number;
  readonly setBackS: number;
}

/** What is not as it should be on this device, in plain words; nothing of it loses a count. */
export function CourtNotes({ log, twins, setBackS }: Props) {
  const { trouble } = useLogState(log);
  return (
    <>
      {trouble && <ErrorNote>{trouble}</ErrorNote>}
      {twins > 0 && (
        <p role="status" className="rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care">
          This session is open in {counted(twins, 'other tab')} on this device. All count into the same log
          and nothing is counted twice; close the others, so that only one sounds.
        </p>
      )}
      {setBackS > 0 && (
        <p role="status" className="rounded-md border-2 border-care bg-care-bg px-3 py-1 text-care">
          This device’s clock was set back by {counted(setBackS, 'second')}. The session goes on by its own
          time: no count and no second is lost.
        </p>
      )}
    </>
  );
}
