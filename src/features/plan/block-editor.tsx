'use client';

import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { findDrill, findStep } from '@/catalogue';
import { paceOn, rateOn } from '@/catalogue/pace';
import { recordOf, type PlanBlock } from '@/catalogue/plan';
import { explainBlockTime, explainBlockTouches } from '@/core/explanations/dose';
import { doseTime } from '@/core/dose/time';
import type { Dose } from '@/core/dose/dose';
import { originInWords } from '@/core/origin';
import type { BlockTime } from '@/core/planning/plan-time';
import { inMinutes } from '@/core/words';
import type { PlayerFacts } from '@/server/views/player-facts';
import type { SessionPlanView } from '@/server/views/session-plan';
import { Button } from '@/ui/button';
import { Figure } from '@/ui/figure';
import { Stairs } from '@/ui/stairs';
import { DoseFields } from './dose-fields';

export interface BlockEditorProps {
  readonly view: SessionPlanView;
  readonly block: PlanBlock;
  readonly time: BlockTime;
  readonly place: { readonly index: number; readonly of: number };
  readonly players: readonly PlayerFacts[];
  readonly onStep: (stepId: string) => void;
  readonly onDose: (dose: Dose) => void;
  readonly onMove: (to: number) => void;
  readonly onRemove: () => void;
}

/** One block opened: its step, its dose, and what that costs and gives. */
export function BlockEditor({
  view,
  block,
  time,
  place,
  players,
  onStep,
  onDose,
  onMove,
  onRemove,
}: BlockEditorProps) {
  const drill = findDrill(block.drillId)!;
  const step = findStep(block.drillId, block.stepId)!;
  const counted = view.counted.includes(block.id);

  const origins = {
    touch: originInWords(step.perTouchS),
    drop: originInWords(step.dropCostS),
    setUp: originInWords(drill.setUpS),
  };
  /** The inputs of a number for one player. */
  const partOf = (player: PlayerFacts) => {
    const record = recordOf(view.records, player.id, drill.id, step.id);
    const pace = paceOn(drill, step, record);
    return {
      dose: block.dose,
      pace,
      time: doseTime(block.dose, pace),
      who: player.name,
      rate: rateOn(step, record),
      origins,
    };
  };
  const slowest = players.find((player) => player.id === time.slowestId) ?? players[0]!;
  const targets = players.map((player) => ({
    player,
    touches: time.touchesOf[player.id] ?? 0,
    target: view.places.find(
      ([id, drillId, stepId]) => id === player.id && drillId === drill.id && stepId === step.id,
    )?.[3],
  }));

  return (
    <div className="space-y-3">
      <div className="flex items-start justify-between gap-2">
        <div className="min-w-0">
          <h2 className="text-xl">
            {place.index + 1}. {drill.title}
          </h2>
          <p className="truncate text-sm text-soft" title={step.cue}>
            {drill.family} · {step.cue}
          </p>
        </div>
        <div className="-mt-1 flex shrink-0">
          <Button
            look="quiet"
            className="px-2"
            onClick={() => onMove(place.index - 1)}
            disabled={place.index === 0}
            aria-label="Move earlier"
          >
            <ArrowLeft aria-hidden size={18} /> Earlier
          </Button>
          <Button
            look="quiet"
            className="px-2"
            onClick={() => onMove(place.index + 1)}
            disabled={place.index === place.of - 1}
            aria-label="Move later"
          >
            Later <ArrowRight aria-hidden size={18} />
          </Button>
          <Button
            look="quiet"
            className="px-2"
            onClick={onRemove}
            disabled={counted}
            title={counted ? 'This block has counts: it stays in the plan.' : undefined}
            aria-label="Take out this block"
          >
            <Trash2 aria-hidden size={18} /> Take out
          </Button>
        </div>
      </div>
      <div className="flex items-end gap-4">
        <label className="min-w-0 flex-1 font-semibold">
          Step
          <select
            value={step.id}
            disabled={counted}
            onChange={(event) => onStep(event.target.value)}
            className="mt-1 block min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3"
          >
            {drill.steps.map((one, index) => (
              <option key={one.id} value={one.id}>
                {index + 1}. {one.title}
              </option>
            ))}
          </select>
        </label>
        <Stairs
          treads={drill.steps}
          at={step.id}
          label={`Step ${drill.steps.indexOf(step) + 1} of ${drill.steps.length}: ${step.title}`}
        />
      </div>
      <p className="text-sm">
        {step.task} <span className="text-soft">{step.change}</span>
      </p>
      <DoseFields key={`${block.id} ${step.id}`} dose={block.dose} onChange={onDose} />
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-t-2 border-line pt-2">
        <span className="text-lg font-semibold">
          <Figure
            label={`Time of this block: ${inMinutes(time.totalS)}`}
            explain={() => explainBlockTime({ ...partOf(slowest), time })}
          >
            {inMinutes(time.totalS)}
          </Figure>
        </span>
        <span className="text-sm text-soft">
          set-up {inMinutes(time.setUpS)}, work {inMinutes(time.workS)}
          {time.restS > 0 && `, rest ${inMinutes(time.restS)}`}
          {time.collectS > 0 && `, collecting ${inMinutes(time.collectS)}`}
          {time.changeoverS > 0 && `, changeover ${inMinutes(time.changeoverS)}`}
          {time.capped && '; the time cap ends it'}
        </span>
      </div>
      <ul
        aria-label="Touches to expect in this block"
        className="grid grid-cols-2 gap-x-4 text-sm sm:grid-cols-3"
      >
        {targets.map(({ player, touches, target }) => (
          <li
            key={player.id}
            className="flex min-h-7 items-center justify-between gap-2 border-b border-line"
          >
            <span className="truncate">{player.name}</span>
            <span className="whitespace-nowrap">
              {target !== undefined && <span className="text-soft">aims at {target} · </span>}
              <Figure
                label={`${player.name}: about ${Math.round(touches)} touches`}
                explain={() => explainBlockTouches({ ...partOf(player), time }, touches)}
              >
                {Math.round(touches)}
              </Figure>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
