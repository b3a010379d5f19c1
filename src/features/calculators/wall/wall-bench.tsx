'use client';

import { useState } from 'react';
import { setupFor, topSpeedFor } from '@/core/ballistics/wall/advise';
import { handHeightM } from '@/core/ballistics/wall/reach';
import { shots, shotWords, wallLimits, type WallSetup } from '@/core/ballistics/wall/setup';
import type { BenchesView } from '@/server/views/benches';
import { Button } from '@/ui/button';
import { chosenChild, childOptions, floorHere, placeOptions, type BenchChild } from '../child';
import { Choice, Dial } from '../dial';
import { BallChoice, WallChoice } from '../choices';
import { BenchFrame } from '../frame';
import { placeNote } from './place-note';
import { useWall } from './use-wall';
import { WallAnswerView } from './wall-answer';
import type { DrawnRally } from './wall-drawing';
import type { WallStart } from './wall-start';

/** A first set-up for a child at a place: what the advice says, or a plain one where it finds none. */
function firstSetup(child: BenchChild, view: BenchesView, placeId: string): WallSetup {
  const place = view.places.find((one) => one.id === placeId);
  const plain: WallSetup = {
    shot: 'one bounce',
    ball: child.ball,
    floor: floorHere(place),
    wall: 'brick',
    distanceM: 3,
    contactM: handHeightM('one bounce', child.heightM),
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
  const place = view.places.find((one) => one.id === placeId);
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
          <BallChoice value={setup.ball} onChange={(ball) => change({ ball })} />
          <WallChoice value={setup.wall} onChange={(wall) => change({ wall })} />
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
            label="Hit the ball"
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
            <Dial
              label="Topspin turns, slice below 0"
              unit="/s"
              value={setup.spinRps ?? 0}
              {...wallLimits.spinRps}
              step={1}
              onChange={(spinRps) => change({ spinRps })}
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
            <Button className="min-h-9 touch:min-h-11 flex-1 px-2 text-sm" onClick={advise}>
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
        note={placeNote(place, setup)}
        kept={kept}
        onKeep={setKept}
        onSetup={setSetup}
      />
    </BenchFrame>
  );
}
