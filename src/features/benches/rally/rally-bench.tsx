'use client';

import { Dices, X } from 'lucide-react';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import type { Book } from '@/catalogue';
import type { Drill, Step } from '@/catalogue/types';
import { ballKinds, balls } from '@/core/ballistics/balls';
import { degrees } from '@/core/ballistics/motion';
import { wallKinds, walls } from '@/core/ballistics/surfaces';
import { wallLimits } from '@/core/ballistics/wall/setup';
import {
  estimateInWords,
  explainBest,
  explainSpread,
  rallyLaw,
  rallySentence,
  sureness,
} from '@/core/explanations/rally';
import type { LoggedRows } from '@/core/rally/fit';
import type { RallyAnswer } from '@/core/rally/job';
import { medianLength } from '@/core/rally/results';
import { setOutFor, type SetOut } from '@/core/rally/set-out';
import { counted, percent } from '@/core/words';
import type { BenchesView, RallyView, RowGroup } from '@/server/views/benches';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';
import { useBook } from '@/ui/house';
import { Sheet } from '@/ui/page-head';
import { Law, Readings, Sentence } from '../answer';
import { chosenChild, childOptions, floorHere, placeOptions, type BenchChild } from '../child';
import { Choice, Dial } from '../dial';
import { BenchFrame } from '../frame';
import { EndBars, LengthChart } from './length-chart';
import { useRally } from './use-rally';

/** How a player's rows were set out; null where no rally comes out of it. */
function rowsAt(view: BenchesView, book: Book, child: BenchChild, group: RowGroup): LoggedRows | null {
  const rally = book.step(group.drillId, group.stepId)?.rally;
  if (!rally) return null;
  const place = view.places.find((one) => one.id === group.placeId);
  const { setting } = group;
  const out: SetOut = {
    shot: setting?.shot ?? rally.shot,
    distanceM: setting?.distanceM ?? rally.distanceM,
    markM: setting?.markM ?? rally.markM,
    ball: group.ball ?? setting?.ball ?? child.ball,
    floor: floorHere(place),
    wall: 'brick',
    ceilingM: place?.ceilingM ?? null,
  };
  const made = setOutFor(out, child);
  return made && { setting: made, each: rally.each ?? null, rows: group.rows };
}

interface NextStep {
  readonly drill: Drill;
  readonly step: Step;
}

/** Steps that are rallies, for this sport; the one after where the player stands comes first. */
function nextSteps(
  book: Book,
  child: BenchChild,
  rows: RallyView,
): { steps: NextStep[]; next: NextStep | undefined } {
  const steps = book.drills
    .filter((drill) => drill.sports.includes(child.sport))
    .flatMap((drill) =>
      drill.steps.filter((step) => step.rally && !step.rally.each).map((step) => ({ drill, step })),
    );
  const practised = [...rows.groups].sort((a, b) => b.rows.length - a.rows.length)[0];
  const drill = practised && book.drill(practised.drillId);
  const at =
    drill?.steps.findIndex((step) => step.id === (rows.standsOn[drill.id] ?? practised?.stepId)) ?? -1;
  const following = drill?.steps.slice(at + 1).find((step) => step.rally && !step.rally.each);
  return {
    steps,
    next:
      steps.find((one) => one.drill === drill && one.step === following) ??
      steps.find((one) => one.drill === drill) ??
      steps[0],
  };
}

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
  const book = useBook();
  const child = useMemo(() => chosenChild(view, playerId), [view, playerId]);
  const { steps, next } = useMemo(() => nextSteps(book, child, rows), [book, child, rows]);
  const logged = useMemo(
    () => rows.groups.flatMap((group) => rowsAt(view, book, child, group) ?? []),
    [view, book, child, rows],
  );
  const count = logged.reduce((sum, one) => sum + one.rows.length, 0);
  const key = ({ drill, step }: NextStep) => `${drill.id} ${step.id}`;
  const outOf = (one: NextStep | undefined): SetOut => ({
    shot: one?.step.rally?.shot ?? 'one bounce',
    distanceM: one?.step.rally?.distanceM ?? 3,
    markM: one?.step.rally?.markM ?? 1.4,
    ball: child.ball,
    floor: logged[0]?.setting.setup.floor ?? 'court',
    wall: 'brick',
    ceilingM: logged[0]?.setting.setup.ceilingM ?? null,
  });
  const [chosen, setChosen] = useState(next);
  const [out, setOut] = useState<SetOut>(() => outOf(next));
  const [placeId, setPlaceId] = useState(rows.groups.at(-1)?.placeId ?? '');
  const [aim, setAim] = useState(next?.step.gate.result ?? 10);
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
          <nav aria-label="Player">
            <Choice
              label="Player"
              value={playerId}
              options={childOptions(view)}
              onChange={(id) => window.location.assign(`/benches/rally?player=${id}`)}
            />
          </nav>
          <p className="text-sm">
            {count > 0 ? (
              <>
                {counted(count, 'row')} at a wall in twelve weeks, at {counted(logged.length, 'set-up')}.
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
              if (one?.step.measure === 'row') setAim(one.step.gate.result);
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
          <Choice
            label="Ball"
            value={out.ball}
            options={ballKinds.map((value) => ({ value, text: balls[value].label }))}
            onChange={(ball) => change({ ball })}
          />
          <Choice
            label="Wall"
            value={out.wall}
            options={wallKinds.map((value) => ({ value, text: walls[value].label }))}
            onChange={(wall) => change({ wall })}
          />
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
                className="h-4 w-full accent-[var(--now)]"
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
                  ? 'Playing …'
                  : state.kind === 'cancelled'
                    ? 'Cancelled. Nothing was changed; press the button to play again.'
                    : `What would “${what}” do to ${child.name}? Press the button.`
          }
        />
      )}
      {state.kind === 'failed' && <ErrorNote>{state.message}</ErrorNote>}
      {count > 0 && (
        <p className="text-sm">
          <Link href={`/players/${playerId}`} className="font-semibold underline underline-offset-4">
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

function RallyAnswerView({ name, asked, answer }: { name: string; asked: string; answer: RallyAnswer }) {
  const { forecast, plain, fit } = answer;
  const { spread } = fit.best;
  return (
    <>
      <Sentence>{rallySentence(name, answer)}</Sentence>
      <p className={`text-sm ${fit.littleData ? 'font-semibold text-care' : 'text-soft'}`}>
        {asked}. {sureness(answer)}
      </p>
      <div className="grid items-start gap-3 lg:grid-cols-[minmax(0,1fr)_16rem]">
        <Sheet className="p-2" aria-label="How long rallies are">
          <LengthChart answer={answer} />
          <p className="px-1 text-sm text-soft">
            Bars: ten thousand rallies played · <span className="font-bold text-now">┅</span> the plain model:
            the same chance each hit, {percent(plain.rate)} as logged
          </p>
        </Sheet>
        <Sheet className="p-3" aria-label="Why rallies end">
          <h2 className="mb-1 text-base">Why rallies end</h2>
          <EndBars answer={answer} />
        </Sheet>
      </div>
      <Readings
        title="Numbers"
        readings={[
          {
            label: `Best of ${forecast.tries}`,
            value: estimateInWords(forecast.best, (n) => n.toFixed(0)),
            note: `plain model: ${plain.best.toFixed(0)}`,
            explain: () => explainBest(answer),
          },
          {
            label: `${forecast.aim} or more`,
            value: estimateInWords(forecast.reach, percent),
            note: `plain model: ${percent(plain.reach)}`,
            explain: () => explainBest(answer),
          },
          { label: 'Half of them reach', value: String(medianLength(forecast.rallies)), note: 'in a row' },
          {
            label: 'Good hits',
            value: percent(forecast.rate),
            note: `logged so far: ${percent(plain.rate)}`,
          },
          {
            label: 'Scatter in speed',
            value: `± ${percent(spread.speed)}`,
            note: `${percent(fit.low.speed)} to ${percent(fit.high.speed)}`,
            explain: () => explainSpread(answer),
          },
          {
            label: 'Scatter in height',
            value: `± ${degrees(spread.height).toFixed(1)}°`,
            note: `${degrees(fit.low.height).toFixed(1)}° to ${degrees(fit.high.height).toFixed(1)}°`,
            explain: () => explainSpread(answer),
          },
          {
            label: 'Scatter to the side',
            value: `± ${degrees(spread.side).toFixed(1)}°`,
            note: `${degrees(fit.low.side).toFixed(1)}° to ${degrees(fit.high.side).toFixed(1)}°`,
            explain: () => explainSpread(answer),
          },
        ]}
      />
    </>
  );
}
