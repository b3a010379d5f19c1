import { useMemo } from 'react';
import { besideText, lastBeside } from '@/core/counting/beside';
import type { TouchEvent } from '@/core/counting/event';
import type { Beside } from '@/drills/base/types';
import { Chip } from './chip';

interface Props {
  readonly name: string;
  readonly playerId: string;
  readonly beside: Beside;
  readonly events: readonly TouchEvent[];
  readonly onBeside: (playerId: string, markId: string, text: string) => void;
}

/** What is noted beside the last mark: one press, and never needed. It waits for a mark, and starts anew with the next. */
export function BesideBar({ name, playerId, beside, events, onBeside }: Props) {
  const last = useMemo(() => lastBeside(events), [events]);
  const { question, answers } = beside;
  return (
    <div
      role="group"
      aria-label={`${name}: ${question}`}
      className="flex flex-wrap items-center gap-1.5 border-t-2 border-ink px-2 py-1"
    >
      <span className="min-w-0 flex-1 text-base leading-tight font-semibold">{question}</span>
      {answers.map((answer) => {
        const text = besideText(question, answer);
        return (
          <Chip
            key={answer}
            on={last?.text === text}
            disabled={last === null}
            onPress={() => last && onBeside(playerId, last.mark.id, text)}
          >
            {answer}
          </Chip>
        );
      })}
    </div>
  );
}
