'use client';

import { Pin, PinOff } from 'lucide-react';
import { useState } from 'react';
import { ballKinds, balls } from '@/core/ballistics/balls';
import { degrees } from '@/core/ballistics/motion';
import { walls, wallKinds } from '@/core/ballistics/surfaces';
import { setupFor, topSpeedFor } from '@/core/ballistics/wall/advise';
import { comfortShare } from '@/core/ballistics/wall/reach';
import { shots, shotWords, wallLimits, type WallSetup } from '@/core/ballistics/wall/setup';
import {
  explainForgiveness,
  explainHit,
  explainTempo,
  inMetres,
  paceInWords,
  wallLaw,
  wallRefusal,
  wallSentence,
} from '@/core/explanations/wall';
import { percent } from '@/core/words';
import type { BenchesView } from '@/server/views/benches';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence, type Reading } from '../answer';
import { chosenChild, childOptions, floorHere, placeOptions, type BenchChild } from '../child';
import { Choice, Dial } from '../dial';
import { BenchFrame } from '../frame';
import { TempoAsked } from './tempo-asked';
import { useWall, type WallWork } from './use-wall';
import { WallDrawing, type DrawnRally } from './wall-drawing';
import { WriteWall } from './write-wall';

export interface WallStart {
  readonly playerId: string;
  readonly placeId: string;
  readonly blockId: string;
}

/** A first set-up for a child at a place: what the advice says, or a plain one where it finds none. */
function firstSetup(child: BenchChild, view: BenchesView, placeId: string): WallSetup {
  const place = view.places.find((one) => one.id === placeId);
  const plain: WallSetup = {
    shot: 'one bounce',
    ball: child.ball,
    floor: floorHere(place),
    wall: 'brick',
    distanceM: 3,
    contactM: Math.round(100 * comfortShare * child.heightM) / 100,
    targetM: 1.4,
    meet: 'falling',
    topSpeedMps: topSpeedFor(child.age, child.sport),
    wallTopM: place?.ceilingM ?? 4,
    ceilingM: place?.ceilingM ?? null,
    tableGapM: 0.1,
    tableLengthM: 1.37,
  };
  return setupFor(plain, child) ?? plain;
}

/** The wall bench: where to stand, how high to aim, how hard, how many a minute, and what it forgives. */
export function WallBench({ view, start }: { view: BenchesView; start: WallStart }) {
  const [playerId, setPlayerId] = useState(start.playerId || (view.players[0]?.id ?? ''));
  const [placeId, setPlaceId] = useState(start.placeId);
  const child = chosenChild(view, playerId);
  const [setup, setSetup] = useState(() => firstSetup(child, view, placeId));
  const [kept, setKept] = useState<DrawnRally | null>(null);
  const work = useWall(setup, child);
  const change = (more: Partial<WallSetup>) => setSetup({ ...setup, ...more });

  const setPlayer = (id: string) => {
    setPlayerId(id);
    setSetup(firstSetup(chosenChild(view, id), view, placeId));
  };
  const setPlace = (id: string) => {
    const place = view.places.find((one) => one.id === id);
    setPlaceId(id);
    change({ floor: floorHere(place), ceilingM: place?.ceilingM ?? null, wallTopM: place?.ceilingM ?? 4 });
  };
  const advise = () => {
    const advised = setupFor(setup, child);
    if (advised) setSetup(advised);
  };
  const table = setup.shot === 'table';

  return (
    <BenchFrame
      here="wall"
      set={
        <div className="space-y-1.5">
          <Choice label="Player" value={playerId} options={childOptions(view)} onChange={setPlayer} />
          <Choice label="Place" value={placeId} options={placeOptions(view)} onChange={setPlace} />
          <Choice
            label="Ball"
            value={setup.ball}
            options={ballKinds.map((value) => ({ value, text: balls[value].label }))}
            onChange={(ball) => change({ ball })}
          />
          <Choice
            label="Wall"
            value={setup.wall}
            options={wallKinds.map((value) => ({ value, text: walls[value].label }))}
            onChange={(wall) => change({ wall })}
          />
          <Choice
            label="Shot"
            value={setup.shot}
            options={shots.map((value) => ({ value, text: shotWords[value] }))}
            onChange={(shot) => {
              const moved = {
                ...setup,
                shot,
                ball: shot === 'table' ? ('table tennis' as const) : setup.ball,
              };
              setSetup(setupFor(moved, child) ?? moved);
            }}
          />
          <Choice
            label="Met"
            value={setup.meet}
            options={[
              { value: 'falling', text: 'past the top, on its way down' },
              { value: 'rising', text: 'on the rise' },
            ]}
            onChange={(meet) => change({ meet })}
          />
          <div className="space-y-0.5 border-t-2 border-line pt-1.5">
            <Dial
              label="Distance"
              unit="m"
              value={setup.distanceM}
              {...wallLimits.distanceM}
              max={10}
              step={0.05}
              onChange={(distanceM) => change({ distanceM })}
            />
            <Dial
              label="Mark on the wall"
              unit="m"
              value={setup.targetM}
              {...wallLimits.targetM}
              max={4.5}
              step={0.05}
              onChange={(targetM) => change({ targetM })}
            />
            <Dial
              label="Height of the hand"
              unit="m"
              value={setup.contactM}
              {...wallLimits.contactM}
              step={0.01}
              onChange={(contactM) => change({ contactM })}
            />
            {setup.shot === 'down' && (
              <Dial
                label="Height of the hit"
                unit="m"
                value={setup.hitM ?? setup.contactM}
                {...wallLimits.contactM}
                step={0.05}
                onChange={(hitM) => change({ hitM })}
              />
            )}
            {table ? (
              <>
                <Dial
                  label="Gap to the table"
                  unit="m"
                  value={setup.tableGapM}
                  {...wallLimits.tableGapM}
                  step={0.05}
                  onChange={(tableGapM) => change({ tableGapM })}
                />
                <Dial
                  label="Length of table"
                  unit="m"
                  value={setup.tableLengthM}
                  min={0.7}
                  max={2.74}
                  step={0.01}
                  onChange={(tableLengthM) => change({ tableLengthM })}
                />
              </>
            ) : (
              <Dial
                label="Wall height"
                unit="m"
                value={setup.wallTopM}
                {...wallLimits.wallTopM}
                step={0.1}
                onChange={(wallTopM) => change({ wallTopM })}
              />
            )}
            <Dial
              label="Hardest hit"
              unit="m/s"
              value={setup.topSpeedMps}
              {...wallLimits.topSpeedMps}
              step={0.5}
              onChange={(topSpeedMps) => change({ topSpeedMps })}
            />
          </div>
          <div className="flex flex-wrap gap-2 border-t-2 border-line pt-2">
            <Button className="min-h-9 flex-1 px-2 text-sm" onClick={advise}>
              Distance and mark for {child.name.split(' ')[0]}
            </Button>
          </div>
        </div>
      }
    >
      <WallAnswerView
        view={view}
        start={start}
        setup={setup}
        work={work}
        child={child}
        kept={kept}
        onKeep={setKept}
        onSetup={setSetup}
      />
    </BenchFrame>
  );
}

interface AnswerProps {
  readonly view: BenchesView;
  readonly start: WallStart;
  readonly setup: WallSetup;
  readonly work: WallWork;
  readonly child: BenchChild;
  readonly kept: DrawnRally | null;
  readonly onKeep: (rally: DrawnRally | null) => void;
  readonly onSetup: (setup: WallSetup) => void;
}

function WallAnswerView({ view, start, setup, work, child, kept, onKeep, onSetup }: AnswerProps) {
  const { answer, rally, mends, paces } = work;
  return (
    <>
      {answer.ok ? (
        <Sentence>{wallSentence(setup, answer.solution)}</Sentence>
      ) : (
        <Sentence limit>{wallRefusal(setup, answer, mends)}</Sentence>
      )}
      <WriteWall view={view} start={start} rally={rally} playerId={child.id} />
      <Sheet className="px-2 pt-1" aria-label="Side view">
        <WallDrawing setup={setup} bodyM={child.heightM} rally={rally} kept={kept} />
        <div className="flex flex-wrap items-center justify-between gap-2 px-1 pb-1 text-sm">
          <span className="text-soft">
            <span className="font-bold text-now">━</span> out <span className="font-bold text-now">┅</span>{' '}
            back · shaded on the wall: the band that still comes back
            {kept && (
              <>
                {' '}
                · <span className="font-bold text-safe">━</span> kept: {inMetres(kept.setup.distanceM)}, mark{' '}
                {inMetres(kept.setup.targetM)}, {kept.setup.ball}
              </>
            )}
          </span>
          {kept ? (
            <Button look="quiet" className="min-h-9 px-2" onClick={() => onKeep(null)}>
              <PinOff aria-hidden size={16} /> Let the kept one go
            </Button>
          ) : (
            <Button look="quiet" className="min-h-9 px-2" disabled={!rally} onClick={() => onKeep(rally)}>
              <Pin aria-hidden size={16} /> Keep beside
            </Button>
          )}
        </div>
      </Sheet>
      {rally && <Readings title="Numbers" readings={readingsOf(rally, work, kept)} />}
      <TempoAsked setup={setup} onSetup={onSetup} />
      {paces.length > 0 && (
        <details className="text-sm">
          <summary className="min-h-6 font-semibold">Change of pace: faster out, faster back</summary>
          <ul className="mt-1 list-disc pl-5">
            {paces.map((one) => (
              <li key={one.factor}>{paceInWords(one)}</li>
            ))}
          </ul>
        </details>
      )}
      <Law {...wallLaw} />
    </>
  );
}

function readingsOf(
  { setup, solution, forgives }: DrawnRally,
  work: WallWork,
  kept: DrawnRally | null,
): Reading[] {
  const spread = work.spread?.spread;
  const other = kept?.solution;
  const give = (value: number | undefined, digits: number, unit = '') =>
    value === undefined ? '' : `give or take ${value.toFixed(digits)}${unit}`;
  const and = (text: string, more: string) => (more === '' ? text : `${text}; ${more}`);
  return [
    {
      label: 'Hits a minute',
      value: solution.hitsPerMin.toFixed(0),
      note: give(spread?.hitsPerMin, 0) || 'working out the give or take …',
      explain: () => explainTempo(setup, solution, work.spread),
      ...(other && { beside: other.hitsPerMin.toFixed(0) }),
    },
    {
      label: 'The hit',
      value: `${solution.speedMps.toFixed(1)} m/s`,
      note: and(
        `${Math.abs(degrees(solution.elevation)).toFixed(0)}° ${solution.elevation < 0 ? 'down' : 'up'}`,
        give(spread?.speedMps, 1),
      ),
      explain: () => explainHit(setup, solution),
      ...(other && { beside: other.speedMps.toFixed(1) }),
    },
    {
      label: 'Time to get ready',
      value: `${solution.backS.toFixed(2)} s`,
      note: and(`comes at ${solution.arrivalMps.toFixed(1)} m/s`, give(spread?.backS, 2)),
      explain: () => explainTempo(setup, solution, work.spread),
      ...(other && { beside: other.backS.toFixed(2) }),
    },
    {
      label: solution.bounceM === null ? 'Top of the flight' : 'Bounce from the wall',
      value: inMetres(solution.bounceM ?? solution.topM),
      note:
        solution.bounceM === null
          ? 'no bounce'
          : solution.risingMps > 0
            ? 'met on the rise'
            : 'met past its top',
      ...(other?.bounceM && { beside: inMetres(other.bounceM) }),
    },
    {
      label: 'Forgives in speed',
      value: `−${percent(forgives.slower)} +${percent(forgives.faster)}`,
      note: `then ${forgives.ends.slower}; ${forgives.ends.faster}`,
      explain: () => explainForgiveness(forgives),
      ...(kept && { beside: `−${percent(kept.forgives.slower)} +${percent(kept.forgives.faster)}` }),
    },
    {
      label: 'Forgives in height',
      value: `${inMetres(forgives.lowestM, 1)} to ${inMetres(Math.min(forgives.highestM, setup.wallTopM), 1)}`,
      note: 'on the wall, at the same speed',
      explain: () => explainForgiveness(forgives),
    },
    {
      label: 'Forgives to the side',
      value: `${inMetres(forgives.sideAtWallM)}`,
      note: `${degrees(forgives.side).toFixed(0)}° either way`,
      explain: () => explainForgiveness(forgives),
      ...(kept && { beside: inMetres(kept.forgives.sideAtWallM) }),
    },
    {
      label: 'Whole way',
      value: `${solution.cycleS.toFixed(2)} s`,
      note: `${solution.outS.toFixed(2)} s out, ${solution.backS.toFixed(2)} s back`,
    },
  ];
}
