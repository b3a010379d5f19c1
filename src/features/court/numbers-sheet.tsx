'use client';

import { Sigma } from 'lucide-react';
import { useState } from 'react';
import type { Explanation } from '@/core/base/explain';
import { explainBest, explainRate, explainTouches } from '@/core/explanations/results';
import { marksInWords, resultInWords } from '@/core/counting/measure';
import { summaryOf, tally } from '@/core/counting/tally';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Figure } from '@/ui/figure';
import { AttemptsList } from './attempts-list';
import { Chip } from './chip';
import type { RunLog } from '@/court/run-log';
import type { CourtPlayer } from './court-view';
import { doseInWords } from '@/core/dose/dose';
import type { AimFrom } from '@/session/base/goals';
import type { BlockRun, PlayerNow } from './use-block';

export interface NumbersSheetProps {
  readonly run: BlockRun;
  readonly players: readonly CourtPlayer[];
  readonly log: RunLog;
}

/** The numbers of the tiles, each opened to where it comes from: the tiles themselves are all zone. */
export function NumbersSheet(props: NumbersSheetProps) {
  const [open, setOpen] = useState(false);
  const [whose, setWhose] = useState<CourtPlayer | null>(props.players[0] ?? null);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} className={buttonClass('plain', 'min-h-12')}>
        <Sigma aria-hidden size={20} /> Numbers
      </button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="Numbers of this block"
        intro="Press one to see how it is made. The clock goes on."
      >
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-ink text-sm">
              <th scope="col">Player</th>
              <th scope="col">Best today</th>
              <th scope="col">Good</th>
              <th scope="col">A minute</th>
              <th scope="col">Aim</th>
              <th scope="col">Best ever</th>
            </tr>
          </thead>
          <tbody>
            {props.players.map((player) => (
              <Row key={player.id} player={player} {...props} />
            ))}
          </tbody>
        </table>
        <div role="group" aria-label="Whose attempts" className="mt-4 flex flex-wrap gap-1.5">
          {props.players.map((player) => (
            <Chip key={player.id} on={player.id === whose?.id} onPress={() => setWhose(player)}>
              {player.name}
            </Chip>
          ))}
        </div>
        {whose && <AttemptsList run={props.run} player={whose} log={props.log} />}
      </Dialog>
    </>
  );
}

function Row({ player, run, log }: { player: CourtPlayer } & NumbersSheetProps) {
  const { block } = run;
  const now = run.playerNow(player.id);
  const { step } = now.work;
  const result = tally(log.eventsOf(block.id, player.id), step.measure, now.limitsUnder);
  const onStep = result.attempts.filter((one) => one.conditions.stepId === result.conditions.stepId);
  const results = onStep.map((attempt) => attempt.result);
  const { best } = summaryOf(onStep, step.measure);
  const { ratePerMin } = result;
  return (
    <tr className="h-11 border-b border-line">
      <th scope="row" className="font-semibold">
        {player.name}
      </th>
      <td>
        {best === null ? (
          '–'
        ) : (
          <Figure label={`Best today ${best}`} explain={() => explainBest(step.measure, best, results)}>
            {best}
          </Figure>
        )}
      </td>
      <td>
        <Figure
          label={marksInWords(step.measure, result.touches)}
          explain={() => explainTouches(result, 'this block')}
        >
          {result.touches}
        </Figure>
      </td>
      <td>
        {ratePerMin === null ? (
          '–'
        ) : (
          <Figure
            label={`${Math.round(ratePerMin)} a minute`}
            explain={() => explainRate({ ...result, ratePerMin })}
          >
            {Math.round(ratePerMin)}
          </Figure>
        )}
      </td>
      <td>
        <Figure label={`Aim ${now.goals.aim}`} explain={() => explainAim(now)}>
          {now.goals.aim}
        </Figure>
      </td>
      <td>
        <Figure label={`Best ever ${now.bestEver ?? 'none'}`} explain={() => explainEver(now)}>
          {now.bestEver ?? '–'}
        </Figure>
      </td>
    </tr>
  );
}

const aimWords: Record<AimFrom, string> = {
  dose: 'A row is kept up until it is there: the aim is the row of the dose.',
  decided: 'What was decided in the last review of this step.',
  mark: 'The step’s own mark: nothing else was decided for this step.',
  most: 'The most this dose can give: more cannot be asked of it.',
};

function explainAim({ work: { step, dose }, goals }: PlayerNow): Explanation {
  const words = (result: number) => resultInWords(step.measure, result);
  return {
    title: 'Aim',
    value: words(goals.aim),
    formula: `${aimWords[goals.aimFrom]}${goals.tooShort ? ' This dose is too short to pass the step today.' : ''}`,
    inputs: [
      { label: 'Dose', value: doseInWords(dose), from: 'the plan, and what was changed on court' },
      { label: 'Mark to pass', value: words(goals.mark.result), from: 'the step, for the player’s age' },
      ...(Number.isFinite(goals.most) ? [{ label: 'Most this dose gives', value: words(goals.most) }] : []),
    ],
    source: 'The coach’s decision, or the catalogue.',
  };
}

function explainEver({ work: { step }, bestEver }: PlayerNow): Explanation {
  return {
    title: 'Best ever',
    value: bestEver === null ? 'none yet' : resultInWords(step.measure, bestEver),
    formula: 'The best attempt on this step in all other sessions up to this day.',
    inputs: [{ label: 'Step', value: step.title }],
    source: 'Counted from the log of touches.',
  };
}
