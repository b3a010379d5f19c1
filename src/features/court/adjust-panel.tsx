'use client';

import { ArrowDownRight, ArrowUpRight, Wind } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { findChange, takenBy } from '@/drills/base/changes';
import { stepBeside } from '@/session/court/on-court';
import { predictabilities, type Step } from '@/drills/base/types';
import { asPlanned, changesUnder, conditionsNow } from '@/core/counting/conditions';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Chip, ChipRow } from './chip';
import { LookAndSay } from './look-and-say';
import type { CourtPlayer } from './court-view';
import type { RunLog } from '@/court/run-log';
import type { BlockRun } from './use-block';

export interface AdjustPanelProps {
  readonly run: BlockRun;
  readonly players: readonly CourtPlayer[];
  readonly log: RunLog;
}

const stages = ['red', 'orange', 'green', 'yellow'] as const;
const tab =
  'min-h-12 flex-1 border-b-4 border-transparent px-3 text-lg font-bold data-[state=active]:border-now data-[state=inactive]:text-soft';

interface DialogProps extends AdjustPanelProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

export function AdjustDialog({ open, onOpenChange, ...panel }: DialogProps) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Adjust">
      <AdjustPanel {...panel} />
    </Dialog>
  );
}

/** Harder, easier, shorter, another ball: one press each, logged, and the next attempt is counted under it. */
export function AdjustPanel({ run, players, log }: AdjustPanelProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  // Who was counted last is most likely who is meant.
  const last = run.lastMark?.playerId ?? null;
  const known = players.some((player) => player.id === (chosen ?? last));
  const whom = chosen === '' ? null : known ? (chosen ?? last) : players.length === 1 ? players[0]!.id : null;
  return (
    <>
      <div role="group" aria-label="For whom" className="mb-3 flex flex-wrap gap-1.5">
        {players.length > 1 && (
          <Chip on={whom === null} onPress={() => setChosen('')}>
            Everybody
          </Chip>
        )}
        {players.map((player) => (
          <Chip key={player.id} on={whom === player.id} onPress={() => setChosen(player.id)}>
            {player.name}
          </Chip>
        ))}
      </div>
      <Tabs.Root defaultValue="level">
        <Tabs.List aria-label="What to adjust" className="mb-3 flex border-b-2 border-line">
          <Tabs.Trigger value="level" className={tab}>
            Level
          </Tabs.Trigger>
          <Tabs.Trigger value="look" className={tab}>
            Look and say
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="level">
          <Level run={run} log={log} whom={whom} players={players} />
        </Tabs.Content>
        <Tabs.Content value="look">
          <LookAndSay run={run} log={log} whom={whom} />
        </Tabs.Content>
      </Tabs.Root>
    </>
  );
}

function Level({
  run,
  log,
  whom,
  players,
}: Pick<AdjustPanelProps, 'run' | 'log' | 'players'> & { readonly whom: string | null }) {
  const [picks, setPicks] = useState(false);
  const { block, drill, say } = run;
  const conditions =
    whom === null ? conditionsNow(log.events(block.id, null)) : run.playerNow(whom).conditions;
  const whole = whom !== null ? [whom] : players.map((player) => player.id);
  const steps = whole.map((id) => ({ id, step: run.playerNow(id).work.step }));
  const move = (way: 'up' | 'back') => {
    // Everybody moves from where they stand: each gets an event of their own.
    for (const { id, step } of steps) {
      const next = stepBeside(drill, step, way);
      if (next) say({ playerId: id, kind: 'step', text: next.id, value: picks ? 1 : 0 });
    }
  };
  const leads = (way: 'up' | 'back'): Step | undefined =>
    steps.map(({ step }) => stepBeside(drill, step, way)).find((step) => step !== undefined);
  const acting = changesUnder(block.changes, conditions);
  const toggle = (id: string) =>
    say({ playerId: whom, kind: 'change', text: id, value: acting.includes(id) ? 0 : 1 });
  const easings = takenBy(drill, drill.easings);
  const spices = takenBy(drill, drill.spices);
  const own = stages.findIndex((stage) => stage === players.find((player) => player.id === whom)?.stage);
  const softer = (stage: (typeof stages)[number]) => (stages.indexOf(stage) < own ? 1 : 0);
  const [back, up] = [leads('back'), leads('up')];
  /** Where nobody can move: the end of the ladder, or steps that need a block of their own. */
  const noWay = (way: 'up' | 'back') => {
    const end = (way === 'up' ? drill.steps.at(-1) : drill.steps[0])?.id;
    if (!steps.every(({ step }) => step.id === end)) return 'none counted the same way';
    return way === 'up' ? 'this is the top step' : 'this is the first step';
  };
  return (
    <div className="space-y-3">
      <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
        <button
          type="button"
          disabled={!back}
          onClick={() => move('back')}
          className={buttonClass('plain', 'min-h-20 flex-col gap-0 text-lg')}
        >
          <span className="flex items-center gap-1">
            <ArrowDownRight aria-hidden /> One step back
          </span>
          <span className="text-sm font-normal">{back ? back.title : noWay('back')}</span>
        </button>
        <button
          type="button"
          aria-pressed={conditions.breathless}
          onClick={() => say({ playerId: whom, kind: 'breathless', value: conditions.breathless ? 0 : 1 })}
          className={buttonClass(conditions.breathless ? 'now' : 'plain', 'min-h-20 flex-col gap-0 text-lg')}
        >
          <span className="flex items-center gap-1">
            <Wind aria-hidden /> Breathless
          </span>
          <span className="text-sm font-normal">
            {conditions.breathless ? 'shorter dose is on' : 'a shorter dose of the same'}
          </span>
        </button>
        <button
          type="button"
          disabled={!up}
          onClick={() => move('up')}
          className={buttonClass('plain', 'min-h-20 flex-col gap-0 text-lg')}
        >
          <span className="flex items-center gap-1">
            <ArrowUpRight aria-hidden /> One step up
          </span>
          <span className="text-sm font-normal">{up ? up.title : noWay('up')}</span>
        </button>
      </div>
      <ChipRow label="Who picks">
        <Chip on={!picks} onPress={() => setPicks(false)}>
          I pick the step
        </Chip>
        <Chip on={picks} onPress={() => setPicks(true)}>
          The player picks
        </Chip>
        {conditions.picked && <span className="text-soft">now on a step of their own choice</span>}
      </ChipRow>
      {easings.length > 0 && (
        <ChipRow label="Easier">
          {easings.map((id) => (
            <Chip key={id} on={acting.includes(id)} title={findChange(id)?.text} onPress={() => toggle(id)}>
              {id}
            </Chip>
          ))}
        </ChipRow>
      )}
      {spices.length > 0 && (
        <ChipRow label="Harder">
          {spices.map((id) => (
            <Chip key={id} on={acting.includes(id)} title={findChange(id)?.text} onPress={() => toggle(id)}>
              {id}
            </Chip>
          ))}
        </ChipRow>
      )}
      {drill.sports.includes('tennis') && drill.kit.some(({ item }) => item.includes('ball')) && (
        <ChipRow label="Ball">
          <Chip
            on={conditions.ball === null}
            onPress={() => say({ playerId: whom, kind: 'ball', text: null })}
          >
            as planned
          </Chip>
          {stages.map((stage) => (
            <Chip
              key={stage}
              on={conditions.ball === stage}
              onPress={() => say({ playerId: whom, kind: 'ball', text: stage, value: softer(stage) })}
            >
              {stage}
            </Chip>
          ))}
        </ChipRow>
      )}
      {drill.feed.how !== 'none' && drill.feed.how !== 'self' && (
        <ChipRow label="Feed">
          {predictabilities.map((feed) => (
            <Chip
              key={feed}
              on={(conditions.feed ?? drill.feed.predictability) === feed}
              onPress={() => say({ playerId: whom, kind: 'feed', text: feed })}
            >
              {feed}
            </Chip>
          ))}
        </ChipRow>
      )}
      <p className="text-sm text-soft">
        {conditions === asPlanned
          ? 'As planned. What you press holds from the next attempt on; Undo takes it back.'
          : 'What you press holds from the next attempt on; Undo takes it back.'}
      </p>
    </div>
  );
}
