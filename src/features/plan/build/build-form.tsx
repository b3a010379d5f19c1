'use client';

import { Lock, RefreshCw, Square, X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { ulid } from 'ulid';
import type { Book } from '@/drills';
import type { SessionPlanView } from '@/server/views/session-plan';
import type { Evaluation } from '@/session/plan/evaluate';
import { evenDials, type Dials } from '@/session/plan/build/options';
import type { BuildJob } from '@/session/plan/build/job';
import { matesOf } from '@/core/plan/circuit/circuit';
import type { PlanBlock } from '@/session/base/plan';
import { retestOf } from '@/session/skill/retest';
import { Button } from '@/ui/button';
import { cx } from '@/ui/class-names';
import { ErrorNote } from '@/ui/error-note';
import { useHouse } from '@/ui/house';
import { carefulPlayers } from '../evaluation-of';
import type { PlanDoc } from '../plan-store';
import { ProposalCard } from './proposal-card';
import { useBuild } from './use-build';
import { proofWords } from './words';
import { Said } from '@/ui/units';

/** Who comes, and where it is: what is different from the plan when somebody is away, or it rains. */
export type Day = Pick<PlanDoc, 'playerIds' | 'placeId'>;

export interface BuildFormProps {
  readonly view: SessionPlanView;
  readonly doc: PlanDoc;
  readonly book: Book;
  /** A plan looked at for other children, or at another place, than it has now. */
  readonly evaluate: (blocks: readonly PlanBlock[], day: Day) => Evaluation;
  /** Takes the blocks of a proposal into the plan, in place of those that may go, with who comes and where. */
  readonly onTake: (blocks: readonly PlanBlock[], day: Day) => void;
  readonly onAdd: (block: PlanBlock) => void;
  readonly onDone: () => void;
}

const dialWords: readonly (readonly [keyof Dials, string])[] = [
  ['touches', 'More touches'],
  ['fresh', 'More of what is new'],
  ['calm', 'Calmer'],
];
const names = ['One way', 'Another way'];

/** The same blocks for a plan: those that are new get names of their own. */
const forPlan = (blocks: readonly PlanBlock[], kept: ReadonlySet<string>): PlanBlock[] =>
  blocks.map((block) => (kept.has(block.id) ? block : { ...block, id: ulid() }));

/** Asks for a session, shows two ways on the tape, and takes one or parts of one. */
export function BuildForm({ view, doc, book, evaluate, onTake, onAdd, onDone }: BuildFormProps) {
  const { contents } = useHouse();
  const { state, run, stop } = useBuild();
  const [must, setMust] = useState<readonly string[]>([]);
  const [banned, setBanned] = useState<readonly string[]>([]);
  const [dials, setDials] = useState<Dials>(evenDials);
  const [kept, setKept] = useState<readonly PlanBlock[]>(() =>
    doc.blocks.filter(({ id }) => view.held.includes(id)),
  );
  const [day, setDay] = useState<Day>({ playerIds: doc.playerIds, placeId: doc.placeId });
  const { playerIds, placeId } = day;
  const players = useMemo(() => carefulPlayers(view, playerIds), [view, playerIds]);
  const { bookedMin, startTime, airC, coach } = doc;

  const job = useMemo<Omit<BuildJob, 'facts'>>(() => {
    const last = view.last && retestOf(book, view.last.blocks);
    return {
      contents,
      coach,
      players,
      records: view.records,
      bookedMin,
      startTime,
      airC,
      seed: 1,
      place: view.grounds.find((one) => one.id === placeId) ?? null,
      kit: view.kit,
      standing: view.places.map(([playerId, drillId, stepId]) => [playerId, drillId, stepId] as const),
      wish: {
        must,
        banned,
        dials,
        kept,
        begun: view.held,
        retest: kept.some(({ retest }) => retest) ? null : (last ?? null),
      },
    };
  }, [view, book, contents, coach, players, bookedMin, startTime, airC, placeId, must, banned, dials, kept]);
  // Every change is built at once: what was there stays until something better is.
  useEffect(() => {
    if (players.length > 0) void run(job);
  }, [job, players, run]);

  const keptIds = new Set(kept.map(({ id }) => id));
  const proposals = useMemo(() => ('proposals' in state ? state.proposals : []), [state]);
  const evaluations = useMemo(
    () => proposals.map(({ blocks }) => evaluate(blocks, day)),
    [proposals, evaluate, day],
  );
  const titleOf = (drillId: string) => book.drill(drillId)?.title ?? '';
  const planned = doc.blocks.filter(({ id }) => !view.held.includes(id));
  const going = state.kind === 'building';
  const stopped = state.kind === 'built' && state.stopped;

  const known = (id: string) => doc.blocks.some((block) => block.id === id);
  const keep = (block: PlanBlock) => {
    // A circuit is kept or let go with all of its stations.
    const mates = known(block.id) ? matesOf(doc.blocks, block.id) : [block];
    const ids = mates.map(({ id }) => id);
    setKept((before) =>
      before.some(({ id }) => id === block.id)
        ? before.filter(({ id }) => !ids.includes(id) || view.held.includes(id))
        : [...before, ...mates.map((one) => ({ ...one, id: known(one.id) ? one.id : ulid() }))],
    );
  };
  const ban = (drillId: string) => {
    setMust((before) => before.filter((one) => one !== drillId));
    setKept((before) => before.filter((one) => one.drillId !== drillId || view.held.includes(one.id)));
    setBanned((before) => [...new Set([...before, drillId])]);
  };
  const take = (blocks: readonly PlanBlock[]) => {
    const fresh = forPlan(blocks, keptIds);
    // What was held stays where it was: first.
    onTake(
      [
        ...doc.blocks.filter(({ id }) => view.held.includes(id)),
        ...fresh.filter(({ id }) => !view.held.includes(id)),
      ],
      day,
    );
    onDone();
  };

  if (doc.playerIds.every((id) => view.absent.includes(id)))
    return <ErrorNote>Nobody is coming yet: tick who comes, under “Who comes”, and build then.</ErrorNote>;
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <DrillChoice
          label="Has to be in"
          book={book}
          not={[...must, ...kept.map(({ drillId }) => drillId)]}
          onChoose={(drillId) => {
            setBanned(banned.filter((one) => one !== drillId));
            setMust([...must, drillId]);
          }}
        />
        <DrillChoice label="Not today" book={book} not={banned} onChoose={ban} />
        <fieldset className="flex flex-wrap gap-x-4">
          <legend className="sr-only">What should count more</legend>
          {dialWords.map(([dial, words]) => (
            <label key={dial} className="inline-flex min-h-11 items-center gap-2 font-semibold">
              <input
                type="checkbox"
                checked={dials[dial]}
                onChange={() => setDials({ ...dials, [dial]: !dials[dial] })}
                className="size-5 accent-[var(--now)]"
              />
              {words}
            </label>
          ))}
        </fieldset>
        <span className="ml-auto">
          {going ? (
            <Button onClick={stop}>
              <Square aria-hidden size={16} /> {proposals.length > 0 ? 'That will do' : 'Stop'}
            </Button>
          ) : (
            <Button onClick={() => void run(job)}>
              <RefreshCw aria-hidden size={16} /> Build again
            </Button>
          )}
        </span>
      </div>
      {view.held.length === 0 && <Otherwise view={view} doc={doc} day={day} onDay={setDay} />}
      {planned.length > 0 && (
        <fieldset className="flex flex-wrap items-center gap-2">
          <legend className="sr-only">Keep of what is planned</legend>
          <span className="text-sm text-soft">Planned now; press what has to stay:</span>
          {planned.map((block) => (
            <button
              key={block.id}
              type="button"
              aria-pressed={keptIds.has(block.id)}
              onClick={() => keep(block)}
              className={cx(
                'inline-flex min-h-9 touch:min-h-11 items-center gap-1 rounded-md border-2 px-2 text-sm font-semibold',
                keptIds.has(block.id) ? 'border-ink bg-chalk' : 'border-line bg-sheet hover:bg-chalk',
              )}
            >
              {keptIds.has(block.id) && <Lock aria-hidden size={14} />} {titleOf(block.drillId)}
            </button>
          ))}
        </fieldset>
      )}
      <div className="flex flex-wrap gap-2">
        {kept
          .filter(({ id }) => !planned.some((one) => one.id === id))
          .map((block) => (
            <Chosen
              key={block.id}
              text={`Kept: ${titleOf(block.drillId)}`}
              onRemove={view.held.includes(block.id) ? null : () => keep(block)}
            />
          ))}
        {must.map((drillId) => (
          <Chosen
            key={drillId}
            text={`In: ${titleOf(drillId)}`}
            onRemove={() => setMust(must.filter((one) => one !== drillId))}
          />
        ))}
        {banned.map((drillId) => (
          <Chosen
            key={drillId}
            text={`Not: ${titleOf(drillId)}`}
            onRemove={() => setBanned(banned.filter((one) => one !== drillId))}
          />
        ))}
      </div>
      {state.kind === 'failed' && <ErrorNote>{state.message}</ErrorNote>}
      {state.kind === 'nothing' && (
        <ErrorNote>
          <Said>{state.why}</Said>
        </ErrorNote>
      )}
      {going && proposals.length === 0 && <p role="status">Building…</p>}
      <div className="grid items-start gap-3 lg:grid-cols-2">
        {proposals.map((proposal, at) => (
          <ProposalCard
            key={names[at]}
            name={names[at]!}
            proof={proofWords(proposal, { first: at === 0, going, stopped })}
            proposal={proposal}
            evaluation={evaluations[at]!}
            book={book}
            bookedMin={bookedMin}
            kept={keptIds}
            onTake={() => take(proposal.blocks)}
            onAdd={(block) => onAdd(keptIds.has(block.id) ? block : { ...block, id: ulid() })}
            onKeep={keep}
            onBan={ban}
          />
        ))}
      </div>
    </div>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly book: Book;
  readonly not: readonly string[];
  readonly onChoose: (drillId: string) => void;
}

function DrillChoice({ label, book, not, onChoose }: ChoiceProps) {
  return (
    <label className="font-semibold">
      {label}{' '}
      <select
        value=""
        onChange={({ target }) => target.value !== '' && onChoose(target.value)}
        className="ml-1 min-h-11 max-w-44 rounded-md border-2 border-edge bg-sheet px-2 font-normal"
      >
        <option value="">choose a drill</option>
        {book.drills
          .filter(({ id }) => !not.includes(id))
          .map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
      </select>
    </label>
  );
}

function Chosen({ text, onRemove }: { readonly text: string; readonly onRemove: (() => void) | null }) {
  return (
    <span className="inline-flex min-h-11 items-center gap-1 rounded-md bg-chalk pl-3 text-sm font-semibold">
      {text}
      {onRemove ? (
        <button
          type="button"
          onClick={onRemove}
          aria-label={`Take off: ${text}`}
          className="inline-flex min-h-11 min-w-11 items-center justify-center rounded-md hover:bg-line"
        >
          <X aria-hidden size={16} />
        </button>
      ) : (
        <span className="pr-3" />
      )}
    </span>
  );
}

interface OtherwiseProps {
  readonly view: SessionPlanView;
  readonly doc: PlanDoc;
  readonly day: Day;
  readonly onDay: (day: Day) => void;
}

/** Somebody is away, or it rains: built for those who come, where there is a roof. The last one stays. */
function Otherwise({ view, doc, day, onDay }: OtherwiseProps) {
  const children = doc.playerIds.flatMap(
    (id) => view.squad.find((one) => one.id === id && !view.absent.includes(id)) ?? [],
  );
  const comes = new Set(day.playerIds);
  const toggle = (id: string) => {
    const playerIds = doc.playerIds.filter((one) => comes.has(one) !== (one === id));
    if (children.some((child) => playerIds.includes(child.id))) onDay({ ...day, playerIds });
  };
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
      {view.grounds.length > 0 && (
        <label className="inline-flex items-center gap-2 font-semibold">
          Where
          <select
            value={day.placeId ?? ''}
            onChange={(event) => onDay({ ...day, placeId: event.target.value || null })}
            className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
          >
            <option value="">no place said</option>
            {view.grounds.map(({ id, name, ceilingM }) => (
              <option key={id} value={id}>
                {name}
                {ceilingM === null ? ', in the open' : ', under a roof'}
              </option>
            ))}
          </select>
        </label>
      )}
      {children.length > 1 && (
        <fieldset className="flex flex-wrap items-center gap-x-3">
          <legend className="sr-only">Who comes</legend>
          {children.map(({ id, name }) => (
            <label key={id} className="inline-flex min-h-11 items-center gap-1.5">
              <input
                type="checkbox"
                checked={comes.has(id)}
                onChange={() => toggle(id)}
                className="size-5 accent-[var(--now)]"
              />
              {name}
            </label>
          ))}
        </fieldset>
      )}
    </div>
  );
}
