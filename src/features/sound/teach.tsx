import { Check, Ear, X } from 'lucide-react';
import { soundKinds, soundWords, type SoundKind } from '@/core/sound/kinds';
import { soundsOf, type Hearing } from '@/core/sound/hearing';
import { otherSideLabel, othersLabel } from '@/core/sound/others';
import { Button } from '@/ui/button';
import type { EarState } from './use-ear';

interface Props {
  readonly ear: EarState;
  readonly hearing: Hearing;
  readonly onHearing: (hearing: Hearing) => void;
}

/** What a touch can be where the ball decides. */
const touches = soundKinds.filter((kind) => kind !== 'clap');

/** The sounds of this ball in this room: each is taught with five examples. */
export function Teach({ ear, hearing, onHearing }: Props) {
  const { needed, helpful } = soundsOf(hearing);
  return (
    <div className="space-y-2">
      {hearing.by === 'rows' && (
        <label className="flex flex-wrap items-center gap-x-2">
          <span>A touch sounds like</span>
          <select
            value={hearing.counts}
            onChange={({ target }) => onHearing({ ...hearing, counts: target.value as SoundKind })}
            className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
          >
            {touches.map((kind) => (
              <option key={kind} value={kind}>
                {soundWords[kind]}
              </option>
            ))}
          </select>
        </label>
      )}
      <ul className="divide-y divide-line border-y border-line">
        {needed.map((kind) => (
          <Sound key={kind} ear={ear} label={kind} kind={kind} note="five of them, half a second apart" />
        ))}
        {helpful
          .filter((kind) => !needed.includes(kind))
          .map((kind) => (
            <Sound key={kind} ear={ear} label={kind} kind={kind} note="if you like: they end a row" />
          ))}
        {hearing.by === 'rows' && hearing.counts === 'table' && (
          <Sound
            ear={ear}
            label={otherSideLabel}
            kind={hearing.counts}
            title="The other side"
            note="if forehand and backhand sound different: both count, and how often they came in turn"
          />
        )}
        {hearing.by === 'rows' && (
          <Sound
            ear={ear}
            label={othersLabel}
            kind={hearing.counts}
            title="Somebody else’s ball"
            note="if you like: it is told apart and left out"
          />
        )}
      </ul>
    </div>
  );
}

/** So long nobody does anything first, seconds: what is always there is learnt. */
const quietForS = 3;

interface SoundProps {
  readonly ear: EarState;
  readonly label: string;
  readonly kind: SoundKind;
  readonly title?: string;
  readonly note: string;
}

function Sound({ ear, label, kind, title, note }: SoundProps) {
  const { news, ask } = ear;
  const quietS = Math.ceil(quietForS - (news?.atS ?? 0));
  const lesson = news?.lesson?.label === label ? news.lesson : null;
  const known = news?.knows.includes(label) ?? false;
  const words = title ?? soundWords[kind].replace(/^./, (first) => first.toUpperCase());
  return (
    <li className="flex min-h-14 flex-wrap items-center justify-end gap-x-3 py-1">
      <span className="min-w-44 flex-1">
        <b>{words}</b> <span className="block text-sm text-soft">{note}</span>
      </span>
      <span role="status" className="tabular text-lg font-bold" data-lesson={label}>
        {lesson && !lesson.learnt && `${Math.min(lesson.heard, lesson.wanted)} of ${lesson.wanted}`}
        {known && (
          <span className="inline-flex items-center gap-1 text-safe">
            <Check aria-hidden size={20} /> taught
          </span>
        )}
      </span>
      {lesson ? (
        <Button onClick={() => ask({ kind: 'end lesson' })}>
          Done<span className="sr-only">: {words}</span>
        </Button>
      ) : (
        <Button disabled={quietS > 0} onClick={() => ask({ kind: 'teach', label, sound: kind })}>
          <Ear aria-hidden size={18} /> {quietS > 0 ? `in ${quietS} s` : known ? 'Again' : 'Teach'}
          <span className="sr-only">: {words}</span>
        </Button>
      )}
      {known && (
        <Button look="quiet" onClick={() => ask({ kind: 'forget', label })} aria-label={`Forget: ${words}`}>
          <X aria-hidden size={18} />
        </Button>
      )}
    </li>
  );
}
