'use client';

import { cx } from './class-names';

export interface FlightStep {
  readonly id: string;
  readonly title: string;
  /** Who stands on it: short names, and the whole ones for hovering. */
  readonly players: readonly { readonly id: string; readonly short: string; readonly name: string }[];
}

interface Props {
  readonly steps: readonly FlightStep[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

const risePx = 14;
const bodyPx = 72;

/** A ladder as a flight of stairs to press: every step a tread, the players as balls on the one they stand on. */
export function Flight({ steps, chosen, onChoose }: Props) {
  return (
    <ol className="relative flex items-end overflow-x-auto" aria-label="The ladder, easiest first">
      {steps.map((step, index) => (
        <li key={step.id} className="min-w-20 flex-1">
          <ul
            className="flex flex-wrap-reverse justify-center gap-0.5 px-0.5 pb-0.5"
            aria-label={`On step ${index + 1}`}
          >
            {step.players.map((player) => (
              <li
                key={player.id}
                title={player.name}
                className="flex size-7 items-center justify-center rounded-full border-2 border-ink bg-now text-xs font-bold text-on-now"
              >
                <span aria-hidden>{player.short}</span>
                <span className="sr-only">{player.name}</span>
              </li>
            ))}
          </ul>
          <button
            type="button"
            aria-pressed={step.id === chosen}
            onClick={() => onChoose(step.id)}
            style={{ height: bodyPx + index * risePx }}
            className={cx(
              'flex w-full flex-col items-start overflow-hidden border-t-4 border-r-2 border-ink px-1.5 pt-1 text-left text-sm leading-tight',
              index === 0 && 'border-l-2',
              step.id === chosen ? 'bg-ink text-paper' : 'bg-chalk hover:bg-line',
            )}
          >
            <span className="tabular font-head text-lg leading-none font-bold">{index + 1}</span>
            <span className="font-semibold">{step.title}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}
