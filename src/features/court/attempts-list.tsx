'use client';

import { Check, Pencil } from 'lucide-react';
import { useState } from 'react';
import { measures, resultInWords } from '@/core/counting/measure';
import { countedInWords } from '@/core/counting/origin';
import { tally, type Attempt } from '@/core/counting/tally';
import { answersByCall } from '@/core/court/calls/answers';
import { Chip } from './chip';
import { conditionWords } from './condition-words';
import { momentAt } from '@/ui/dates';
import { CountPad } from './count-pad';
import { mostNow } from './type-count';
import type { RunLog } from '@/court/run-log';
import type { CourtPlayer } from './court-view';
import type { BlockRun } from './use-block';

interface Props {
  readonly run: BlockRun;
  readonly player: CourtPlayer;
  readonly log: RunLog;
}

/** One player's attempts in this block, any of which can be put right, and their answers call by call. */
export function AttemptsList({ run, player, log }: Props) {
  const { block, drill } = run;
  const { work, limitsUnder, conditions } = run.playerNow(player.id);
  const { measure } = work.step;
  const events = log.eventsOf(block.id, player.id);
  const { attempts } = tally(events, measure, limitsUnder);
  const fix = ({ eventId }: Attempt, value: number) =>
    run.say({ playerId: player.id, kind: 'fix', ref: eventId, value });
  const answers = answersByCall(events);
  const [fixing, setFixing] = useState<Attempt | null>(null);
  return (
    <section aria-label={`Attempts of ${player.name}`} className="mt-3">
      <h3 className="text-lg">{player.name}, attempt by attempt</h3>
      {attempts.length === 0 && <p className="text-soft">Nothing counted yet.</p>}
      <ol>
        {attempts.map((attempt) => (
          <li key={attempt.eventId} className="flex items-center gap-3 border-b border-line py-1">
            <span className="tabular w-8 text-soft">{attempt.number}</span>
            <span className="flex-1">
              <b>{attempt.result === null ? 'no result' : resultInWords(measure, attempt.result)}</b>
              {attempt.origin
                ? ` · ${countedInWords(attempt.origin)}`
                : attempt.reported && ' · counted aloud'}
              {attempt.fixed && ` · ${fixWords(attempt)}`}
              <span className="block text-sm text-soft">{conditionWords(attempt.conditions, drill)}</span>
              {attempt.doubtful && (
                <span className="block text-sm font-semibold text-care">
                  {measure === 'lap'
                    ? 'Too short for a lap: it counts for no best until you confirm or correct it.'
                    : 'More than one attempt can be: it counts for nothing until you correct it.'}
                </span>
              )}
            </span>
            {attempt.doubtful && measure === 'lap' && log.isMine(attempt.eventId) && (
              <Chip
                label={`Confirm attempt ${attempt.number}`}
                onPress={() => fix(attempt, attempt.result ?? 0)}
              >
                <Check aria-hidden size={16} /> Confirm
              </Chip>
            )}
            {log.isMine(attempt.eventId) && (
              <Chip label={`Correct attempt ${attempt.number}`} onPress={() => setFixing(attempt)}>
                <Pencil aria-hidden size={16} /> Correct
              </Chip>
            )}
          </li>
        ))}
      </ol>
      {answers.length > 0 && (
        <p className="mt-2" data-answers>
          Right answers:{' '}
          {answers.map(({ word, right, wrong }) => `${word} ${right} of ${right + wrong}`).join(', ')}.
        </p>
      )}
      <CountPad
        title={fixing && `${player.name}: correct attempt ${fixing.number}`}
        intro={`What it should be, ${measures[measure].unit}. The first count stays in the log; Undo takes the correction back.`}
        measure={measure}
        most={fixing?.conditions.stepId === conditions.stepId ? mostNow(run, player.id) : undefined}
        onClose={() => setFixing(null)}
        onKeep={(value) => {
          fix(fixing!, value);
          setFixing(null);
        }}
      />
    </section>
  );
}

function fixWords({ fixed }: Attempt): string {
  return `corrected by ${fixed!.by ?? 'the coach'} on ${momentAt(fixed!.atMs)}`;
}
