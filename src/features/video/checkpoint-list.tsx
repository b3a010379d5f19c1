import { Check, Eye, X } from 'lucide-react';
import { agreement, lookedAt, type Verdict } from '@/core/video/checkpoints';
import { clipOrigin, feltOrigin } from '@/core/counting/origin';
import { longestText, type TouchEvent } from '@/core/counting/event';
import { Button } from '@/ui/button';

interface Props {
  readonly name: string;
  readonly checkpoints: readonly string[];
  readonly events: readonly TouchEvent[];
  readonly onSay: (kind: Verdict, checkpoint: string, origin: string) => void;
}

/** Each checkpoint: first what the player felt, then what the clip shows. What is not seen is not said. */
export function CheckpointList({ name, checkpoints, events, onSay }: Props) {
  const texts = checkpoints.map((one) => one.slice(0, longestText));
  const looked = lookedAt(events, texts);
  const { same, of } = agreement(looked);
  return (
    <div className="space-y-2">
      <ul className="divide-y divide-line">
        {looked.map(({ checkpoint, felt, clip }) => (
          <li key={checkpoint} className="space-y-1 py-2">
            <p className="font-semibold">{checkpoint}</p>
            <div className="flex flex-wrap items-center gap-1.5">
              <span className="w-24 text-soft">felt</span>
              <Verdicts
                checkpoint={checkpoint}
                of={'felt'}
                now={felt}
                onSay={(kind) => onSay(kind, checkpoint, feltOrigin)}
              />
            </div>
            <div className="flex flex-wrap items-center gap-1.5">
              <span className="w-24 text-soft">clip shows</span>
              {felt === null ? (
                <span className="inline-flex items-center gap-1 text-soft">
                  <Eye aria-hidden size={18} /> first ask {name} what it felt like
                </span>
              ) : (
                <Verdicts
                  checkpoint={checkpoint}
                  of={'clip'}
                  now={clip}
                  onSay={(kind) => onSay(kind, checkpoint, clipOrigin)}
                />
              )}
              {felt !== null && clip === null && <span className="text-soft">not seen yet</span>}
            </div>
          </li>
        ))}
      </ul>
      <p data-agreement>
        {of === 0
          ? 'Felt and seen are compared here once both were said.'
          : `What ${name} felt is what the clip shows in ${same} of ${of}.`}
      </p>
    </div>
  );
}

interface VerdictsProps {
  readonly checkpoint: string;
  readonly of: 'felt' | 'clip';
  readonly now: Verdict | null;
  readonly onSay: (kind: Verdict) => void;
}

function Verdicts({ checkpoint, of, now, onSay }: VerdictsProps) {
  return (
    <>
      <Button
        aria-pressed={now === 'held'}
        look={now === 'held' ? 'now' : 'plain'}
        aria-label={`Held, ${of}: ${checkpoint}`}
        onClick={() => onSay('held')}
      >
        <Check aria-hidden size={18} /> Held
      </Button>
      <Button
        aria-pressed={now === 'broke'}
        look={now === 'broke' ? 'now' : 'plain'}
        aria-label={`Broke, ${of}: ${checkpoint}`}
        onClick={() => onSay('broke')}
      >
        <X aria-hidden size={18} /> Broke
      </Button>
    </>
  );
}
