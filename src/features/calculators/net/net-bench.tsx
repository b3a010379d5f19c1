'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { type BallKind } from '@/core/ballistics/balls';
import { courtKinds, courts, type CourtKind } from '@/core/ballistics/net/courts';
import {
  directions,
  arcsInWords,
  flownSpread,
  flownStretch,
  shareOfFarSide,
  straightStretch,
  type ContactPoint,
} from '@/core/ballistics/net/over';
import { explainFlown, explainStraight, netLaw, netSentence } from '@/core/explanations/net';
import { percent } from '@/core/base/words';
import type { BenchesView } from '@/server/views/benches';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence } from '../answer';
import { effortOf } from '@/core/ballistics/effort';
import { topSpeedFor } from '@/core/ballistics/wall/advise';
import { chosenChild, childOptions, type BenchChild } from '../child';
import { Choice, Dial } from '../dial';
import { BallChoice } from '../choices';
import { BenchFrame } from '../frame';
import { CourtDrawing } from './court-drawing';
import { DrawingToTake } from '@/ui/drawing/to-take';

interface Asked {
  readonly kind: CourtKind;
  readonly contact: ContactPoint;
  readonly clearanceM: number;
  readonly ball: BallKind;
  readonly speedMps: number;
  readonly spinPerMin: number;
}

/** Directions looked at across the far side. */
const rays = 33;

function firstAsked(child: BenchChild): Asked {
  if (child.sport === 'table tennis')
    return {
      kind: 'table',
      contact: { fromNetM: 1.7, sideM: 0, heightM: 1 },
      clearanceM: 0.05,
      ball: 'table tennis',
      speedMps: 7,
      spinPerMin: 1500,
    };
  const kind = child.age <= 8 ? 'red' : child.age <= 10 ? 'orange' : 'full';
  return {
    kind,
    contact: {
      fromNetM: Math.round(5 * courts[kind].lengthM) / 10,
      sideM: 0,
      heightM: Math.round(60 * child.heightM) / 100,
    },
    clearanceM: 0.4,
    ball: child.ball,
    speedMps: kind === 'full' ? 18 : kind === 'orange' ? 14 : 10,
    spinPerMin: 600,
  };
}

function look({ kind, contact, clearanceM, ball, speedMps, spinPerMin }: Asked) {
  const court = courts[kind];
  const sides = directions(court, contact, rays);
  const straight = sides.map((side) => ({
    sideAtBaselineM: side,
    stretch: straightStretch(court, contact, clearanceM, side),
  }));
  const hit = { ball, speedMps, spinPerMin };
  const flown = sides.map((side) => ({
    sideAtBaselineM: side,
    stretch: flownStretch(court, contact, hit, clearanceM, side)?.stretch ?? null,
  }));
  return {
    straight,
    flown,
    straightShare: shareOfFarSide(court, contact, straight),
    flownShare: shareOfFarSide(court, contact, flown),
    ahead: flownStretch(court, contact, hit, clearanceM, 0),
    off: flownSpread(court, contact, hit, clearanceM, 0),
    nearest: straightStretch(court, contact, clearanceM, 0),
  };
}

/** Over the net: the part of the far side that can be hit from a contact point. */
export function NetBench({ view, start }: { view: BenchesView; start: { playerId: string } }) {
  const [playerId, setPlayerId] = useState(start.playerId || (view.players[0]?.id ?? ''));
  const [asked, setAsked] = useState(() => firstAsked(chosenChild(view, playerId)));
  const child = chosenChild(view, playerId);
  const change = (more: Partial<Asked>) => setAsked({ ...asked, ...more });
  const move = (more: Partial<ContactPoint>) => change({ contact: { ...asked.contact, ...more } });
  const later = useDeferredValue(asked);
  const seen = useMemo(() => look(later), [later]);
  const court = courts[later.kind];
  const metres = (value: number) => `${value.toFixed(1)} m`;
  const half = courts[asked.kind].lengthM / 2;
  return (
    <BenchFrame
      here="net"
      set={
        <div className="space-y-1">
          <Choice
            label="Player"
            value={playerId}
            options={childOptions(view)}
            onChange={(id) => {
              setPlayerId(id);
              setAsked(firstAsked(chosenChild(view, id)));
            }}
          />
          <Choice
            label="Court"
            value={asked.kind}
            options={courtKinds.map((value) => ({ value, text: courts[value].label }))}
            onChange={(kind) => {
              const table = kind === 'table';
              change({
                kind,
                contact: { fromNetM: courts[kind].lengthM / 2, sideM: 0, heightM: table ? 1 : 0.9 },
                ball: table ? 'table tennis' : asked.ball === 'table tennis' ? 'yellow' : asked.ball,
                clearanceM: table ? 0.05 : 0.4,
              });
            }}
          />
          <BallChoice value={asked.ball} onChange={(ball) => change({ ball })} />
          <div className="border-t-2 border-line pt-1">
            <Dial
              label="Hit so far from the net"
              unit="m"
              value={asked.contact.fromNetM}
              min={0.1}
              max={Math.ceil(half * 1.3)}
              step={0.1}
              onChange={(fromNetM) => move({ fromNetM })}
            />
            <Dial
              label="Right of the middle"
              unit="m"
              value={asked.contact.sideM}
              min={-5}
              max={5}
              step={0.1}
              onChange={(sideM) => move({ sideM })}
            />
            <Dial
              label="Height over the floor"
              unit="m"
              value={asked.contact.heightM}
              min={0.2}
              max={3}
              step={0.05}
              onChange={(heightM) => move({ heightM })}
            />
            <Dial
              label="Clear of the net by"
              unit="m"
              value={asked.clearanceM}
              min={0}
              max={2}
              step={0.05}
              onChange={(clearanceM) => change({ clearanceM })}
            />
            <Dial
              label="Speed"
              unit="m/s"
              value={asked.speedMps}
              words={effortOf(asked.speedMps, topSpeedFor(child.age, child.sport))}
              min={2}
              max={40}
              step={0.5}
              onChange={(speedMps) => change({ speedMps })}
            />
            <Dial
              label="Topspin, back below 0"
              unit="/min"
              value={asked.spinPerMin}
              min={-4000}
              max={6000}
              step={100}
              onChange={(spinPerMin) => change({ spinPerMin })}
            />
          </div>
        </div>
      }
    >
      <Sentence limit={seen.straightShare === 0 && seen.flownShare === 0}>
        {netSentence(seen.straightShare, seen.flownShare, later.speedMps)}
      </Sentence>
      <Sheet className="p-2" aria-label="Picture">
        <DrawingToTake name="over-the-net">
          <CourtDrawing court={court} contact={later.contact} straight={seen.straight} flown={seen.flown} />
        </DrawingToTake>
        <p className="px-1 text-sm text-soft">
          <span className="inline-block h-3 w-6 border border-edge bg-now/40" /> with this speed and spin ·{' '}
          <span className="hatch-setup inline-block h-3 w-6 border border-edge" /> on a straight line
        </p>
      </Sheet>
      <Readings
        title="Numbers"
        readings={[
          { label: 'On a straight line', value: percent(seen.straightShare), note: 'of the far side' },
          {
            label: 'Nearest, straight ahead',
            value: seen.nearest ? metres(seen.nearest.fromM) : 'nothing',
            note: seen.nearest ? 'beyond the net, and all that is deeper' : 'the net hides it all',
            explain: () =>
              explainStraight(court, seen.nearest, later.contact.heightM, later.contact.fromNetM),
          },
          { label: 'With the arc', value: percent(seen.flownShare), note: 'of the far side' },
          {
            label: 'Straight ahead, arc',
            value: seen.ahead
              ? `${seen.ahead.stretch.fromM.toFixed(1)} to ${metres(seen.ahead.stretch.toM)}`
              : 'nothing',
            note: seen.ahead
              ? `ends ± ${Math.max(seen.off.fromM, seen.off.toM).toFixed(1)} m; ${arcsInWords(seen.ahead.arcs)}`
              : 'into the net, or out',
            explain: () => explainFlown(seen.ahead, later.speedMps, later.spinPerMin),
          },
        ]}
      />
      <Law {...netLaw} />
    </BenchFrame>
  );
}
