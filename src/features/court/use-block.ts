'use client';

import { useCallback, useMemo } from 'react';
import type { Book } from '@/drills';
import { circuitPhases, courtPhases, overVisits, stationPhases } from '@/session/court/court-clock';
import { limitsOnCourt, type LimitsUnder } from '@/session/court/limits';
import { goalsOf, type Goals } from '@/session/base/goals';
import { ageIn } from '@/session/base/held';
import { workOnCourt, type CourtWork } from '@/session/court/on-court';
import { strokesInRound } from '@/core/calculators/setting';
import { callsOf, feedsOf, sequenceOf, usualTempo } from '@/session/base/sound';
import type { Drill, Step } from '@/drills/base/types';
import { beatLimits } from '@/core/court/calls/beat';
import { callAt } from '@/core/court/calls/call-at';
import type { Cue } from '@/core/court/calls/timeline';
import { seedOf } from '@/core/base/fingerprint';
import { asPlanned, conditionsNow, type Conditions } from '@/core/counting/conditions';
import { ruleOf, type CountKind, type EventKind, type TouchEvent } from '@/core/counting/event';
import { matesOf } from '@/core/plan/circuit/circuit';
import { groupOf } from '@/core/plan/circuit/rotation';
import { refusalOf, triesInAll, triesSoFar } from '@/core/counting/limits';
import { tally } from '@/core/counting/tally';
import { blockClock, elapsedS, type BlockClock } from '@/core/court/block-clock';
import { courtChanges, extended } from '@/core/court/court-changes';
import { lapTime } from '@/core/court/lap-time';
import { roundsOf } from '@/core/dose/facts';
import { ownStretches, positionAt, type Phase, type Position } from '@/core/court/phases';
import { isBetweenLaps, roundNow, routineAt } from '@/core/court/round';
import { lateTapS } from '@/core/court/late-tap';
import { stretchesARound, type Dose } from '@/core/dose/dose';
import { partInText } from '@/core/counting/weakest-part';
import type { RunBlock, RunPlayer } from '@/server/views/session-run';
import { usePart } from '@/ui/use-part';
import { usePageBook } from '@/ui/house';
import type { CourtSettings } from './court-settings';
import type { CourtView } from './court-view';
import type { NewEvent, RunLog } from '@/court/run-log';
import { useNow, type Court } from './use-court';
import { useCues } from './use-cues';

/** What one player does now, and what they aim at. */
export interface PlayerNow {
  readonly work: CourtWork;
  readonly conditions: Conditions;
  readonly goals: Goals;
  readonly bestEver: number | null;
  /** What its attempts can be. */
  readonly limitsUnder: LimitsUnder;
  /** Marks its dose has room for; Infinity where the clock or a drop ends it. */
  readonly inAll: number;
}

export interface BlockRun {
  readonly block: RunBlock;
  /** The blocks that go by one clock: the stations of its circuit, or only itself. */
  readonly mates: readonly string[];
  readonly drill: Drill;
  /** The step of the block, and its dose as it is run. */
  readonly shared: CourtWork;
  readonly step: Step;
  readonly playerNow: (playerId: string) => PlayerNow;
  readonly clock: BlockClock;
  readonly phases: readonly Phase[];
  readonly position: Position;
  /** Seconds its clock has run. */
  readonly passedS: number;
  /** The clock as one player has it: of a circuit only their own visits are work. */
  readonly phasesFor: (playerId: string) => readonly Phase[];
  /** Rounds of one turn. */
  readonly rounds: number;
  /** Everything that sounds, and the call that stands now. */
  readonly cues: readonly Cue[];
  readonly call: Cue['call'];
  readonly tempoPerMin: number | null;
  /** True where the block is called, by its step or by a sequence. */
  readonly isCalled: boolean;
  /** Strokes of the sequence that is called in this round; null where none is. */
  readonly pass: number | null;
  readonly lastMark: TouchEvent | null;
  /** Logs a mark; says why when it counts nothing. */
  readonly mark: (playerId: string, kind: CountKind, value?: number, lateMs?: number) => string | null;
  /** Logs anything else about this block. */
  readonly say: (fresh: Omit<NewEvent, 'blockId'>) => void;
  readonly undo: () => void;
  readonly toggleClock: () => void;
  /** Logs that the block has ended, or is paused to go back to an earlier one. */
  readonly leave: (how: 'end' | 'pause') => void;
}

/** One part of a lap, to the ten thousandth: the tally rounds to whole parts. */
const shareOfLap = (parts: number): number => Math.round(10_000 / parts) / 10_000;

/** Fetched once the court can count, and kept for a reload without the server. */
export const loadSound = () => import('./court-sound');

/** For what was heard or read from a clip, which is taken back as it was kept: fetched when it is, kept with the ear. */
const loadKept = () => import('@/court/kept-together');

/** A call can be answered for so long, or until the next one, seconds: ours. */
const answerS = 6;

/** Why a tap in a time box counts nothing. */
function notCounted(state: BlockClock['state'], { phase, done }: Position, helper: boolean): string {
  if (state === 'ready')
    return helper
      ? 'Not counted: the coach has not started this block yet.'
      : 'Not counted: start the block first.';
  if (state === 'ended' || done) return 'Not counted: the time is over. A count can still be typed.';
  return phase.kind === 'rest'
    ? 'Not counted: it is rest now.'
    : 'Not counted: the block is being counted in.';
}

/** The turn a player has where stations hold fewer than the group, from 1: those who are there, in their order. */
export function turnOf(
  players: readonly { readonly id: string }[],
  block: RunBlock,
  playerId: string,
): number {
  const there = players.filter(({ id }) => block.players.some((one) => one.playerId === id));
  return Math.floor(there.findIndex(({ id }) => id === playerId) / block.atOnce) + 1;
}

/** A dose as often as it is done in a block: at every visit of a circuit. */
const overAllVisits = ({ circuit }: RunBlock, dose: Dose): Dose =>
  circuit ? overVisits(dose, circuit) : dose;

/** What a player does in a block now. */
function nowOf(
  view: CourtView,
  block: RunBlock,
  log: RunLog,
  book: Book,
  share: number,
  playerId: string,
): PlayerNow {
  const conditions = conditionsNow(log.eventsOf(block.id, playerId));
  const found = view.players.find((one) => one.id === playerId) ?? { id: playerId, age: 10 };
  // Counts of long ago are put right under the marks of their day.
  const player = { id: found.id, age: ageIn(block, found) };
  const own: RunPlayer | undefined = block.players.find((one) => one.playerId === playerId);
  const done = workOnCourt(book, block, player, conditions, share)!;
  const planned = workOnCourt(book, block, player, asPlanned)!;
  const moved = done.step.id !== planned.step.id;
  return {
    work: done,
    conditions,
    // What was decided holds for the step it was decided on.
    goals: goalsOf(done, player.age, moved ? null : own?.target),
    limitsUnder: limitsOnCourt(planned, player.age),
    inAll: triesInAll(overAllVisits(block, done.dose)),
    bestEver: (moved ? own?.bestOn?.[done.step.id] : own?.bestEver) ?? null,
  };
}

/** Works out what players do, again only when something of their log has changed: tiles are drawn many times a second. */
function playersNow(
  view: CourtView,
  block: RunBlock,
  log: RunLog,
  book: Book,
  share: number,
): BlockRun['playerNow'] {
  const known = new Map<string, { events: readonly TouchEvent[]; now: PlayerNow }>();
  return (playerId) => {
    const events = log.eventsOf(block.id, playerId);
    const before = known.get(playerId);
    if (before?.events === events) return before.now;
    const now = nowOf(view, block, log, book, share, playerId);
    known.set(playerId, { events, now });
    return now;
  };
}

/** What is said of a block's time is said of every station of its circuit: they go by one clock. */
const isForAllStations = ({ playerId, kind }: Pick<TouchEvent, 'playerId' | 'kind'>): boolean =>
  playerId === null && ruleOf(kind).forAllStations;

/** What is logged for one block, for all that go by its clock. */
export function forMates(mates: readonly string[], fresh: NewEvent): NewEvent[] {
  return (isForAllStations(fresh) ? mates : [fresh.blockId]).map((blockId) => ({ ...fresh, blockId }));
}

/** One block on court: its clock from the log, and what can be logged. Null when there is no such block. */
export function useBlock(
  view: CourtView,
  block: RunBlock | undefined,
  { log, clock: steady }: Court,
  settings: CourtSettings,
): BlockRun | null {
  const book = usePageBook(view.session.coach);
  const blockEvents = log.events(block?.id ?? '', null);
  const clock = useMemo(() => blockClock(blockEvents), [blockEvents]);
  const changes = useMemo(() => courtChanges(blockEvents), [blockEvents]);
  const running = clock.state === 'running';
  const now = useNow(steady, running);

  const shared = useMemo(() => {
    if (!block) return undefined;
    // Everybody shares the clock: what was adjusted for all of them shapes it, what is one player's own does not.
    const conditions = conditionsNow(blockEvents);
    return workOnCourt(book, block, { id: '', age: 10 }, { ...conditions, stepId: null }, changes.share);
  }, [book, block, blockEvents, changes.share]);

  const phases = useMemo(() => {
    if (!block || !shared) return [];
    const { circuit } = block;
    const planned = circuit
      ? circuitPhases(circuit, changes.share)
      : courtPhases(shared.dose, block, changes.share);
    return extended(planned, changes.extraS);
  }, [block, shared, changes]);
  const mates = useMemo(
    () => (block ? matesOf(view.blocks, block.id).map(({ id }) => id) : []),
    [view.blocks, block],
  );

  const step = shared?.step;
  const setting = block?.setting ?? null;
  const tempoPerMin = useMemo(() => {
    // In a circuit nobody’s beat or calls are everybody’s: its signals are all there is to hear.
    const usual = step && !block?.circuit ? usualTempo(step, setting) : null;
    if (usual === null) return null;
    const { min, max } = beatLimits;
    return Math.min(max, Math.max(min, Math.round((usual * settings.tempoPercent) / 100)));
  }, [block, step, setting, settings.tempoPercent]);
  const sequence = block && step && !block.circuit && settings.calls ? sequenceOf(step, setting) : null;
  const sound = usePart(loadSound);
  const cues = useMemo(() => {
    if (!block || !step || !sound) return [];
    return sound.soundTimeline(phases, {
      tempoPerMin: settings.beat ? tempoPerMin : null,
      accentEvery: settings.accentEvery,
      calls: settings.calls && !block.circuit && !sequence ? callsOf(step) : null,
      feeds: settings.calls && !block.circuit ? feedsOf(setting) : null,
      called: sequence ? sound.sequenceCues(phases, sequence) : [],
      seed: seedOf(block.id),
    });
  }, [
    block,
    step,
    setting,
    phases,
    tempoPerMin,
    sequence,
    sound,
    settings.beat,
    settings.calls,
    settings.accentEvery,
  ]);
  const heard = useMemo(() => {
    if (!settings.sound) return [];
    return settings.spoken ? cues : cues.map((cue) => ({ ...cue, clip: null }));
  }, [cues, settings.sound, settings.spoken]);
  useCues(running && !view.helper, heard, () => elapsedS(clock, steady.now()));

  const playerNow = useMemo(
    () => playersNow(view, block!, log, book, changes.share),
    [view, block, log, book, changes.share],
  );

  const phasesFor = useCallback(
    (playerId: string): readonly Phase[] => {
      const circuit = block?.circuit;
      if (!block || !circuit) return phases;
      const group = groupOf(circuit, playerId);
      const there = block.players.filter((one) => circuit.groups[group]?.includes(one.playerId));
      const turns = Math.max(1, Math.ceil(there.length / block.atOnce));
      return stationPhases(phases, circuit, group, playerNow(playerId).work.dose, turns);
    },
    [block, phases, playerNow],
  );

  const mark = useCallback(
    (playerId: string, kind: CountKind, value: number | null = null, lateMs = 0): string | null => {
      if (!block || !shared) return null;
      const { work, limitsUnder, conditions, inAll } = playerNow(playerId);
      const so = tally(log.eventsOf(block.id, playerId), work.step.measure);
      const { touches, drops, attempts } = so;
      const now = blockClock(log.events(block.id, null));
      // The mark belongs to the moment the finger came down: bounces and laps are timed by it.
      const atMs = Math.round(steady.now() - lateMs);
      const passedS = elapsedS(now, atMs);
      const phases = phasesFor(playerId);
      const counted = overAllVisits(block, work.dose);
      const soFar = {
        tries: triesSoFar(work.step.measure, so),
        inAll,
      };
      const surplus = refusalOf(limitsUnder(conditions), soFar, { kind, value });
      if (surplus !== null) return surplus;
      const attempt =
        kind === 'result' ? attempts.length + 1 : roundNow(counted, phases, passedS, touches + drops);
      const position = positionAt(phases, passedS);
      const refused = (at: Position) => notCounted(now.state, at, view.helper !== undefined);
      if (attempt === null) return refused(position);
      const { step, dose } = work;
      let own = kind === 'touch' && step.lapParts ? shareOfLap(step.lapParts.parts) : value;
      if (kind === 'lap' && value === null) {
        const stretches = ownStretches(phases, turnOf(view.players, block, playerId));
        const at = positionAt(stretches, passedS);
        const lastMs = attempts.at(-1)?.endedMs ?? null;
        const lapS = lapTime({ clock: log.events(block.id, null), phases: stretches, lastMs, atMs });
        if (typeof lapS === 'string' || isBetweenLaps(at, attempt, roundsOf(dose))) return refused(at);
        own = lapS;
      }
      const text =
        dose.kind === 'routine' && step.measure === 'weakest part'
          ? partInText(routineAt(dose, position.phase.round).part, stretchesARound(dose))
          : // An answer comes a moment after its call, and is noted with it.
            // A whole pass of a sequence answers no one call.
            kind === 'touch' && value !== null
            ? null
            : (callAt(cues, passedS, answerS + lateTapS)?.word ?? null);
      void log.log({ blockId: block.id, playerId, kind, attempt, value: own, text, atMs });
      return null;
    },
    [block, shared, playerNow, log, phasesFor, cues, steady, view.helper, view.players],
  );

  const say = useCallback(
    (fresh: Omit<NewEvent, 'blockId'>) => {
      if (!block) return;
      // One moment for all of them.
      const at = mates.length > 1 ? { atMs: Math.round(steady.now()) } : {};
      for (const one of forMates(mates, { blockId: block.id, ...fresh })) void log.log({ ...at, ...one });
    },
    [block, log, mates, steady],
  );

  const undo = useCallback(() => {
    for (const mark of lastOf(log, mates))
      if (mark.origin) void loadKept().then(({ undoKept }) => undoKept(log, mark));
      else void log.log({ blockId: mark.blockId, playerId: mark.playerId, kind: 'undo', ref: mark.id });
  }, [log, mates]);

  const toggleClock = useCallback(() => {
    if (!block) return;
    const { state } = blockClock(log.events(block.id, null));
    say({ playerId: null, kind: state === 'running' ? 'pause' : 'start' });
  }, [block, log, say]);

  const leave = useCallback(
    (how: 'end' | 'pause') => {
      if (!block) return;
      const { state } = blockClock(log.events(block.id, null));
      if (
        how === 'end'
          ? state !== 'ended' && !courtChanges(log.events(block.id, null)).out
          : state === 'running'
      )
        say({ playerId: null, kind: how as EventKind });
    },
    [block, log, say],
  );

  if (!block || !shared) return null;
  const passedS = elapsedS(clock, now || (clock.runningSinceMs ?? 0));
  const position = positionAt(phases, passedS);
  return {
    block,
    drill: shared.drill,
    shared,
    step: shared.step,
    playerNow,
    clock,
    phases,
    position,
    passedS,
    rounds: roundsOf(shared.dose),
    cues,
    call: running && position.phase.kind === 'work' && !position.done ? callAt(cues, passedS, answerS) : null,
    tempoPerMin,
    isCalled: settings.calls && !block.circuit && (sequence !== null || shared.step.calls !== undefined),
    pass: sequence && strokesInRound(sequence, position.phase.round),
    phasesFor,
    mates,
    lastMark: lastOf(log, mates)[0] ?? null,
    mark,
    say,
    undo,
    toggleClock,
    leave,
  };
}

/** The last mark of the blocks that go by one clock; of what was said of them all at once, every one. */
function lastOf(log: RunLog, mates: readonly string[]): TouchEvent[] {
  const lasts = mates.flatMap((id) => log.lastMark(id) ?? []).sort((a, b) => (a.id < b.id ? 1 : -1));
  const [newest] = lasts;
  if (!newest || !isForAllStations(newest)) return lasts.slice(0, 1);
  return lasts.filter((one) => one.playerId === null && one.kind === newest.kind && one.atMs === newest.atMs);
}
