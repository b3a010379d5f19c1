'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { explainGap, explainTempo, explainWay } from '@/core/explanations/sequence';
import { tooFast } from '@/core/movement/sequence/feasible';
import { wordsOfShot } from '@/core/movement/sequence/line';
import { loopOf, tempoLimits, tempoWays, type TempoWay } from '@/core/movement/sequence/loop';
import { groundsOf, groundWords, type ShadowSport } from '@/core/movement/sequence/shots';
import { counted } from '@/core/base/words';
import { knownSequences } from '@/drills/sequences';
import { Readings, Sentence } from '@/features/calculators/answer';
import { Choice, Dial } from '@/features/calculators/dial';
import type { SequencesView } from '@/server/views/sequences';
import { Button } from '@/ui/button';
import { Figure } from '@/ui/figure';
import { PageHead, Sheet } from '@/ui/page-head';
import { useUnits } from '@/ui/units';
import { FeetPlan } from './feet-plan';
import { Joined } from './joined';
import { Kept } from './kept';
import { LineField } from './line-field';
import { firstDraft, useSequence, type Draft } from './use-sequence';

/** A tempo a child has room in: so much of the fastest. Ours. */
const easyShare = 0.75;

const within = (perMin: number): number => Math.min(tempoLimits.max, Math.max(tempoLimits.min, perMin));

/** Shadow sequences: written, looked at on the floor, checked for this child, heard, kept, and put into a plan. */
export function Composer({
  view,
  start,
}: {
  view: SequencesView;
  start: { playerId: string; blockId: string; sequence: string };
}) {
  const { say } = useUnits();
  const [playerId, setPlayerId] = useState(start.playerId || (view.players[0]?.id ?? ''));
  const [first] = useState(() =>
    firstDraft(
      view,
      { asked: start.sequence, blockId: start.blockId },
      view.players.find(({ id }) => id === playerId)?.sport ?? 'table tennis',
    ),
  );
  const sequence = useSequence(first, view, playerId);
  const { draft, child, shots, demands, change } = sequence;
  const [wanted, setWanted] = useState<number | null>(null);
  const [way, setWay] = useState<TempoWay>('even');
  const fastest = demands?.fastestPerMin ?? tempoLimits.min;
  const perMin = wanted ?? within(Math.floor(easyShare * fastest));
  const late = demands ? tooFast(demands, perMin) : [];
  const begin = (next: Omit<Draft, 'text'> & { line: string }) => {
    change({ id: next.id, name: next.name, sport: next.sport, ground: next.ground, text: next.line });
    setWanted(null);
  };
  const playing = view.players.filter(({ sport }) => sport === draft.sport);
  const owns = view.sequences.find(({ id }) => id === draft.id);

  return (
    <>
      <PageHead
        title="Shadow sequences"
        actions={
          <Link href="/drills" className="hit font-semibold underline underline-offset-4">
            All drills
          </Link>
        }
      >
        Strokes without a ball, at places that are called: whether the feet can get there in time is worked
        out.
      </PageHead>
      <div className="grid items-start gap-4 lg:grid-cols-[19rem_minmax(0,1fr)]">
        <div className="space-y-3">
          <section aria-label="Set up" className="space-y-2 rounded-md border-2 border-line bg-sheet p-3">
            {playing.length > 0 && (
              <Choice
                label="For"
                value={child.id}
                options={playing.map(({ id, name, age }) => ({ value: id, text: `${name}, ${age}` }))}
                onChange={setPlayerId}
              />
            )}
            <Choice<ShadowSport>
              label="Sport"
              value={draft.sport}
              options={(['tennis', 'table tennis'] as const).map((value) => ({ value, text: value }))}
              onChange={(sport) => begin({ ...firstKnown(sport), id: null })}
            />
            <Choice
              label="Floor"
              value={draft.ground}
              options={groundsOf(draft.sport).map((value) => ({ value, text: groundWords[value] }))}
              onChange={(ground) => change({ ground })}
            />
            <Dial
              label="Tempo"
              unit="/min"
              value={perMin}
              {...tempoLimits}
              step={1}
              words="strokes"
              onChange={setWanted}
            />
            <Choice<TempoWay>
              label="Through it"
              value={way}
              options={tempoWays.map((value) => ({ value, text: value }))}
              onChange={setWay}
            />
          </section>
          <Kept view={view} sequence={sequence} kept={owns ?? null} onBegin={begin} />
        </div>
        <div className="min-w-0 space-y-3">
          <LineField sequence={sequence} />
          {demands ? (
            <>
              <Sentence limit={late.length > 0}>
                {late.length > 0
                  ? `Too fast for ${child.name}: ${counted(late.length, 'stroke')} cannot be reached at ${perMin} a minute, first of all ${wordsOfShot(shots[late[0]!.to]!, draft.sport)}. ${fastest} a minute can be played.`
                  : `${child.name} can play it at ${perMin} strokes a minute; the fastest is ${fastest}.`}
              </Sentence>
              {late.length > 0 && (
                <Button
                  look="now"
                  disabled={fastest < tempoLimits.min}
                  onClick={() => setWanted(within(Math.floor(easyShare * fastest)))}
                >
                  Slow it down to {within(Math.floor(easyShare * fastest))} a minute
                </Button>
              )}
              <div className="grid items-start gap-3 xl:grid-cols-[minmax(0,1fr)_20rem]">
                <Sheet className="p-3">
                  <FeetPlan
                    key={draft.ground}
                    shots={shots}
                    demands={demands}
                    child={child}
                    perMin={perMin}
                    sport={draft.sport}
                    ground={draft.ground}
                  />
                </Sheet>
                <Sheet className="p-3 text-sm" aria-label="Stroke by stroke">
                  <h2 className="text-base">Stroke by stroke</h2>
                  <table className="mt-1 w-full">
                    <thead className="text-left text-soft">
                      <tr>
                        <th scope="col" className="font-normal">
                          Stroke
                        </th>
                        <th scope="col" className="font-normal">
                          Feet
                        </th>
                        <th scope="col" className="text-right font-normal">
                          Needs
                        </th>
                      </tr>
                    </thead>
                    <tbody>
                      {demands.gaps.map((gap) => (
                        <tr key={gap.to} className="border-t border-line align-top">
                          <th scope="row" className="py-1 touch:py-3 pr-2 text-left font-semibold">
                            {gap.to + 1} {wordsOfShot(shots[gap.to]!, draft.sport)}
                          </th>
                          <td className="py-1 touch:py-3 pr-2">
                            {say(gap.stretches.map(({ pattern }) => pattern).join(', home, '))}
                          </td>
                          <td
                            className={`py-1 touch:py-3 text-right ${late.includes(gap) ? 'font-bold text-care' : ''}`}
                          >
                            <Figure explain={() => explainGap(gap, shots, draft.sport)}>
                              {gap.needsS.toFixed(2)} s
                            </Figure>
                            {late.includes(gap) && <span className="block">too long</span>}
                          </td>
                        </tr>
                      ))}
                    </tbody>
                  </table>
                </Sheet>
              </div>
              <Readings
                title="What it asks for"
                readings={[
                  {
                    label: 'Fastest tempo',
                    value: `${fastest} a minute`,
                    explain: () => explainTempo(demands, shots, draft.sport),
                  },
                  {
                    label: 'Way of one pass',
                    value: `${demands.lengthM.toFixed(1)} m`,
                    note: counted(demands.steps, 'step'),
                    explain: () => explainWay(demands, shots, draft.sport),
                  },
                  {
                    label: 'One pass',
                    value: `${((60 / perMin) * shots.length).toFixed(1)} s`,
                    note: counted(shots.length, 'stroke'),
                  },
                  {
                    label: 'In 40 seconds',
                    value: counted(loopOf(shots.length, perMin, 40, way).length, 'stroke'),
                    ...(way !== 'even' && { note: way }),
                  },
                ]}
              />
              <Joined
                view={view}
                sequence={sequence}
                child={child}
                perMin={perMin}
                way={way}
                playable={late.length === 0}
                blockId={start.blockId}
              />
            </>
          ) : (
            <p className="text-soft">Once the line can be read, the floor and the tempo stand here.</p>
          )}
        </div>
      </div>
    </>
  );
}

function firstKnown(sport: ShadowSport) {
  const { name, ground, line } = knownSequences.find((one) => one.sport === sport)!;
  return { name, sport, ground, line };
}
