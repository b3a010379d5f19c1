'use client';

import { Sigma } from 'lucide-react';
import { useState } from 'react';
import { gateFor } from '@/catalogue/gate';
import type { Explanation } from '@/core/explain';
import { explainBest, explainRate, explainTouches } from '@/core/explanations/results';
import { marksInWords, resultInWords } from '@/core/counting/measure';
import { tally } from '@/core/counting/tally';
import type { PlayerFacts } from '@/server/views/player-facts';
import type { RunPlayer } from '@/server/views/session-run';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Figure } from '@/ui/figure';
import type { RunLog } from './run-log';
import type { BlockRun } from './use-block';

export interface NumbersSheetProps {
  readonly run: BlockRun;
  readonly players: readonly PlayerFacts[];
  readonly log: RunLog;
}

/** The numbers of the tiles, each opened to where it comes from: the tiles themselves are all zone. */
export function NumbersSheet(props: NumbersSheetProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className={buttonClass('quiet', 'min-h-16 flex-col gap-0 px-2 text-sm')}
      >
        <Sigma aria-hidden size={22} /> Numbers
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
      </Dialog>
    </>
  );
}

function Row({ player, run, log }: { player: PlayerFacts } & NumbersSheetProps) {
  const { block } = run;
  const { step } = run.workOf(player.id);
  const own = block.players.find((one) => one.playerId === player.id)!;
  const result = tally(log.events(block.id, player.id), step.measure);
  const results = result.attempts.map((attempt) => attempt.result);
  const { best, ratePerMin } = result;
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
            explain={() => explainRate(ratePerMin, result.touches)}
          >
            {Math.round(ratePerMin)}
          </Figure>
        )}
      </td>
      <td>
        <Figure label={`Aim ${own.target}`} explain={() => explainAim(run, own)}>
          {own.target}
        </Figure>
      </td>
      <td>
        <Figure label={`Best ever ${own.bestEver ?? 'none'}`} explain={() => explainEver(run, own)}>
          {own.bestEver ?? '–'}
        </Figure>
      </td>
    </tr>
  );
}

function explainAim(run: BlockRun, { playerId, target }: RunPlayer): Explanation {
  const { step, dose } = run.workOf(playerId);
  const gate = gateFor(step, dose);
  return {
    title: 'Aim',
    value: resultInWords(step.measure, target),
    formula:
      'What was decided in the last review of this step; without one, the step’s own mark under this dose.',
    inputs: [
      {
        label: 'The step’s mark',
        value: resultInWords(step.measure, gate.result),
        from: 'the drill, under this dose',
      },
    ],
    source: 'The coach’s decision, or the catalogue.',
  };
}

function explainEver(run: BlockRun, { playerId, bestEver }: RunPlayer): Explanation {
  const { step } = run.workOf(playerId);
  return {
    title: 'Best ever',
    value: bestEver === null ? 'none yet' : resultInWords(step.measure, bestEver),
    formula: 'The best attempt on this step in all other sessions up to this day.',
    inputs: [{ label: 'Step', value: step.title }],
    source: 'Counted from the log of touches.',
  };
}
