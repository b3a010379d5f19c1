'use client';

import { ageBandOf } from '@/drills/base/age-band';
import { goalsOf, markFor } from '@/session/base/goals';
import { alone, paceOn, rateOn } from '@/session/base/pace';
import { recordOf } from '@/session/base/plan';
import { ageBands, type AgeBand, type Drill, type Step } from '@/drills/base/types';
import { numberInWords, resultInWords } from '@/core/counting/measure';
import { doseInWords } from '@/core/dose/dose';
import { loadOf } from '@/core/dose/load';
import { doseTime } from '@/core/dose/time';
import { explainBlockTouches } from '@/core/explanations/dose';
import { explainFit } from '@/core/explanations/fit';
import { fitOf } from '@/core/players/fit';
import { originInWords } from '@/core/base/origin';
import { counted, inMinutes } from '@/core/base/words';
import type { PlayerFacts } from '@/server/views/facts';
import type { DrillView } from '@/server/views/drills';
import { Figure } from '@/ui/figure';
import { layoutChild } from '@/drills/layouts';
import { FloorOfStep } from './floor-of-step';
import { OfThisStep } from './of-this-step';
import { StandHere } from './stand-here';
import { Said } from '@/ui/units';

interface Props {
  readonly view: DrillView;
  readonly drill: Drill;
  readonly step: Step;
  readonly player: PlayerFacts | undefined;
  readonly onPlayer: (id: string) => void;
}

/** A step with its dose worked out for one player: minutes, touches, load, and the measures of the set-up. */
export function StepForPlayer({ view, drill, step, player, onPlayer }: Props) {
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <div>
          <h2 className="text-xl">
            {drill.steps.indexOf(step) + 1}. <Said>{step.title}</Said>
          </h2>
          <p>
            <Said>{step.task}</Said>
          </p>
          <p className="text-soft">{step.change}</p>
        </div>
        {player && (
          <label className="flex items-center gap-2 text-sm font-semibold">
            Worked out for
            <select
              value={player.id}
              onChange={(event) => onPlayer(event.target.value)}
              className="min-h-9 touch:min-h-11 rounded-md border-2 border-edge bg-sheet px-1"
            >
              {view.squad.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}, {one.age}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      <div className="my-1 flex flex-wrap items-center justify-between gap-2">
        <p className="text-lg font-bold">“{step.cue}”</p>
        {player && <StandHere view={view} drill={drill} step={step} player={player} />}
      </div>
      {player ? <Worked view={view} drill={drill} step={step} player={player} /> : <Doses step={step} />}
      <OfThisStep drillId={drill.id} step={step} player={player} />
    </>
  );
}

function Worked({ view, drill, step, player }: Omit<Props, 'onPlayer' | 'player'> & { player: PlayerFacts }) {
  const dose = step.doses[ageBandOf(player.age)];
  const record = recordOf(view.records, player.id, drill.id, step.id);
  const pace = paceOn(drill, step, alone(player.age), record);
  const time = doseTime(dose, pace);
  const rate = rateOn(step, record);
  const stands = view.standing.find((one) => one.playerId === player.id && one.stepId === step.id);
  const { mark, aim } = goalsOf({ step, dose }, player.age, stands?.target);
  const load = loadOf(step.load, time.tries);
  const loads = [
    load.contacts > 0 && `${Math.round(load.contacts)} landings`,
    load.overheads > 0 && `${Math.round(load.overheads)} overhead`,
    load.forearm > 0 && `${Math.round(load.forearm)} fast forearm`,
  ].filter(Boolean);
  const fitted = fitOf(player, view.fit[player.id]);
  return (
    <>
      <dl className="grid grid-cols-2 gap-x-6 gap-y-1 border-t-2 border-line pt-2 sm:grid-cols-4">
        <Big name="Dose" text={doseInWords(dose)} note={originInWords({ origin: step.doseOrigin })} />
        <div>
          <dt className="text-sm text-soft">Time alone</dt>
          <dd className="tabular text-lg font-semibold" data-minutes>
            {inMinutes(time.totalS)}
          </dd>
          <dd className="text-sm text-soft">work {inMinutes(time.workS)}</dd>
        </div>
        <div>
          <dt className="text-sm text-soft">Touches</dt>
          <dd className="text-lg font-semibold" data-touches>
            <Figure
              label={`${Math.round(time.touches)} touches of ${player.name}`}
              explain={() =>
                explainBlockTouches(
                  {
                    dose,
                    pace,
                    time,
                    who: player.name,
                    rate,
                    origins: {
                      touch: originInWords(step.perTouchS),
                      drop: originInWords(step.dropCostS),
                      setUp: originInWords(drill.setUpS),
                    },
                  },
                  time.touches,
                )
              }
            >
              {Math.round(time.touches)}
            </Figure>
          </dd>
          <dd className="text-sm text-soft">
            {loads.length > 0 ? loads.join(', ') : 'no jumps or overheads'}
          </dd>
        </div>
        <Big
          name="Mark to pass"
          text={resultInWords(step.measure, mark.result)}
          note={`on ${counted(mark.days, 'day')}, aim today ${numberInWords(step.measure, aim)}; ${originInWords({ origin: step.gateOrigin })}`}
        />
      </dl>
      {drill.fit.length > 0 && (
        <p className="mt-2 flex flex-wrap gap-x-4 text-sm" aria-label="Set up for this child">
          {drill.fit.map((key) => {
            const one = fitted[key];
            if (key === 'racketIn' && player.sport !== 'tennis') return null;
            return (
              <span key={key}>
                <span className="text-soft">{one.label}</span>{' '}
                <Figure
                  label={`${one.label}: ${one.value} ${one.unit}`}
                  explain={() => explainFit(one, player)}
                >
                  {one.value} {one.unit}
                </Figure>
              </span>
            );
          })}
        </p>
      )}
      <MarksByAge step={step} own={ageBandOf(player.age)} />
      <FloorOfStep drill={drill} step={step} child={layoutChild(player, view.fit[player.id])} />
      {step.limit && (
        <p className="mt-2 rounded-sm bg-stop-bg px-2 py-1 text-sm text-stop">
          From {step.limit.fromAge} years on, at most {step.limit.triesASession} in a session,{' '}
          {step.limit.daysApart} days apart ({originInWords(step.limit)}).
        </p>
      )}
    </>
  );
}

function Big({ name, text, note }: { name: string; text: string; note: string }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="text-lg leading-tight font-semibold">{text}</dd>
      <dd className="text-sm text-soft">{note}</dd>
    </div>
  );
}

/** Without a player: the dose of each age. */
function Doses({ step }: { step: Step }) {
  return (
    <dl className="grid grid-cols-2 gap-x-6 border-t-2 border-line pt-2 sm:grid-cols-4">
      {Object.entries(step.doses).map(([band, dose]) => (
        <Big
          key={band}
          name={`${band} years`}
          text={doseInWords(dose)}
          note={`mark ${resultInWords(step.measure, markFor(step, band as AgeBand).result)}`}
        />
      ))}
    </dl>
  );
}

/** What passes the step at every age: it follows the child, as the dose does. */
function MarksByAge({ step, own }: { step: Step; own: AgeBand }) {
  const { days } = step.gate;
  return (
    <p className="mt-2 text-sm" data-marks>
      <span className="text-soft">Marks by age, on {counted(days, 'day')}:</span>{' '}
      {ageBands.map((band, index) => (
        <span key={band} className={band === own ? 'font-semibold' : undefined}>
          {index > 0 && ' · '}
          {band}: {markFor(step, band).result}
        </span>
      ))}
    </p>
  );
}
