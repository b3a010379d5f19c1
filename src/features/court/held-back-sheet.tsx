'use client';

import { Download, Trash2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { groupInWords, heldBackFile, type HeldGroup } from '@/court/settle-held-back';
import { Button, buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { saveFile } from '@/ui/save-file';

/** A block marks can be counted in. */
export interface Target {
  readonly blockId: string;
  readonly title: string;
}

interface Props {
  readonly groups: readonly HeldGroup[];
  /** Blocks a group can be counted in; without it that is not offered here. */
  readonly targetsOf?: (group: HeldGroup) => readonly Target[];
  readonly onAttach?: (group: HeldGroup, blockId: string) => void;
  /** Keeps a group as a note; null where there is no block to keep it on. */
  readonly onNote?: ((group: HeldGroup) => void) | null;
  readonly onDiscard: (group: HeldGroup) => void;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** Marks the server does not take: what becomes of each, one press and nothing by itself. */
export function HeldBackSheet({ groups, open, onOpenChange, ...rest }: Props) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Held back on this device"
      intro="These marks are safe here and count nowhere. Say what becomes of them."
      startsAtField={false}
    >
      {groups.length === 0 && <p>Nothing is held back any more.</p>}
      <ul className="space-y-4">
        {groups.map((group) => (
          <li key={group.key} data-held-group className="rounded-md border-2 border-line p-3">
            <Group group={group} {...rest} />
          </li>
        ))}
      </ul>
      {groups.length > 1 && (
        <Button className="mt-4" onClick={() => take(groups)}>
          <Download aria-hidden size={18} /> Take all away as a file
        </Button>
      )}
    </Dialog>
  );
}

const take = (groups: readonly HeldGroup[]) =>
  saveFile('vow-step-held-back.json', new Blob([heldBackFile(groups)], { type: 'application/json' }));

function Group({
  group,
  targetsOf,
  onAttach,
  onNote,
  onDiscard,
}: Omit<Props, 'groups' | 'open' | 'onOpenChange'> & { readonly group: HeldGroup }) {
  const { where, message } = group;
  const targets = targetsOf?.(group) ?? [];
  const [chosen, setChosen] = useState('');
  const [sure, setSure] = useState(false);
  const to = targets.some((one) => one.blockId === chosen) ? chosen : (targets[0]?.blockId ?? '');
  return (
    <>
      <h3 className="text-lg">
        {where ? `${where.player || 'A player'}, ${where.block}` : 'A block that is not known here'}
      </h3>
      <p>
        <b>{groupInWords(group)}.</b> <span className="text-soft">{reason(message)}</span>
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {onAttach && targets.length > 0 && (
          <>
            <label className="flex items-center gap-2 font-semibold">
              Count in
              <select
                value={to}
                onChange={(event) => setChosen(event.target.value)}
                className="min-h-12 max-w-72 rounded-md border-2 border-edge bg-sheet px-2"
              >
                {targets.map(({ blockId, title }) => (
                  <option key={blockId} value={blockId}>
                    {title}
                  </option>
                ))}
              </select>
            </label>
            <Button look="now" onClick={() => onAttach(group, to)}>
              Count it there
            </Button>
          </>
        )}
        {onNote && <Button onClick={() => onNote(group)}>Keep as a note</Button>}
        {!onAttach && where && (
          <Link href={`/sessions/${where.sessionId}/run`} className={buttonClass('plain')}>
            Open {where.session || 'the session'} on court
          </Link>
        )}
        <Button onClick={() => take([group])}>
          <Download aria-hidden size={18} /> Take away as a file
        </Button>
        {sure ? (
          <Button look="stop" onClick={() => onDiscard(group)}>
            Yes, discard for good
          </Button>
        ) : (
          <Button look="quiet" onClick={() => setSure(true)}>
            <Trash2 aria-hidden size={18} /> Discard…
          </Button>
        )}
      </div>
    </>
  );
}

/** The server's words, as a sentence about these marks. */
function reason(message: string): string {
  const said = message.replace(/^Event \d+ of \d+ /, '').replace(/ Nothing of this batch was stored\.$/, '');
  const words: readonly (readonly [RegExp, string])[] = [
    [/not in the plan/, 'Their block or player is not in the plan any more.'],
    [/another plan/, 'They were made under another plan of their block.'],
    [/other contents/, 'The server has other marks under the same names.'],
    [/clock/, 'They were made at a time that is still to come: this device’s clock was wrong.'],
    [/link/, 'They are not this link’s to make.'],
  ];
  return words.find(([pattern]) => pattern.test(said))?.[1] ?? said;
}
