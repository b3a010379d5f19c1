'use client';

import { Dices } from 'lucide-react';
import { Link } from '@/ui/link';
import { better, resultInWords } from '@/core/counting/measure';
import { counted } from '@/core/base/words';
import type { PlayerView } from '@/server/views/player';
import { shortDay } from '@/ui/dates';
import { PageHead, Sheet } from '@/ui/page-head';
import { useWholeBook } from '@/ui/whole-book';
import { StageBall } from '@/ui/stage-ball';
import { BestChart } from './best-chart';
import { PlayerActions } from './player-actions';
import { FamilyData } from './family-data';
import { PlayerNotes } from './player-notes';
import { PlayerTabs } from './player-tabs';
import { Standing } from './standing';
import { Stills } from './stills';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { useUnits } from '@/ui/units';

const verdictWords: Record<string, string> = { up: 'Up', hold: 'Stay', back: 'Back' };

/** One player: who they are, where they stand, and how a drill's results have moved. */
export function PlayerPage({ view }: { view: PlayerView }) {
  const { facts, form, chart } = view;
  const { say } = useUnits();
  const book = useWholeBook();
  const about = [
    `${facts.age} years`,
    facts.sport,
    `${facts.hand}-handed`,
    form.heightCm && say(`${form.heightCm} cm`),
    form.racketIn && `${form.racketIn} in racket`,
  ];
  return (
    <>
      <PageHead
        title={
          <span className="flex items-center gap-3">
            <StageBall stage={facts.stage} sport={facts.sport} /> {facts.name}
          </span>
        }
        actions={<PlayerActions view={view} />}
      >
        {about.filter(Boolean).join(' · ')}
        {facts.focus && (
          <>
            {' '}
            · working on: <strong className="text-ink">{facts.focus}</strong>
          </>
        )}
      </PageHead>
      <PlayerTabs id={facts.id} here="Ladders" />
      {view.removed && (
        <p className="mb-3 rounded-md border-2 border-edge px-3 py-2">
          Removed from the squad. Everything counted is kept.
        </p>
      )}
      {facts.careNote && (
        <p className="mb-3 rounded-md bg-care-bg px-3 py-2 text-care">
          <strong>Care:</strong> {facts.careNote}
        </p>
      )}
      <div className="grid items-start gap-4 lg:grid-cols-[22rem_1fr]">
        <Sheet aria-label="Where they stand">
          <div className="border-b-2 border-ink px-3 pt-2 pb-1">
            <h2 className="text-lg">Bests, and the mark to pass</h2>
            <Link
              href={`/benches/rally?player=${facts.id}`}
              className="inline-flex min-h-8 touch:min-h-11 items-center gap-1 text-sm font-semibold underline underline-offset-4"
            >
              <Dices aria-hidden size={16} /> What would the next step do?
            </Link>
          </div>
          <Standing view={view} />
        </Sheet>
        <div className="space-y-4">
          <Sheet className="p-4" aria-label="Results over time">
            {chart && chart.attempts.length > 0 ? (
              <Chart view={view} chart={chart} />
            ) : (
              <p className="text-soft">
                Every attempt will show here as a dot, with the best so far as a line.
              </p>
            )}
          </Sheet>
          <PlayerNotes view={view} />
          <Stills playerId={facts.id} />
          <div className="grid gap-4 md:grid-cols-2">
            <Sheet className="p-3" aria-label="Last decisions">
              <h2 className="text-lg">Last decisions</h2>
              <ul className="text-sm">
                {view.decisions.slice(0, 3).map((decision, index) => (
                  <li key={index} className="border-t border-line py-1">
                    <strong>{verdictWords[decision.verdict]}</strong> · {book.drill(decision.drillId)?.title}.{' '}
                    <span className="text-soft">{decision.reason}</span>
                  </li>
                ))}
              </ul>
              {view.decisions.length === 0 && (
                <p className="text-sm text-soft">None yet: they are made in a session’s review.</p>
              )}
            </Sheet>
            <Sheet className="p-3" aria-label="Last sessions">
              <h2 className="text-lg">Sessions</h2>
              <ul className="text-sm">
                {view.sessions.slice(0, 4).map((session) => (
                  <li key={session.id} className="border-t border-line">
                    <Link
                      href={`/sessions/${session.id}/${session.state === 'finished' ? 'review' : 'plan'}`}
                      className="flex min-h-8 touch:min-h-11 items-center justify-between hover:bg-chalk"
                    >
                      <span className="font-semibold">{session.title}</span>
                      <span className="tabular text-soft">{shortDay(session.day)}</span>
                    </Link>
                  </li>
                ))}
              </ul>
              {view.sessions.length === 0 && <p className="text-sm text-soft">None yet.</p>}
            </Sheet>
          </div>
          <FamilyData id={facts.id} name={facts.name} />
        </div>
      </div>
    </>
  );
}

function Chart({ view, chart }: { view: PlayerView; chart: NonNullable<PlayerView['chart']> }) {
  const drill = useWholeBook().drill(chart.drillId, view.facts.id)!;
  const here = `/players/${view.facts.id}?drill=${drill.id}`;
  return (
    <>
      <div className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">{drill.title}</h2>
        <p className="text-sm text-soft">
          {counted(chart.attempts.length, 'attempt')} {chart.whole ? 'in all' : 'in twelve weeks'} ·{' '}
          <Link
            href={chart.whole ? here : `${here}&all=1`}
            scroll={false}
            className="font-semibold text-ink underline underline-offset-4"
          >
            {chart.whole ? 'Show twelve weeks' : 'Show all time'}
          </Link>
        </p>
      </div>
      <DrawingToTake name="progress">
        <BestChart drillId={drill.id} age={view.facts.age} attempts={chart.attempts} height={340} />
      </DrawingToTake>
      <p className="text-sm text-soft">
        <span className="text-safe">●</span> every attempt · <span className="text-now">━</span> best so far ·
        ┅ the step’s mark
      </p>
      <details className="text-sm">
        <summary className="min-h-6 touch:min-h-11 font-semibold">Bests by day, as a table</summary>
        <BestsByDay chart={chart} />
      </details>
    </>
  );
}

function BestsByDay({ chart }: { chart: NonNullable<PlayerView['chart']> }) {
  const book = useWholeBook();
  const days = new Map<string, { day: string; stepId: string; best: number }>();
  for (const [day, , stepId, result] of chart.attempts) {
    const key = `${day} ${stepId}`;
    const before = days.get(key);
    const { measure } = book.step(chart.drillId, stepId)!;
    days.set(key, { day, stepId, best: better(measure, before?.best ?? null, result)! });
  }
  return (
    <table className="mt-1 w-full text-left">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Step</th>
          <th scope="col">Best</th>
        </tr>
      </thead>
      <tbody>
        {[...days.values()].map(({ day, stepId, best }) => {
          const step = book.step(chart.drillId, stepId)!;
          return (
            <tr key={`${day} ${stepId}`} className="border-t border-line">
              <td className="tabular">{shortDay(day)}</td>
              <td>{step.title}</td>
              <td className="tabular">{resultInWords(step.measure, best)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
