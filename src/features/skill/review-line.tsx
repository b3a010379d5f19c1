'use client';

import { Trophy } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import type { Drill } from '@/drills/base/types';
import { marksInWords, measures, numberInWords, resultInWords, type Measure } from '@/core/counting/measure';
import { explainBest, explainRate, explainTarget, explainTouches } from '@/core/explanations/results';
import { counted } from '@/core/base/words';
import type { DecidedOn } from '@/session/skill/evidence';
import type { Verdict } from '@/core/skill/next-target';
import { verdicts, type DecisionForm } from '@/schemas/decision';
import type { PlayerFacts } from '@/server/views/facts';
import type { ReviewBlock, ReviewLine } from '@/server/views/session-review';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { Figure } from '@/ui/figure';
import { Stairs } from '@/ui/stairs';

interface Props {
  readonly block: ReviewBlock;
  readonly drill: Drill;
  readonly line: ReviewLine;
  readonly player: PlayerFacts;
  readonly onDecide: (decisions: DecisionForm[], text: string) => Promise<void>;
}

const words: Record<Verdict, string> = { up: 'Up a step', hold: 'Stay', back: 'One back' };
const shortWords: Record<Verdict, string> = { up: 'Up', hold: 'Stay', back: 'Back' };

/** One player in one block: what they did, the proposal, and the coach's word. */
export function ReviewLineRow({ block, drill, line, player, onDecide }: Props) {
  const { tally, schools, leads, decided, gate } = line;
  const { byDefault } = schools;
  const staying = schools.all.find((one) => one.verdict === 'hold');
  const step = drill.steps.find((one) => one.id === line.stepId)!;
  const targetOf = (verdict: Verdict) =>
    verdict === 'hold'
      ? byDefault.verdict === 'hold'
        ? byDefault.target
        : (staying?.target ?? leads.hold.target)
      : leads[verdict].target;
  const [verdict, setVerdict] = useState<Verdict>(decided?.verdict ?? byDefault.verdict);
  const [target, setTarget] = useState(String(decided?.target ?? targetOf(byDefault.verdict)));
  const [busy, setBusy] = useState(false);

  const possible = verdicts.filter((one) => one === 'hold' || leads[one].stepId !== step.id);
  const typed = Number(target);
  const problem = !(typed >= 0.1 && typed <= 10_000)
    ? 'Next target must be a number from 0.1 to 10000.'
    : null;
  const settled = decided !== null && decided.verdict === verdict && decided.target === typed;
  const landing = drill.steps.find((one) => one.id === leads[verdict].stepId)!;

  const save = async () => {
    setBusy(true);
    await onDecide(
      [{ blockId: block.id, playerId: player.id, verdict, target: typed }],
      `${player.name}: ${words[verdict].toLowerCase()}.`,
    );
    setBusy(false);
  };

  return (
    <li
      className="grid gap-x-4 gap-y-2 border-b border-line px-4 py-1.5 last:border-0 xl:grid-cols-[14rem_1fr_auto] items-center"
      data-player={player.name}
    >
      <div>
        <p className="flex items-center gap-2 font-semibold touch:min-h-11">
          <Link
            href={`/players/${player.id}?drill=${drill.id}`}
            className="hit underline-offset-4 hover:underline"
          >
            {player.name}
          </Link>
          {line.bestEver && (
            <span className="inline-flex items-center gap-1 rounded-sm bg-now px-1.5 text-sm text-on-now">
              <Trophy aria-hidden size={14} /> Best ever
            </span>
          )}
        </p>
        <p className="text-xl leading-tight font-bold touch:min-h-11 touch:content-center">
          {tally.best === null ? (
            '–'
          ) : (
            <Figure
              className="z-1"
              label={`Best: ${resultInWords(step.measure, tally.best)}`}
              explain={() => explainBest(step.measure, tally.best!, tally.results, line.bestBefore)}
            >
              <span data-best>{numberInWords(step.measure, tally.best)}</span>
            </Figure>
          )}{' '}
          <span className="text-sm font-normal text-soft">
            {measures[step.measure].unit}
            {line.bestBefore !== null && `; before: ${numberInWords(step.measure, line.bestBefore)}`}
          </span>
        </p>
        <p className="text-sm text-soft">
          <Figure
            label={marksInWords(step.measure, tally.touches)}
            explain={() => explainTouches(tally, 'this block')}
          >
            <span data-total>{marksInWords(step.measure, tally.touches)}</span>
          </Figure>
          , {tally.drops} dropped
          {line.reported > 0 && `, ${counted(line.reported, 'attempt')} counted aloud`}
          {line.heard > 0 && `, ${counted(line.heard, 'attempt')} by ear`}
          {line.seen > 0 && `, ${counted(line.seen, 'attempt')} from a clip`}
          {line.fixed > 0 && `, ${counted(line.fixed, 'attempt')} corrected`}
          {line.doubtful > 0 && `, ${counted(line.doubtful, 'result')} to confirm or correct under Counts`}
          {tally.ratePerMin !== null && (
            <>
              ,{' '}
              <Figure
                label={`${Math.round(tally.ratePerMin)} a minute`}
                explain={() => explainRate({ ...tally, ratePerMin: tally.ratePerMin! })}
              >
                {Math.round(tally.ratePerMin)} a minute
              </Figure>
            </>
          )}
        </p>
      </div>
      <div className="text-sm">
        <p className="touch:pt-3">
          <Figure
            className="font-semibold"

            explain={() => explainTarget(step.measure, gate, schools)}
          >
            Proposed: {words[byDefault.verdict].toLowerCase()}
          </Figure>
          . <span data-reason>{byDefault.reason}</span>
        </p>
        <p className="text-soft">
          {line.stepId === block.stepId ? 'Their' : `On their own step, “${step.title}”:`} mark {gate.result}{' '}
          on {counted(gate.days, 'day')}
          {possible.length < verdicts.length &&
            (possible.includes('back') ? '; this is the top step' : '; this is the first step')}
          .
        </p>
        {schools.differ && (
          <p className="text-soft" data-differ>
            {schools.differ}
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <div role="radiogroup" aria-label={`Decision for ${player.name}`} className="flex">
          {possible.map((one) => (
            <label
              key={one}
              className={cx(
                'flex min-h-11 cursor-pointer items-center border-2 border-l-0 border-edge px-2.5 text-sm font-semibold first:rounded-l-md first:border-l-2 last:rounded-r-md has-focus-visible:outline-3 has-focus-visible:outline-now',
                verdict === one ? 'bg-ink text-paper' : 'bg-sheet hover:bg-chalk',
              )}
            >
              <input
                type="radio"
                name={`${block.id} ${player.id}`}
                value={one}
                checked={verdict === one}
                onChange={() => {
                  setVerdict(one);
                  setTarget(String(targetOf(one)));
                }}
                className="sr-only"
              />
              {shortWords[one]}
            </label>
          ))}
        </div>
        <label className="flex items-center gap-2 text-sm font-semibold">
          Next
          <input
            value={target}
            inputMode="decimal"
            aria-label={`Next target for ${player.name}`}
            aria-invalid={problem ? true : undefined}
            data-target
            onChange={(event) => setTarget(event.target.value)}
            className="tabular min-h-11 w-[4.5rem] rounded-md border-2 border-edge bg-sheet px-2 text-center text-lg aria-[invalid=true]:border-stop"
          />
        </label>
        <Stairs
          treads={drill.steps}
          at={landing.id}
          width={72}
          height={44}
          label={`Leads to step ${drill.steps.indexOf(landing) + 1}: ${landing.title}`}
        />
        <Button
          look={settled ? 'quiet' : 'plain'}
          className={cx('w-24 px-2', settled && 'text-safe')}
          disabled={busy || problem !== null || settled}
          onClick={() => void save()}
        >
          {settled ? 'Decided' : decided ? 'Change' : 'Accept'}
        </Button>
      </div>
      {decided?.was && (
        <p data-was className="col-span-full text-sm text-soft">
          {wasWords(step.measure, decided.was)}
        </p>
      )}
      {line.remarks.length > 0 && (
        <p data-remarks className="col-span-full text-sm text-soft">
          {remarkWords(line)}
        </p>
      )}
      {problem && <p className="col-span-full text-right text-sm font-semibold text-stop">{problem}</p>}
    </li>
  );
}

/** What a decision was made on, where that has been put right since. */
function wasWords(measure: Measure, { best, mark, reachedDays, results }: DecidedOn): string {
  const shown = results.length > 0 ? ` (that day ${results.map((one) => one ?? '–').join(', ')})` : '';
  return (
    `Decided on ${best === null ? 'no count' : `a best of ${resultInWords(measure, best)}`}${shown}, ` +
    `the mark of ${mark.result} reached on ${counted(reachedDays, 'day')}: put right since.`
  );
}

/** What was seen and said on court, in one line. */
function remarkWords({ remarks }: ReviewLine): string {
  const words = { held: 'Held: ', broke: 'Broke: ', note: 'Note: ', beside: '' } as const;
  return remarks
    .map(({ kind, text, by }) => `${words[kind]}${text.replace(/\.$/, '')}${by ? ` (${by})` : ''}`)
    .join('. ')
    .concat('.');
}
