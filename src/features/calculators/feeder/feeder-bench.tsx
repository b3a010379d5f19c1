'use client';

import { useMemo, useState } from 'react';
import { feed, feedSpread, landingMap, type FeederSettings } from '@/core/ballistics/feed/feeder';
import { feedTiming } from '@/core/ballistics/feed/interval';
import { usualFeed } from '@/core/ballistics/feed/usual-feed';
import { feederPlaceOf, usualStand, type FeederStand } from '@/core/ballistics/feed/stand';
import type { PathPoint } from '@/core/ballistics/fly';
import { courtKinds, courts } from '@/core/ballistics/net/courts';
import { explainInterval, explainReady, feedLaw, feedSentence } from '@/core/explanations/feed';
import { inMetres } from '@/core/explanations/wall';
import { seededRandom } from '@/core/base/random';
import type { FeederSetting } from '@/core/calculators/setting';
import type { BenchesView } from '@/server/views/benches';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence } from '../answer';
import { effortInWords, effortOf } from '@/core/ballistics/effort';
import { topSpeedFor } from '@/core/ballistics/wall/advise';
import { chosenChild, childOptions, floorHere, placeOptions } from '../child';
import { Choice } from '../dial';
import { BallChoice } from '../choices';
import { BenchFrame } from '../frame';
import { WriteSetting } from '../write-setting';
import { FeedDrawing } from './feed-drawing';
import { LiveFeeder } from './live-feeder';
import { LobRamp } from './lob-ramp';
import { MachineDials } from './machine-dials';
import { SavedFeeders } from './saved-feeders';
import { SpotAndArc } from './spot-and-arc';
import { DrawingToTake } from '@/ui/drawing/to-take';

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
  const [machine, setMachine] = useState<FeederSettings>(() => usualFeed(child.ball, stand));
  const [moving, setMoving] = useState({ distanceM: 2, speedMps: 2.2 });
  const [kept, setKept] = useState({ name: '', drillId: 'retreat-for-the-high-ball' });
  const turn = (more: Partial<FeederSettings>) => setMachine({ ...machine, ...more });
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
              setMachine(usualFeed(child.ball, next));
            }}
          />
          <BallChoice value={machine.ball} onChange={(ball) => turn({ ball })} />
          <MachineDials
            stand={stand}
            machine={machine}
            onStand={setStand}
            onTurn={turn}
            words={effortOf(machine.speedMps, topSpeedFor(child.age, child.sport))}
          />
        </div>
      }
    >
      <Sentence limit={one.fault !== null}>{feedSentence(one, place.playerM, timing)}</Sentence>
      <WriteSetting
        view={view}
        kind="feeder"
        into="a fed drill"
        chosen={start.blockId}
        playerId={playerId}
        setting={setting}
        what="The dials and their times"
      />
      <Sheet className="p-2" aria-label="Picture">
        <DrawingToTake name="feeder">
          <FeedDrawing place={place} one={one} path={path} map={map} bodyM={child.heightM} />
        </DrawingToTake>
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
            label: 'Reaches the player',
            value: `${one.contactS.toFixed(1)} s`,
            note: `${inMetres(one.contactM)} ± ${inMetres(off.contactM)} high, ${effortInWords(one.contactMps, topSpeedFor(child.age, child.sport))}`,
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
        <SpotAndArc
          machine={machine}
          place={place}
          moving={moving}
          onMoving={setMoving}
          onMachine={setMachine}
        />
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
      <LobRamp machine={machine} place={place} one={one} child={child} />
      <Law {...feedLaw} />
    </BenchFrame>
  );
}
