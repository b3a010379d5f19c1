'use client';

import { useState } from 'react';
import { findCard } from '@/drills/base/cards';
import { kitAtHand } from '@/drills/base/kit';
import type { Drill } from '@/drills/base/types';
import { deferral } from '@/core/care/care';
import { originInWords } from '@/core/base/origin';
import { fitsHere } from '@/core/venues/fits';
import type { DrillView } from '@/server/views/drills';
import { FitLine } from '@/ui/fit-line';
import { Flight } from '@/ui/flight';
import { useWholeBook } from '@/ui/whole-book';
import { PageHead, Sheet } from '@/ui/page-head';
import { CardButton } from './cards';
import { DrillActions } from './drill-actions';
import { SchoolsOf } from './schools-of';
import { StepForPlayer } from './step-for-player';
import { Said, useUnits } from '@/ui/units';

const initials = (name: string) =>
  name
    .split(/\s+/)
    .map((word) => word[0])
    .join('')
    .slice(0, 2);

/** One drill: its ladder with everybody on it, a step worked out for a player, what to look for, and the care it takes. */
export function DrillPage({ view }: { view: DrillView }) {
  const book = useWholeBook();
  const [playerId, setPlayerId] = useState(view.standing[0]?.playerId ?? view.squad[0]?.id ?? '');
  const drill = book.drill(view.drillId, playerId)!;
  const standsOn = view.standing.find((one) => one.playerId === playerId)?.stepId;
  const [chosen, setChosen] = useState<string | null>(null);
  const step = drill.steps.find((one) => one.id === (chosen ?? standsOn)) ?? drill.steps[0]!;
  const player = view.squad.find((one) => one.id === playerId);
  const nobody = view.standing.length === 0;

  return (
    <>
      <PageHead
        title={
          <>
            {drill.title}
            {view.own && (
              <span className="ml-3 rounded-sm bg-chalk px-2 align-middle text-base font-semibold">
                {view.retired ? 'your own, removed' : 'your own'}
              </span>
            )}
          </>
        }
        actions={<DrillActions view={view} drill={drill} />}
      >
        {drill.family} · {drill.sports.join(' and ')} · {drill.ages.from} to {drill.ages.to} years · trains{' '}
        {drill.trains.join(', ')}
      </PageHead>
      <p className="mb-2 max-w-5xl text-lg">{drill.purpose}</p>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_21rem]">
        <div className="min-w-0 space-y-3">
          <Sheet className="p-3 pb-0" aria-label="Ladder">
            <Flight
              steps={drill.steps.map(({ id, title }) => ({
                id,
                title,
                players: view.standing
                  .filter((one) => one.stepId === id)
                  .flatMap((one) => {
                    const stands = view.squad.find((known) => known.id === one.playerId);
                    return stands ? [{ id: stands.id, short: initials(stands.name), name: stands.name }] : [];
                  }),
              }))}
              chosen={step.id}
              onChoose={setChosen}
            />
          </Sheet>
          {nobody && (
            <p className="text-sm text-soft">
              Nobody stands on this ladder yet: they do after the first review of a session with it.
            </p>
          )}
          <Sheet className="p-4" aria-label="Step">
            <StepForPlayer
              view={view}
              drill={drill}
              step={step}
              player={player}
              onPlayer={(id) => {
                setPlayerId(id);
                setChosen(null);
              }}
            />
          </Sheet>
          <Sheet className="p-4" aria-label="Form">
            <h2 className="text-lg">Look for</h2>
            <ul className="list-disc pl-5">
              {drill.checkpoints.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
            <h3 className="mt-2 text-base">When it goes wrong</h3>
            <dl>
              {drill.faults.map(({ fault, correction, stepBack }) => (
                <div key={fault} className="border-t border-line py-1 first:border-0">
                  <dt>{fault}</dt>
                  <dd className="text-soft">
                    {correction} {stepBack && <strong className="text-ink">Then one step back.</strong>}
                  </dd>
                </div>
              ))}
            </dl>
          </Sheet>
        </div>
        <Aside view={view} drill={drill} />
      </div>
    </>
  );
}

function Aside({ view, drill }: { view: DrillView; drill: Drill }) {
  const group = Math.max(drill.players.min, Math.min(4, drill.players.max));
  const fitAt = (at: DrillView['grounds'][number] | null) =>
    fitsHere(drill, group, 1, at, kitAtHand(view.kit));
  // A place where it can be done comes first.
  const [placeId, setPlaceId] = useState(
    () => (view.grounds.find((one) => fitAt(one).verdict !== 'no') ?? view.grounds[0])?.id ?? '',
  );
  const fit = fitAt(view.grounds.find((one) => one.id === placeId) ?? null);
  const { space } = drill;
  const { say } = useUnits();
  const ground = `${space.lengthM} x ${space.widthM} m for ${space.per === 'player' ? 'each' : 'the station'}, ${space.ceilingM} m clear above${space.needs.length > 0 ? `, ${space.needs.join(', ')}` : ''}`;
  return (
    <div className="min-w-0 space-y-3 text-sm">
      <Sheet className="p-3" aria-label="Set-up">
        <h2 className="text-lg">Set-up</h2>
        <p>
          <Said>{drill.setUp}</Said>
        </p>
        <dl className="mt-2 grid grid-cols-[5.5rem_1fr] gap-x-2 gap-y-0.5">
          <Fact name="Space" text={say(ground)} />
          <Fact name="Kit" text={kitInWords(drill)} />
          <Fact
            name="Players"
            text={`${drill.players.min} at least, ${drill.players.max} at once at a station`}
          />
          <Fact name="Helper" text={drill.helper} />
          <Fact name="Feed" text={`${drill.feed.how}, ${drill.feed.predictability}`} />
          <Fact name="Hold" text={drill.hold} />
          <Fact name="Stance" text={drill.stance} />
          <Fact name="A drop" text={drill.dropRule} />
          {drill.bounceRule && <Fact name="Bounce" text={drill.bounceRule} />}
        </dl>
        {view.grounds.length > 0 && (
          <label className="mt-2 flex items-center gap-2 font-semibold">
            At
            <select
              value={placeId}
              onChange={(event) => setPlaceId(event.target.value)}
              className="min-h-9 touch:min-h-11 min-w-0 flex-1 rounded-md border-2 border-edge bg-sheet px-1"
            >
              {view.grounds.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </select>
          </label>
        )}
        <FitLine fit={fit} className="mt-1" />
        {drill.cards.length > 0 && (
          <p className="mt-2 flex flex-wrap gap-1">
            {drill.cards.flatMap((id) => {
              const card = findCard(id);
              return card ? [<CardButton key={id} card={card} className={smallButton} />] : [];
            })}
          </p>
        )}
      </Sheet>
      <Sheet className="p-3" aria-label="Care">
        <h2 className="text-lg">Care</h2>
        <ul className="space-y-1">
          {drill.care.map((note) => (
            <li key={note.text} className="rounded-sm bg-care-bg px-2 py-0.5 text-care">
              {note.text} ({originInWords(note)})
            </li>
          ))}
        </ul>
        <p className="mt-1 text-soft">{deferral}</p>
      </Sheet>
      <SchoolsOf drill={drill} />
      <Sheet className="p-3" aria-label="Recap">
        <h2 className="text-lg">Recap</h2>
        <ul>
          {drill.recap.questions.map((question) => (
            <li key={question}>{question}</li>
          ))}
        </ul>
        <p className="mt-1">
          <strong>At home:</strong> {drill.recap.homeChallenge}
        </p>
      </Sheet>
    </div>
  );
}

const smallButton =
  'min-h-8 touch:min-h-11 rounded-full border-2 border-edge bg-sheet px-3 font-semibold hover:bg-chalk';

function Fact({ name, text }: { name: string; text: string }) {
  return (
    <>
      <dt className="text-soft">{name}</dt>
      <dd>{text}</dd>
    </>
  );
}

function kitInWords(drill: Drill): string {
  if (drill.kit.length === 0) return 'nothing';
  return drill.kit
    .map(({ item, count, per, standIns }) => {
      const instead = standIns.length > 0 ? ` (or ${standIns.join(', ')})` : '';
      return `${count} ${item} a ${per}${instead}`;
    })
    .join('; ');
}
