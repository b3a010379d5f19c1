'use client';

import { Ellipsis } from 'lucide-react';
import { useCallback, useState } from 'react';
import type { CircuitRound } from '@/core/plan/circuit/rotation';
import { positionAt } from '@/core/court/phases';
import { clockTime } from '@/core/base/words';
import type { RunBlock } from '@/server/views/session-run';
import { buttonClass } from '@/ui/button';
import { groupLetter } from '@/ui/circuit-names';
import { cx } from '@/ui/class-names';
import { Dialog } from '@/ui/dialog';
import { Chip, ChipRow } from '../chip';
import { AdjustPanel } from '../adjust-panel';
import { CourtCounts } from '../court-counts';
import { plainSettings } from '../court-settings';
import type { EarOffer } from '../court-grid';
import type { CourtPlayer, CourtView } from '../court-view';
import { NumbersSheet } from '../numbers-sheet';
import { TypeCount } from '../type-count';
import { useBlock, type BlockRun } from '../use-block';
import type { Court } from '../use-court';
import { useMarks, type RunScreen } from '../use-run-screen';

interface Props {
  readonly court: Court<CourtView>;
  readonly block: RunBlock;
  readonly lead: BlockRun;
  readonly screen: RunScreen<CourtPlayer>;
  readonly ear: EarOffer | null;
  /** Its number in the plan; null where nothing else is shown. */
  readonly number: number | null;
  readonly rounds: readonly CircuitRound[];
  readonly nextOf: (group: number) => string;
  readonly onSay: (sentence: string) => void;
  /** False for a moment after the groups have changed. */
  readonly isSettled: () => boolean;
}

/** The circuit's signals are sounded once, for all stations. */
const quiet = { ...plainSettings, sound: false };

const justChanged = 'Not counted: the groups have just changed.';

/** One station: its drill, the group that is there, and the group's own clock where the dose has one. */
export function Station(props: Props) {
  const { court, block, lead, screen, ear, number, rounds, nextOf, onSay, isSettled } = props;
  const { log, view } = court;
  const run = useBlock(view, block, court, quiet);
  const [typing, setTyping] = useState<string | null>(null);
  const [more, setMore] = useState(false);
  const { mark: markNow, refusal, sayRefusal } = useMarks(run);
  const mark = useCallback<BlockRun['mark']>(
    (...press) => {
      // Meant for whoever stood here before.
      if (press[1] === 'result' || isSettled()) return markNow(...press);
      sayRefusal(justChanged);
      return justChanged;
    },
    [markNow, sayRefusal, isSettled],
  );
  const typeFor = useCallback((playerId: string) => setTyping(playerId), []);
  const part = block.circuit!;
  const group = rounds[lead.position.phase.round - 1]?.at[part.at] ?? null;
  if (!run) return null;
  const members = group === null ? [] : part.groups[group]!;
  const players = view.players.filter(
    ({ id }) => members.includes(id) && block.players.some((one) => one.playerId === id),
  );
  const phases = players[0] ? run.phasesFor(players[0].id) : run.phases;
  const position = positionAt(phases, lead.passedS);
  const turns = Math.max(1, Math.ceil(players.length / block.atOnce));
  const here: BlockRun = { ...run, block: { ...block, turns }, phases, position };
  const hearable = players.filter(({ id }) => {
    const { drill, step } = run.playerNow(id).work;
    return ear?.hears(drill, step) ?? false;
  });
  const walks = lead.position.phase.kind === 'rest';
  const title = run.drill.title;
  return (
    <section
      aria-label={`${title}${group === null ? '' : `, group ${groupLetter(group)}`}`}
      data-station={block.id}
      className="@container flex min-h-0 flex-col gap-1 rounded-md border-3 border-edge p-1"
    >
      <header className="flex items-center gap-2 px-1 leading-tight">
        <div className="min-w-0 flex-1">
          <h2 className="truncate text-base font-bold sm:text-lg" title={`${title}: ${run.step.title}`}>
            {number !== null && <span className="tabular text-soft">{number} </span>}
            {title}
          </h2>
          <p className="truncate text-sm text-soft">
            {group === null ? 'free in this round' : `${groupLetter(group)}, ${nextOf(group)}`}
            {part.helper && ` · ${part.helper}`}
          </p>
        </div>
        {!walks && group !== null && <OwnClock run={here} lead={lead} />}
        <button
          type="button"
          onClick={() => setMore(true)}
          aria-label={`${title}: more`}
          className={buttonClass('quiet', 'min-h-11 min-w-11 px-1')}
        >
          <Ellipsis aria-hidden size={22} />
        </button>
      </header>
      {players.length === 0 ? (
        <p className="flex flex-1 items-center justify-center text-soft">
          {group === null ? 'Nobody here now.' : 'Nobody of this group works here.'}
        </p>
      ) : (
        <CourtCounts
          run={here}
          screen={{ ...screen, working: players, shown: players, mark, refusal }}
          log={log}
          onType={typeFor}
          onSay={onSay}
          compact
        />
      )}
      <TypeCount
        run={here}
        // Also for who has walked on since: it was counted here.
        player={view.players.find((player) => player.id === typing)}
        onMark={mark}
        onClose={() => setTyping(null)}
      />
      <Dialog open={more} onOpenChange={setMore} title={`${title}: ${run.step.title}`} startsAtField={false}>
        <div className="space-y-4">
          <ChipRow label="Type a count">
            {players.map(({ id, name }) => (
              <Chip
                key={id}
                label={`Type a count for ${name}`}
                onPress={() => {
                  setMore(false);
                  setTyping(id);
                }}
              >
                {name}
              </Chip>
            ))}
          </ChipRow>
          {ear && hearable.length > 0 && (
            <ChipRow label="Count by ear">
              {hearable.map(({ id, name }) => (
                <Chip
                  key={id}
                  label={`${name}: count by ear`}
                  onPress={() => {
                    setMore(false);
                    ear.tile.open(id);
                  }}
                >
                  {name}
                </Chip>
              ))}
            </ChipRow>
          )}
          <NumbersSheet
            run={run}
            players={view.players.filter(({ id }) => block.players.some((one) => one.playerId === id))}
            log={log}
          />
          {!view.helper && <AdjustPanel run={here} players={players} log={log} />}
        </div>
      </Dialog>
    </section>
  );
}

/** A station's own stretches, where the dose cuts the visit into more than one. */
function OwnClock({ run: { phases, position }, lead }: { readonly run: BlockRun; readonly lead: BlockRun }) {
  const { phase, leftS } = position;
  const worked = phases.filter(({ kind }) => kind === 'work').length;
  if (worked < 2 || lead.clock.state !== 'running') return null;
  return (
    <span
      className={cx(
        'tabular rounded-sm px-2 text-lg font-bold',
        phase.kind === 'work' ? 'bg-now text-on-now' : 'bg-chalk',
      )}
    >
      {phase.kind === 'work' ? 'work' : 'rest'} {clockTime(Math.ceil(leftS - 1e-9))}
    </span>
  );
}
