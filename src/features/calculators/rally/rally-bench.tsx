'use client';

import { Dices, X } from 'lucide-react';
import { Link } from '@/ui/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { balls } from '@/core/ballistics/balls';
import { wallLimits } from '@/core/ballistics/wall/setup';
import { rallyLaw } from '@/core/explanations/rally';
import { settingsIn } from '@/core/calculators/rally/fit';
import { ageBandOf } from '@/drills/base/age-band';
import { markFor } from '@/session/base/goals';
import { setOutFor, type SetOut } from '@/core/calculators/rally/set-out';
import { counted } from '@/core/base/words';
import type { BenchesView, RallyView } from '@/server/views/benches';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { useWholeBook } from '@/ui/whole-book';
import { Law } from '../answer';
import { chosenChild, childOptions, floorHere, placeOptions } from '../child';
import { Choice, Dial } from '../dial';
import { BallChoice, WallChoice } from '../choices';
import { BenchFrame } from '../frame';
import { nextSteps, rowsAt, type NextStep } from './next-steps';
import { RallyAnswerView } from './rally-answer';
import { useRally } from './use-rally';

/** What would the next step do? A player's scatter from their rows, played ten thousand times at another set-up. */
export function RallyBench({
  view,
  rows,
  playerId,
}: {
  view: BenchesView;
  rows: RallyView;
  playerId: string;
}) {
  const book = useWholeBook();
  const router = useRouter();
  const child = useMemo(() => chosenChild(view, playerId), [view, playerId]);
  const { steps, next } = useMemo(() => nextSteps(book, child, rows), [book, child, rows]);
  const logged = useMemo(
    () => rows.groups.flatMap((group) => rowsAt(view, book, child, group) ?? []),
    [view, book, child, rows],
  );
  const count = logged.reduce((sum, one) => sum + one.rows.length, 0);
  const key = ({ drill, step }: NextStep) => `${drill.id} ${step.id}`;
  const markHere = ({ step }: NextStep) => markFor(step, ageBandOf(child.age)).result;
  const outOf = (one: NextStep | undefined): SetOut => ({
    shot: one?.step.rally?.shot ?? 'one bounce',
    distanceM: one?.step.rally?.distanceM ?? 3,
    markM: one?.step.rally?.markM ?? 1.4,
    spinRps: one?.step.rally?.spinRps,
    ball: child.ball,
    floor: logged[0]?.setting.setup.floor ?? 'court',
    wall: 'brick',
    ceilingM: logged[0]?.setting.setup.ceilingM ?? null,
  });
  const [chosen, setChosen] = useState(next);
  const [out, setOut] = useState<SetOut>(() => outOf(next));
  const [placeId, setPlaceId] = useState(rows.groups.at(-1)?.placeId ?? '');
  const [aim, setAim] = useState(() => (next ? markHere(next) : 10));
  const [tries, setTries] = useState(5);
  const [asked, setAsked] = useState('');
  const { state, run, cancel } = useRally();
  const change = (more: Partial<SetOut>) => setOut({ ...out, ...more });
  const to = useMemo(() => setOutFor(out, child), [out, child]);
  const what = chosen ? `${chosen.drill.title}: ${chosen.step.title}` : 'A rally';

  const play = () => {
    if (!to) return;
    setAsked(
      `${what}, ${to.setup.distanceM.toFixed(2)} m from the wall, mark ${to.setup.targetM.toFixed(2)} m, ${balls[to.setup.ball].label}`,
    );
    run({ logged, next: to, tries, aim, seed: 20 });
  };

  return (
    <BenchFrame
      here="rally"
      set={
        <div className="space-y-1.5">
          <Choice
            label="Player"
            value={playerId}
            options={childOptions(view)}
            onChange={(id) => router.push(`/benches/rally?player=${id}`)}
          />
          <p className="text-sm">
            {count > 0 ? (
              <>
                {counted(count, 'row')} at a wall in twelve weeks, at {counted(settingsIn(logged), 'set-up')}.
              </>
            ) : (
              'No rows at a wall in twelve weeks.'
            )}
          </p>
          <Choice
            label="Next step"
            value={chosen ? key(chosen) : ''}
            options={steps.map((one) => ({ value: key(one), text: `${one.drill.title}: ${one.step.title}` }))}
            onChange={(wanted) => {
              const one = steps.find((each) => key(each) === wanted);
              setChosen(one);
              setOut({ ...outOf(one), floor: out.floor, ceilingM: out.ceilingM });
              if (one?.step.measure === 'row') setAim(markHere(one));
            }}
          />
          <Choice
            label="Place"
            value={placeId}
            options={placeOptions(view)}
            onChange={(id) => {
              const place = view.places.find((one) => one.id === id);
              setPlaceId(id);
              change({ floor: floorHere(place), ceilingM: place?.ceilingM ?? null });
            }}
          />
          <BallChoice value={out.ball} onChange={(ball) => change({ ball })} />
          <WallChoice value={out.wall} onChange={(wall) => change({ wall })} />
          <div className="border-t-2 border-line pt-1">
            <Dial
              label="Distance"
              unit="m"
              value={out.distanceM}
              {...wallLimits.distanceM}
              max={10}
              step={0.05}
              onChange={(distanceM) => change({ distanceM })}
            />
            <Dial
              label="Mark on the wall"
              unit="m"
              value={out.markM}
              {...wallLimits.targetM}
              max={4}
              step={0.05}
              onChange={(markM) => change({ markM })}
            />
            <Dial
              label="Wanted in a row"
              unit=""
              value={aim}
              min={1}
              max={50}
              step={1}
              onChange={(value) => setAim(Math.round(value))}
            />
            <Dial
              label="Tries"
              unit=""
              value={tries}
              min={1}
              max={20}
              step={1}
              onChange={(value) => setTries(Math.round(value))}
            />
          </div>
          {state.kind === 'running' ? (
            <div>
              <progress
                aria-label="Rallies played"
                max={1}
                value={state.share}
                className="h-4 w-full appearance-none border border-edge [&::-webkit-progress-bar]:bg-chalk [&::-webkit-progress-value]:bg-now [&::-moz-progress-bar]:bg-now"
              />
              <Button className="min-h-11 w-full" onClick={cancel}>
                <X aria-hidden size={18} /> Cancel
              </Button>
            </div>
          ) : (
            <Button look="now" className="w-full px-2" disabled={count === 0 || !to} onClick={play}>
              <Dices aria-hidden size={18} /> Play ten thousand rallies
            </Button>
          )}
        </div>
      }
    >
      {state.kind === 'done' ? (
        <RallyAnswerView name={child.name.split(' ')[0]!} asked={asked} answer={state.answer} />
      ) : (
        <Waiting
          text={
            count === 0
              ? `${child.name} has no counted rows at a wall yet: run a wall rally with them, then ask again.`
              : !to
                ? 'No hit keeps a rally going there: turn the distance or the mark.'
                : state.kind === 'running'
                  ? `Playing … ${Math.round(100 * state.share)} %`
                  : state.kind === 'cancelled'
                    ? 'Cancelled. Nothing was changed; press the button to play again.'
                    : `What would “${what}” do to ${child.name}? Press the button.`
          }
        />
      )}
      {state.kind === 'failed' && <ErrorNote>{state.message}</ErrorNote>}
      {count > 0 && (
        <p className="text-sm">
          <Link
            href={`/players/${playerId}`}
            className="hit inline-block py-3 font-semibold underline underline-offset-4"
          >
            {child.name}’s page
          </Link>
        </p>
      )}
      <Law {...rallyLaw} />
    </BenchFrame>
  );
}

function Waiting({ text }: { text: string }) {
  return (
    <p role="status" className="rounded-md border-2 border-line bg-sheet p-6 text-lg">
      {text}
    </p>
  );
}
