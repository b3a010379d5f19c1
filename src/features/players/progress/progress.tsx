'use client';

import { Printer } from 'lucide-react';
import { Link } from '@/ui/link';
import { Fragment } from 'react';
import { resultInWords } from '@/core/counting/measure';
import { explainTarget, schoolNames } from '@/core/explanations/results';
import { counted, percent } from '@/core/base/words';
import { dayNumber } from '@/core/base/days';
import {
  changeWords,
  countsOnWords,
  curveWords,
  forecastWords,
  luckWords,
  oddsWords,
  rowsInWords,
  transferWords,
} from '@/session/skill/progress-words';
import type { LadderLine, ProgressView } from '@/server/views/progress';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';
import { DrawingToTake } from '@/ui/drawing/to-take';
import { Figure } from '@/ui/figure';
import { PageHead, Sheet } from '@/ui/page-head';
import { StageBall } from '@/ui/stage-ball';
import { Stairs } from '@/ui/stairs';
import { useWholeBook } from '@/ui/whole-book';
import { PlayerTabs } from '../player-tabs';
import { FanChart } from './fan-chart';
import { LedgerCard } from './ledger';
import { WeeksChart } from './weeks-chart';

const verdictWords = { up: 'Up a step', hold: 'Stay', back: 'One back' } as const;

/** Where a player stands, what is next and when, and what each school says. */
export function ProgressPage({ view }: { readonly view: ProgressView }) {
  const { facts, ladders } = view;
  const shown = ladders.find((line) => line.drillId === view.shown);
  return (
    <>
      <PageHead
        actions={
          <ButtonLink href={`/players/${facts.id}/family`}>
            <Printer aria-hidden size={18} /> For the family
          </ButtonLink>
        }
        title={
          <span className="flex items-center gap-3">
            <StageBall stage={facts.stage} sport={facts.sport} /> {facts.name}
          </span>
        }
      >
        {facts.focus ? (
          <>
            Working on: <strong className="text-ink">{facts.focus}</strong>
          </>
        ) : (
          `${facts.age} years · ${facts.sport}`
        )}
      </PageHead>
      <PlayerTabs id={facts.id} here="Progress" />
      {ladders.length === 0 ? (
        <p className="text-soft">
          Here stands what is next and when, once something is counted in a session.
        </p>
      ) : (
        <div className="grid items-start gap-4 lg:grid-cols-[23rem_1fr]">
          <Sheet aria-label="What is next, and when">
            <h2 className="border-b-2 border-ink px-3 pt-2 pb-1 text-lg">What is next, and when</h2>
            <ul>
              {ladders.map((line) => (
                <LadderRow key={line.drillId} line={line} view={view} />
              ))}
            </ul>
          </Sheet>
          <div className="min-w-0 space-y-4">
            {shown && <Shown line={shown} view={view} />}
            <LedgerCard view={view} />
            <div className="grid gap-4 md:grid-cols-2">
              <Sheet className="p-3" aria-label="Transfer">
                <h2 className="text-lg">Known, random, live</h2>
                <p className="text-sm">{transferWords(view.transfer)}</p>
                <ul className="mt-1 text-sm">
                  {view.transfer.shares.map(({ sureness, share, hits, tries }) => (
                    <li key={sureness} className="flex justify-between border-t border-line py-1">
                      <span className="font-semibold">{sureness} ball</span>
                      <Figure
                        explain={() => ({
                          title: `Holds on a ${sureness} ball`,
                          value: percent(share.value),
                          formula:
                            'Touches that held, of all that were counted touch by touch in twelve weeks; a half is added to both sides.',
                          inputs: [
                            { label: 'Held', value: String(hits) },
                            { label: 'Of', value: String(tries) },
                            {
                              label: 'Range of 95 %',
                              value: `${percent(share.low)} to ${percent(share.high)}`,
                            },
                          ],
                          source: 'Jeffreys’ prior; the range is that of the beta distribution.',
                        })}
                      >
                        {percent(share.value)}
                      </Figure>
                    </li>
                  ))}
                </ul>
                {view.comparisons.map(({ title, words, sides }) => (
                  <Fragment key={title}>
                    <h2 className="mt-2 text-lg">{title}</h2>
                    <p className="text-sm">{words}</p>
                    <ul className="mt-1 text-sm">
                      {sides.map(({ name, share }) => (
                        <li key={name} className="flex justify-between border-t border-line py-1">
                          <span className="font-semibold">{name}</span>
                          <span>
                            {percent(share.value)}{' '}
                            <span className="text-soft">
                              ({percent(share.low)} to {percent(share.high)})
                            </span>
                          </span>
                        </li>
                      ))}
                    </ul>
                  </Fragment>
                ))}
              </Sheet>
              <Sheet className="p-3" aria-label="Touches by week">
                <h2 className="text-lg">Touches by week</h2>
                <WeeksChart weeks={view.weeks} />
              </Sheet>
            </div>
          </div>
        </div>
      )}
    </>
  );
}

function LadderRow({ line, view }: { readonly line: LadderLine; readonly view: ProgressView }) {
  const { facts, shown } = view;
  const drill = useWholeBook().drill(line.drillId, facts.id);
  const step = drill?.steps.find(({ id }) => id === line.stepId);
  if (!drill || !step) return null;
  const { byDefault } = line.schools;
  return (
    <li
      className={cx(
        'flex items-start gap-3 border-b border-line px-3 py-1.5 last:border-0',
        line.drillId === shown && 'bg-chalk',
      )}
    >
      <Stairs
        treads={drill.steps}
        at={step.id}
        width={56}
        height={38}
        label={`Step ${drill.steps.indexOf(step) + 1} of ${drill.steps.length}`}
      />
      <div className="min-w-0 flex-1">
        <p className="flex items-baseline justify-between gap-2">
          <Link
            href={`/players/${facts.id}/progress?drill=${drill.id}`}
            scroll={false}
            aria-current={line.drillId === shown ? 'true' : undefined}
            className="hit font-semibold underline-offset-4 hover:underline"
          >
            {drill.title}
          </Link>
          <span
            className={cx(
              'text-sm font-bold whitespace-nowrap',
              byDefault.verdict === 'up' && 'text-safe',
              byDefault.verdict === 'back' && 'text-care',
            )}
          >
            {verdictWords[byDefault.verdict]}
          </span>
        </p>
        <p className="text-sm text-soft">
          {step.title}: {resultInWords(step.measure, line.mark.result)}
        </p>
        <p className="text-sm">
          {line.progress && line.progress.days.length > 0
            ? forecastWords(line.progress)
            : step.habit
              ? byDefault.reason
              : 'No counts on this step yet.'}
        </p>
      </div>
    </li>
  );
}

function Shown({ line, view }: { readonly line: LadderLine; readonly view: ProgressView }) {
  const { facts, today } = view;
  const drill = useWholeBook().drill(line.drillId, facts.id);
  const step = drill?.steps.find(({ id }) => id === line.stepId);
  if (!drill || !step) return null;
  const { progress, odds, schools, mark } = line;
  const said = progress
    ? [
        changeWords(progress),
        luckWords(progress),
        curveWords(progress),
        progress.littleData && `Little data: ${counted(progress.past.length, 'day')}.`,
      ].filter((one) => typeof one === 'string')
    : [];
  return (
    <Sheet className="p-3" aria-label={drill.title}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">
          {drill.title}: {step.title}
        </h2>
        {odds && (
          <p className="text-sm">
            {resultInWords(step.measure, mark.result)} on{' '}
            <Figure
              className="font-semibold"
              explain={() => ({
                title: 'Chance of the mark on a day',
                value: percent(odds.chance),
                formula:
                  'The level of the next day is worked out from all counts of twelve weeks: it moves from day to day and has its own form each day. From it, the chance of the mark in one attempt, and in all of a day.',
                inputs: [
                  { label: 'Days with counts on this step', value: String(odds.days) },
                  { label: 'Attempts a day', value: String(odds.attempts), from: 'the last days' },
                  {
                    label: 'Where the level may lie (80 %)',
                    value: `${percent(odds.low)} to ${percent(odds.high)}`,
                  },
                ],
                source:
                  'A random walk with a fading gain, filtered (Kalman); steps of the ladder and the squad lend what they know.',
              })}
            >
              {oddsWords(odds)}
            </Figure>
          </p>
        )}
      </div>
      {progress ? (
        <>
          <DrawingToTake name="progress-fan">
            <FanChart step={step} mark={mark.result} progress={progress} today={dayNumber(today)} />
          </DrawingToTake>
          <p className="text-sm text-soft">
            The best of a day: <span className="text-safe">●</span> by its own counts ·{' '}
            <span className="text-safe">━</span> the level, with its range of 95 % ·{' '}
            <span className="text-now">┅</span> to come, with its range of 80 %. {countsOnWords(progress)}
          </p>
          {said.length > 0 && <p className="font-semibold">{said.join(' ')}</p>}
          {progress.rows && (
            <details className="text-sm">
              <summary className="min-h-6 touch:min-h-11 font-semibold">What to expect today</summary>
              <dl className="grid grid-cols-[1fr_auto] gap-x-6 sm:max-w-md">
                {rowsInWords(progress.rows, mark.result).map(([what, says]) => (
                  <Fragment key={what}>
                    <dt className="border-t border-line">{what}</dt>
                    <dd className="tabular border-t border-line text-right">{says}</dd>
                  </Fragment>
                ))}
              </dl>
            </details>
          )}
        </>
      ) : (
        <p className="text-soft">Nothing counted on this step in twelve weeks.</p>
      )}
      {/* Above the table: what can be pressed of it reaches a little over its words. */}
      <p className="relative z-10 mt-2">
        <Figure className="font-semibold" explain={() => explainTarget(step.measure, mark, schools)}>
          Four ways of judging it
        </Figure>
      </p>
      <div className="mt-2 overflow-x-auto">
        <table className="w-full text-left text-sm">
          <caption className="sr-only">What each school says</caption>
          <thead>
            <tr className="border-b-2 border-ink">
              <th scope="col" className="pr-3">
                School
              </th>
              <th scope="col" className="pr-3">
                Says
              </th>
              <th scope="col" className="pr-3">
                Because
              </th>
              <th scope="col">Would change its mind</th>
            </tr>
          </thead>
          <tbody>
            {schools.all.map(({ school, verdict, reason, wouldChange }) => (
              <tr key={school} className="border-b border-line align-top last:border-0" data-school={school}>
                <th scope="row" className="py-1 pr-3 font-semibold whitespace-nowrap">
                  {schoolNames[school].split(',')[0]}
                  {school === schools.byDefault.school && <span className="text-soft"> · proposes</span>}
                </th>
                <td className="py-1 pr-3 font-bold whitespace-nowrap">{verdictWords[verdict]}</td>
                <td className="py-1 pr-3">{reason}</td>
                <td className="py-1 text-soft">{wouldChange}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Sheet>
  );
}
