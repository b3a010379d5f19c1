import { AudioLines, Check, X } from 'lucide-react';
import type { ClipMark } from '@/core/video/marks';
import type { Measure } from '@/core/counting/measure';
import { measures } from '@/core/counting/measure';
import { howManyInWords } from '@/core/sound/how-many';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/error-note';
import type { ClipSound } from './open-clip';
import type { ClipCount } from './use-clip-sound';

interface Props {
  readonly sound: ClipSound | 'reading' | null;
  readonly marks: readonly ClipMark[];
  readonly state: ClipCount;
  readonly measure: Measure;
  readonly onCount: (marksS: readonly number[]) => void;
  readonly onCancel: () => void;
  /** Whether a count of that many was written down already: once is enough. */
  readonly isKept: (value: number) => boolean;
  /** Writes the count into the block's log; null where nobody is chosen, or the step is not counted so. */
  readonly onKeep: ((value: number) => void) | null;
}

/** Touches counted from the clip's own sound, by the counter the court uses. */
export function SoundCount({ sound, marks, state, measure, onCount, onCancel, isKept, onKeep }: Props) {
  if (sound === null)
    return <p className="text-soft">This clip has no sound that can be read: count it by marks.</p>;
  if (sound === 'reading') return <p className="text-soft">Its sound is being read…</p>;
  const contacts = marks.filter(({ kind }) => kind === 'contact').map(({ atS }) => atS);
  const counted = state.kind === 'done' ? state.counted : null;
  const rows = counted?.rows.rows.filter(({ touches }) => touches.length > 1) ?? [];
  const best = rows.reduce((top, { howMany }) => (howMany.count > top.count ? howMany : top), {
    count: 0,
    from: 0,
    to: 0,
  });
  const result = counted && (measure === 'row' ? best : counted.rows.all);
  return (
    <div className="space-y-2">
      <p className="text-soft">
        With five “contact” marks or more, what sounds like those is counted; without, what is heard most
        often.
      </p>
      {state.kind === 'counts' ? (
        <Button onClick={onCancel}>
          <X aria-hidden size={18} /> Counting… stop it
        </Button>
      ) : (
        <Button look="now" onClick={() => onCount(contacts)}>
          <AudioLines aria-hidden size={18} /> Count its touches by ear
        </Button>
      )}
      {state.kind === 'failed' && <ErrorNote>{state.message}</ErrorNote>}
      {state.kind === 'done' && !counted && (
        <p className="text-care">No sound comes five times alike in this clip: nothing is counted.</p>
      )}
      {counted && result && (
        <p className="flex flex-wrap items-center gap-3">
          <b className="font-head text-3xl" data-clip-count>
            {howManyInWords(result)}
          </b>{' '}
          {measure === 'row' ? 'in the longest row' : 'touches'}, by {counted.from}
          {rows.length > 1 && ` (rows of ${rows.map(({ howMany }) => howMany.count).join(', ')})`}
          {onKeep && result.count > 0 && (
            <Button
              disabled={isKept(result.count)}
              onClick={() => !isKept(result.count) && onKeep(result.count)}
            >
              <Check aria-hidden size={18} /> {isKept(result.count) ? 'Kept' : 'Keep'} {result.count}{' '}
              {measures[measure].unit}
            </Button>
          )}
        </p>
      )}
    </div>
  );
}
