'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { ballKinds, balls } from '@/core/ballistics/balls';
import { aimFeeder } from '@/core/ballistics/feed/aim';
import {
  feed,
  feedSpread,
  feederLimits,
  landingMap,
  type Feed,
  type FeederSettings,
} from '@/core/ballistics/feed/feeder';
import { feedTiming } from '@/core/ballistics/feed/interval';
import { lobRamp, type Lob } from '@/core/ballistics/feed/ramp';
import { feederPlaceOf, usualStand, type FeederStand } from '@/core/ballistics/feed/stand';
import type { PathPoint } from '@/core/ballistics/fly';
import { courtKinds, courts } from '@/core/ballistics/net/courts';
import { explainInterval, explainReady, feedLaw, feedSentence, rampSentence } from '@/core/explanations/feed';
import { inMetres } from '@/core/explanations/wall';
import { seededRandom } from '@/core/random';
import type { FeederSetting } from '@/core/setting';
import type { BenchesView } from '@/server/views/benches';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence } from '../answer';
import { chosenChild, childOptions, floorHere, placeOptions, type BenchChild } from '../child';
import { Choice, Dial } from '../dial';
import { BenchFrame } from '../frame';
import { WriteSetting } from '../write-setting';
import { FeedDrawing } from './feed-drawing';
import { LiveFeeder } from './live-feeder';
import { SavedFeeders } from './saved-feeders';

const firstMachine = (ball: FeederSettings['ball']): FeederSettings => ({
  ball,
  speedMps: 10.5,
  elevationDeg: 24,
  spinPerMin: 0,
  sideDeg: 0,
  intervalS: 4,
  scatterPercent: 3,
  scatterDeg: 1.5,
});

/** A feed to begin with: 1.75 m in front of the player, a metre over the net. */
function firstFeed(child: BenchChild, stand: FeederStand): FeederSettings {
  const machine = firstMachine(child.ball);
  const place = feederPlaceOf(stand, 'court', null);
  const table = stand.court === 'table';
  const aimed = aimFeeder(machine, place, {
    alongM: stand.playerM - (table ? 0.9 : 1.75),
    sideM: 0,
    apexM: place.netM + (table ? 0.25 : 1),
  });
  return aimed.ok ? aimed.settings : machine;
}

const whyNot = {
  'too high': 'That arc is steeper than the machine tilts: a lower top, or a spot further away.',
  'too low': 'That top is no higher than the mouth, or the spot is out of reach under it: a higher top.',
  'too fast': 'That takes more speed than the machine has: a nearer spot, or a higher top.',
  net: 'That arc goes into the net: a higher top.',
  ceiling: 'That arc meets the ceiling: a lower top.',
} as const;

/** The feeder bench: where the simulated machine's balls land, when they are due, and the other way round. */
export function FeederBench({
  view,
  start,
}: {
  view: BenchesView;
  start: { playerId: string; placeId: string; blockId: string };
}) {
  const [playerId, setPlayerId] = useState(start.playerId || (view.players[0]?.id ?? ''));
  const [placeId, setPlaceId] = useState(start.placeId);
  const child = chosenChild(view, playerId);
  const [stand, setStand] = useState<FeederStand>(() =>
    usualStand(child.sport === 'tennis' ? 'red' : 'table'),
  );
  const [machine, setMachine] = useState<FeederSettings>(() => firstFeed(child, stand));
  const [moving, setMoving] = useState({ distanceM: 2, speedMps: 2.2 });
  const [spot, setSpot] = useState({ alongM: 7.5, sideM: 0, apexM: 2.4 });
  const [said, setSaid] = useState<string | null>(null);
  const [kept, setKept] = useState({ name: '', drillId: 'retreat-for-the-high-ball' });
  const turn = (more: Partial<FeederSettings>) => {
    setSaid(null);
    setMachine({ ...machine, ...more });
  };
  const ground = view.places.find((one) => one.id === placeId);
  const place = useMemo(
    () => feederPlaceOf(stand, floorHere(ground), ground?.ceilingM ?? null),
    [stand, ground],
  );
  const { one, path } = useMemo(() => {
    const way: PathPoint[] = [];
    return { one: feed(machine, place, place.playerM, undefined, way), path: way };
  }, [machine, place]);
  const map = useMemo(
    () => landingMap(machine, place, place.playerM, 100, seededRandom(7)),
    [machine, place],
  );
  const off = useMemo(() => feedSpread(machine, place, place.playerM), [machine, place]);
  const timing = feedTiming(one, moving);
  const dial = () => {
    const aimed = aimFeeder(machine, place, spot);
    if (aimed.ok) setMachine(aimed.settings);
    setSaid(aimed.ok ? 'Dialled: it lands there.' : whyNot[aimed.why]);
  };
  const setting: FeederSetting | null =
    one.fault === null
      ? {
          kind: 'feeder',
          name: kept.name.trim(),
          machine,
          apexS: one.apexS,
          bounceS: one.bounceS,
          contactS: one.contactS,
        }
      : null;

  return (
    <BenchFrame
      here="feeder"
      set={
        <div className="space-y-1">
          <Choice
            label="Player"
            value={playerId}
            options={childOptions(view)}
            onChange={(id) => {
              setPlayerId(id);
              turn({ ball: chosenChild(view, id).ball });
            }}
          />
          <Choice label="Place" value={placeId} options={placeOptions(view)} onChange={setPlaceId} />
          <Choice
            label="Over"
            value={stand.court}
            options={[
              ...courtKinds.map((value) => ({ value, text: `the net of a ${courts[value].label}` })),
              { value: 'none' as const, text: 'open ground, no net' },
            ]}
            onChange={(court) => {
              const next = usualStand(court);
              setStand(next);
              setMachine(firstFeed(child, next));
            }}
          />
          <Choice
            label="Ball"
            value={machine.ball}
            options={ballKinds.map((value) => ({ value, text: balls[value].label }))}
            onChange={(ball) => turn({ ball })}
          />
          <Dial
            label="Mouth of the machine"
            unit="m"
            value={stand.mouthM}
            min={0.2}
            max={3}
            step={0.05}
            onChange={(mouthM) => setStand({ ...stand, mouthM })}
          />
          <Dial
            label="Way to the player"
            unit="m"
            value={stand.playerM}
            min={1}
            max={26}
            step={0.1}
            onChange={(playerM) => setStand({ ...stand, playerM })}
          />
          <div className="border-t-2 border-line pt-1">
            <Dial
              label="Speed"
              unit="m/s"
              value={machine.speedMps}
              {...feederLimits.speedMps}
              max={25}
              step={0.1}
              onChange={(speedMps) => turn({ speedMps })}
            />
            <Dial
              label="Elevation"
              unit="°"
              value={machine.elevationDeg}
              {...feederLimits.elevationDeg}
              step={0.5}
              onChange={(elevationDeg) => turn({ elevationDeg })}
            />
            <Dial
              label="Topspin, back below 0"
              unit="/min"
              value={machine.spinPerMin}
              min={-3000}
              max={3000}
              step={50}
              onChange={(spinPerMin) => turn({ spinPerMin })}
            />
            <Dial
              label="To the side"
              unit="°"
              value={machine.sideDeg}
              {...feederLimits.sideDeg}
              step={0.5}
              onChange={(sideDeg) => turn({ sideDeg })}
            />
            <Dial
              label="Interval"
              unit="s"
              value={machine.intervalS}
              {...feederLimits.intervalS}
              max={12}
              step={0.1}
              onChange={(intervalS) => turn({ intervalS })}
            />
            <Dial
              label="Scatter of the speed"
              unit="%"
              value={machine.scatterPercent}
              {...feederLimits.scatterPercent}
              step={0.5}
              onChange={(scatterPercent) => turn({ scatterPercent })}
            />
            <Dial
              label="Scatter of the direction"
              unit="°"
              value={machine.scatterDeg}
              {...feederLimits.scatterDeg}
              max={6}
              step={0.1}
              onChange={(scatterDeg) => turn({ scatterDeg })}
            />
          </div>
        </div>
      }
    >
      <Sentence limit={one.fault !== null}>{feedSentence(one, place.playerM, timing)}</Sentence>
      <WriteSetting
        view={view}
        kind="feeder"
        chosen={start.blockId}
        playerId={playerId}
        setting={setting}
        what="The dials and their times"
      />
      <Sheet className="p-2" aria-label="Picture">
        <FeedDrawing place={place} one={one} path={path} map={map} bodyM={child.heightM} />
      </Sheet>
      <Readings
        title="Numbers"
        readings={[
          {
            label: 'Racket ready',
            value: `${timing.racketReadyS.toFixed(1)} s`,
            note: one.bounceS === null ? 'at its top' : 'when it bounces',
            explain: () => explainReady(timing),
          },
          {
            label: 'Met',
            value: `${one.contactS.toFixed(1)} s`,
            note: `${inMetres(one.contactM)} ± ${inMetres(off.contactM)} high, at ${one.contactMps.toFixed(1)} m/s`,
          },
          {
            label: 'Shortest interval',
            value: `${timing.shortestS.toFixed(1)} s`,
            note:
              machine.intervalS < timing.shortestS
                ? `dialled ${machine.intervalS.toFixed(1)} s: too soon`
                : `dialled ${machine.intervalS.toFixed(1)} s`,
            explain: () => explainInterval(one, timing, moving.distanceM / moving.speedMps),
          },
          {
            label: 'To spare at the ball',
            value: `${timing.toSpareS.toFixed(1)} s`,
            note: timing.toSpareS < 0 ? 'it cannot be reached' : 'after seeing it and the way',
            explain: () => explainReady(timing),
          },
          { label: 'Top', value: inMetres(one.apexM), note: `after ${one.apexS.toFixed(1)} s` },
          {
            label: 'Lands',
            value: map.landed === 0 ? 'in the air' : inMetres(map.meanM, 1),
            note: `scatter ± ${inMetres(map.spreadM, 1)}, ${inMetres(map.spreadSideM, 1)} across; ball ± ${inMetres(off.landM, 1)}`,
          },
          { label: 'Good feeds', value: `${map.good} of 100`, note: 'over the net and to the player' },
        ]}
      />
      <div className="grid gap-3 md:grid-cols-2">
        <Sheet className="p-3 text-sm" aria-label="A spot and an arc">
          <h2 className="text-base">A spot and an arc</h2>
          <Dial
            label="Lands from the mouth"
            unit="m"
            value={spot.alongM}
            min={1}
            max={25}
            step={0.1}
            onChange={(alongM) => setSpot({ ...spot, alongM })}
          />
          <Dial
            label="To the right"
            unit="m"
            value={spot.sideM}
            min={-4}
            max={4}
            step={0.1}
            onChange={(sideM) => setSpot({ ...spot, sideM })}
          />
          <Dial
            label="Top of the arc"
            unit="m"
            value={spot.apexM}
            min={0.5}
            max={8}
            step={0.1}
            onChange={(apexM) => setSpot({ ...spot, apexM })}
          />
          <Button className="mt-1 min-h-9 px-2" onClick={dial}>
            Dial it
          </Button>
          {said && (
            <p role="status" className="mt-1 font-semibold">
              {said}
            </p>
          )}
          <h2 className="mt-2 text-base">The player’s way</h2>
          <Dial
            label="To the ball and back, each"
            unit="m"
            value={moving.distanceM}
            min={0}
            max={8}
            step={0.1}
            onChange={(distanceM) => setMoving({ ...moving, distanceM })}
          />
          <Dial
            label="Speed on the feet"
            unit="m/s"
            value={moving.speedMps}
            min={0.5}
            max={6}
            step={0.1}
            onChange={(speedMps) => setMoving({ ...moving, speedMps })}
          />
        </Sheet>
        <div className="space-y-3">
          <LiveFeeder one={one} intervalS={machine.intervalS} />
          <SavedFeeders
            view={view}
            machine={machine}
            stand={stand}
            {...kept}
            onName={(name) => setKept({ ...kept, name })}
            onDrill={(drillId) => setKept({ ...kept, drillId })}
            onLoad={(saved) => {
              setMachine(saved.settings.machine as FeederSettings);
              setStand(saved.settings.place as FeederStand);
              setKept({ name: saved.name, drillId: saved.drillId });
            }}
          />
        </div>
      </div>
      <Ramp machine={machine} place={place} one={one} child={child} />
      <Law {...feedLaw} />
    </BenchFrame>
  );
}

interface RampProps {
  readonly machine: FeederSettings;
  readonly place: ReturnType<typeof feederPlaceOf>;
  readonly one: Feed;
  readonly child: ReturnType<typeof chosenChild>;
}

/** Lobs of one arc, deeper and deeper: the steps each takes. */
function Ramp({ machine, place, one, child }: RampProps) {
  const [apexM, setApexM] = useState(4.5);
  const later = useDeferredValue(apexM);
  const lobs = useMemo<readonly Lob[]>(
    () => (one.fault === 'never comes' ? [] : lobRamp(machine, place, later, child)),
    [machine, place, later, child, one.fault],
  );
  if (place.tableFromM !== null) return null;
  return (
    <details className="text-sm">
      <summary className="min-h-6 font-semibold">
        A ramp of lobs: how deep before only crossover steps reach
      </summary>
      <div className="mt-1 max-w-xs">
        <Dial
          label="Top of every lob"
          unit="m"
          value={apexM}
          min={2}
          max={8}
          step={0.1}
          onChange={setApexM}
        />
      </div>
      <p className="font-semibold">{rampSentence(lobs)}</p>
      <table className="mt-1 w-full text-left">
        <thead>
          <tr>
            <th scope="col">Would land at</th>
            <th scope="col">Back from the start place</th>
            <th scope="col">Steps</th>
            <th scope="col">To spare</th>
          </tr>
        </thead>
        <tbody>
          {lobs.map((lob) => (
            <tr key={lob.landM} className="border-t border-line">
              <td className="tabular">{inMetres(lob.landM)}</td>
              <td className="tabular">
                {lob.backM < 0 ? `${inMetres(-lob.backM)} in front` : inMetres(lob.backM)}
              </td>
              <td>
                {lob.how === 'stay'
                  ? 'stay'
                  : `${lob.steps} ${lob.steps === 1 ? lob.how.slice(0, -1) : lob.how}`}
              </td>
              <td className="tabular">
                {lob.toSpareS < 0 ? 'too deep for the time' : `${lob.toSpareS.toFixed(1)} s`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
