'use client';

import { Repeat, Shuffle, Unlink } from 'lucide-react';
import type { Book } from '@/drills';
import { circuitLimits, type CircuitPart } from '@/core/plan/circuit/circuit';
import { spreadOf } from '@/core/plan/circuit/circuit-time';
import { groupOf } from '@/core/plan/circuit/rotation';
import { explainCircuitTime, explainSpread } from '@/core/explanations/circuit';
import type { PlanTime } from '@/core/plan/plan-time';
import { counted, inMinutes, percent } from '@/core/base/words';
import type { PlayerFacts } from '@/server/views/facts';
import {
  addStation,
  changeCircuit,
  endCircuit,
  fitted,
  leaveCircuit,
  moveToGroup,
  regroup,
  setHelperAt,
} from '@/session/plan/circuits';
import { stationsOf } from '@/session/plan/settled';
import type { TimeSetting } from '@/session/plan/fit-time';
import type { PlanBlock } from '@/session/base/plan';
import { Button } from '@/ui/button';
import { groupLetter } from '@/ui/circuit-names';
import { Figure } from '@/ui/figure';
import type { PlanDoc } from '../plan-store';
import { LabelledNumber } from '../small-number';
import { RotationTable } from './rotation-table';

export interface CircuitPanelProps {
  readonly book: Book;
  readonly doc: PlanDoc;
  readonly block: PlanBlock;
  readonly part: CircuitPart;
  readonly time: PlanTime;
  readonly players: readonly PlayerFacts[];
  readonly setting: TimeSetting;
  readonly held: boolean;
  /** Changes the plan; what is part of one number is one step to undo. */
  readonly onPlan: (update: (doc: PlanDoc) => PlanDoc, part?: string) => void;
}

/** More than this apart is worth a word, as a share of the mean: ours. */
const farApart = 0.25;

const field = 'min-h-8 touch:min-h-11 rounded-md border-2 border-edge bg-sheet px-2 text-sm';

/** What holds for all stations of a circuit, and who is where. */
export function CircuitPanel(props: CircuitPanelProps) {
  const { book, doc, block, part, time, held, setting, onPlan } = props;
  const stations = stationsOf(doc.blocks, part.id);
  const timed = stations.flatMap(({ id }) => time.blocks.find((one) => one.id === id) ?? []);
  const own = timed.find(({ id }) => id === block.id);
  const titles = stations.map(({ drillId }) => book.drill(drillId)?.title ?? 'unknown drill');
  const spread = spreadOf(timed);
  const change = (what: Parameters<typeof changeCircuit>[3], of: string) =>
    onPlan((plan) => changeCircuit(setting, plan, part.id, what), `${part.id} ${of}`);
  const others = doc.blocks.filter((one) => !one.circuit);
  return (
    <section
      aria-label={`Circuit of ${part.of} stations`}
      data-circuit
      className="space-y-2 rounded-md border-2 border-ink bg-chalk p-3"
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3 className="text-lg">
          Station {part.at + 1} of {part.of}, side by side
        </h3>
        {own?.station && (
          <span>
            <Figure
              label={`Time of this circuit: ${inMinutes(own.totalS)}`}
              explain={() => explainCircuitTime({ ...own, station: own.station! })}
            >
              {inMinutes(own.totalS)}
            </Figure>{' '}
            <span className="text-sm text-soft">{counted(own.station.rounds, 'round')}</span>
          </span>
        )}
        {timed.length > 0 && (
          <span className="text-sm">
            {Math.round(spread.least)} to {Math.round(spread.most)} touches a child,{' '}
            <Figure label={`How far apart: ${percent(spread.share)}`} explain={() => explainSpread(spread)}>
              {percent(spread.share)}
            </Figure>{' '}
            apart
          </span>
        )}
      </div>
      <Troubles {...props} stations={stations} titles={titles} spread={spread.share} />
      <fieldset disabled={held} className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <LabelledNumber
          key={`${part.id} stationS`}
          label="At a station, s"
          value={part.stationS}
          {...circuitLimits.stationS}
          onChange={(stationS) => change({ stationS }, 'stationS')}
        />
        <LabelledNumber
          key={`${part.id} changeS`}
          label="Walk on, s"
          value={part.changeS}
          {...circuitLimits.changeS}
          onChange={(changeS) => change({ changeS }, 'changeS')}
        />
        <LabelledNumber
          key={`${part.id} times`}
          label="Times round"
          value={part.times}
          {...circuitLimits.times}
          onChange={(times) => change({ times }, 'times')}
        />
        <label className="flex items-center gap-2 text-sm font-semibold">
          Order
          <select
            value={part.order}
            onChange={(event) => change({ order: event.target.value as CircuitPart['order'] }, 'order')}
            className={field}
          >
            <option value="balanced">others beside you each time</option>
            <option value="one on">everybody one on</option>
          </select>
        </label>
        <label className="flex items-center gap-2 text-sm font-semibold">
          Who helps here
          <input
            value={part.helper}
            maxLength={60}
            placeholder={book.drill(block.drillId)?.helper === 'none' ? 'nobody needed' : 'who feeds?'}
            onChange={(event) => {
              const helper = event.target.value;
              onPlan((plan) => setHelperAt(plan, block.id, helper), `${block.id} helper`);
            }}
            className={`${field} w-40`}
          />
        </label>
      </fieldset>
      <Groups {...props} />
      <RotationTable shape={part} titles={titles} first={doc.blocks.indexOf(stations[0]!) + 1} />
      <fieldset disabled={held} className="flex flex-wrap items-center gap-2">
        {others.length > 0 && part.of < circuitLimits.stations.max && (
          <select
            aria-label="Add a station"
            value=""
            onChange={(event) => {
              const id = event.target.value;
              onPlan((plan) => addStation(setting, plan, part.id, id));
            }}
            className={field}
          >
            <option value="" disabled>
              Add a station…
            </option>
            {others.map((one) => (
              <option key={one.id} value={one.id}>
                {doc.blocks.indexOf(one) + 1}. {book.drill(one.drillId)?.title}
              </option>
            ))}
          </select>
        )}
        <Button className="px-2 text-sm" onClick={() => onPlan((plan) => leaveCircuit(plan, block.id))}>
          <Unlink aria-hidden size={16} /> This one by itself
        </Button>
        <Button className="px-2 text-sm" onClick={() => onPlan((plan) => endCircuit(plan, part.id))}>
          One after the other again
        </Button>
      </fieldset>
    </section>
  );
}

interface TroublesProps extends CircuitPanelProps {
  readonly stations: readonly PlanBlock[];
  readonly titles: readonly string[];
  readonly spread: number;
}

/** What does not come out, with what to change. */
function Troubles({ book, part, time, stations, titles, spread, held, setting, onPlan }: TroublesProps) {
  const long = stations.flatMap(({ id }, index) => {
    const station = time.blocks.find((one) => one.id === id)?.station;
    return station && station.needS > station.stationS + 0.5
      ? [`${titles[index]} needs ${inMinutes(station.needS)}`]
      : [];
  });
  const feeding = stations.filter(({ drillId }) => (book.drill(drillId)?.helper ?? 'none') !== 'none');
  const unnamed = feeding.filter(({ circuit }) => circuit?.helper === '').length;
  const called = stations.flatMap(({ drillId, stepId }, index) =>
    book.step(drillId, stepId)?.calls ? [titles[index]!] : [],
  );
  const said = [
    ...(called.length > 0
      ? [`${called.join(', ')}: a circuit sounds its own signals only, so somebody calls there.`]
      : []),
    ...(unnamed > 1
      ? [
          `${unnamed} stations need somebody who feeds, holds or calls, and you can be at one: name helpers for the others, or choose drills that go by themselves.`,
        ]
      : []),
    ...(spread > farApart
      ? [
          'Touches are far apart: children of different ages have doses of their own. One amount for everybody, or groups mixed by level, bring them together.',
        ]
      : []),
  ];
  return (
    <>
      {long.length > 0 && (
        <p data-cut className="flex flex-wrap items-center gap-x-3 text-sm font-semibold text-care">
          <span>
            {long.join(', ')}; the signal comes after {inMinutes(part.stationS)}.
          </span>
          {!held && (
            <Button className="px-2 text-sm" onClick={() => onPlan((plan) => fitted(setting, plan, part.id))}>
              Fit the doses to the visit
            </Button>
          )}
        </p>
      )}
      {said.map((text) => (
        <p key={text} className="text-sm text-care">
          {text}
        </p>
      ))}
    </>
  );
}

/** Who goes together: by level, mixed, or child by child. */
function Groups({ part, players, setting, held, onPlan }: CircuitPanelProps) {
  const count = part.groups.length;
  const most = Math.min(part.of + 1, players.length);
  const make = (n: number, how: 'level' | 'mixed') =>
    onPlan((plan) => regroup(setting, plan, part.id, n, how));
  return (
    <fieldset disabled={held} className="space-y-1">
      <legend className="sr-only">Groups</legend>
      <div className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2 text-sm font-semibold">
          Groups
          <select
            value={count}
            onChange={(event) => make(Number(event.target.value), 'level')}
            className={field}
          >
            {Array.from({ length: Math.max(most, count) }, (_, index) => index + 1).map((n) => (
              <option key={n} value={n}>
                {n}
                {n > part.of ? ', one rests' : ''}
              </option>
            ))}
          </select>
        </label>
        <Button className="px-2 text-sm" onClick={() => make(count, 'level')}>
          <Repeat aria-hidden size={16} /> By level
        </Button>
        <Button className="px-2 text-sm" onClick={() => make(count, 'mixed')}>
          <Shuffle aria-hidden size={16} /> Mixed
        </Button>
      </div>
      <ul className="flex flex-wrap gap-x-4 gap-y-1">
        {players.map(({ id, name }) => (
          <li key={id}>
            <label className="flex items-center gap-1 text-sm">
              <span className="max-w-32 truncate">
                <span className="sr-only">Group of </span>
                {name}
              </span>
              <select
                value={groupOf(part, id)}
                onChange={(event) => {
                  const group = Number(event.target.value);
                  onPlan((plan) => moveToGroup(plan, part.id, id, group));
                }}
                className={field}
              >
                {Array.from({ length: Math.min(count + 1, part.of + 1) }, (_, group) => (
                  <option key={group} value={group}>
                    {groupLetter(group)}
                  </option>
                ))}
              </select>
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
