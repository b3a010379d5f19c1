import { markKinds, markWords, type ClipMark, type MarkKind } from '@/core/video/marks';
import { Button } from '@/ui/button';

interface Props {
  readonly marks: readonly ClipMark[];
  readonly atS: number;
  readonly disabled: boolean;
  readonly onMark: (kind: MarkKind) => void;
  readonly onClear: () => void;
}

/** Sets a mark on the frame that is shown, by a press or by its key; once more takes it off. */
export function MarkBar({ marks, atS, disabled, onMark, onClear }: Props) {
  return (
    <div role="group" aria-label="Marks" className="flex flex-wrap gap-1.5">
      {markKinds.map((kind) => {
        const { title, key } = markWords[kind];
        const here = marks.some((one) => one.kind === kind && Math.abs(one.atS - atS) < 0.002);
        const count = marks.filter((one) => one.kind === kind).length;
        return (
          <Button
            key={kind}
            disabled={disabled}
            aria-pressed={here}
            look={here ? 'now' : 'plain'}
            onClick={() => onMark(kind)}
          >
            <kbd className="rounded-sm border border-current px-1 text-sm">{key.toUpperCase()}</kbd> {title}
            {count > 0 && <span className="tabular">· {count}</span>}
          </Button>
        );
      })}
      {marks.length > 0 && (
        <Button look="quiet" onClick={onClear}>
          Take all marks off
        </Button>
      )}
    </div>
  );
}
