'use client';

import { useState } from 'react';
import type { TouchEvent } from '@/core/counting/event';
import { liveEvents } from '@/core/counting/live';
import type { Heard } from '@/core/sound/hearing';
import { hearingOf } from '@/session/court/hearing';
import { heardMarks, keptAs } from '@/court/heard-marks';
import { triesOnCourt } from '@/court/tries-on-court';
import { seedOf } from '@/core/base/fingerprint';
import { earOrigin } from '@/core/counting/origin';
import { tally, type Tally } from '@/core/counting/tally';
import { EarResult } from '@/features/sound/ear-result';
import { heardInWords } from '@/features/sound/heard-words';
import { TeachAndListen } from '@/features/sound/teach-and-listen';
import { useEar } from '@/features/sound/use-ear';
import { useListening, type HeardResult } from '@/features/sound/use-listening';
import { Dialog } from '@/ui/dialog';
import { ErrorNote } from '@/ui/error-note';
import { groupOf, roundsOf, visitsOf } from '@/core/plan/circuit/rotation';
import { overVisits } from '@/session/court/court-clock';
import type { RunBlock } from '@/server/views/session-run';
import { plainSettings } from '../court-settings';
import type { CourtPlayer } from '../court-view';
import { useBlock, type BlockRun } from '../use-block';
import type { Desk, Listened } from './desk';
import { CountPad } from '../count-pad';
import { courtEar } from './ear-sources';
import { EarStrip } from './ear-strip';
import { useOwnSignals } from './use-own-signals';

interface Props extends Desk, Listened {
  readonly onClose: () => void;
}

/** A finger misses or doubles about so many taps of a hundred. Ours. */
const fingerSure = 0.97;

/** What is on sounds its signals itself. */
const quiet = { ...plainSettings, sound: false };

/** Counting one player by ear; nothing where that player or that block is not here any more. */
export function EarDesk({ blockId, playerId, ...rest }: Props) {
  const { court } = rest;
  const { view } = court;
  const block = view.blocks.find(({ id }) => id === blockId);
  const player = view.players.find(({ id }) => id === playerId);
  const run = useBlock(view, block, court, quiet);
  return run && player ? <OpenDesk run={run} player={player} {...rest} /> : null;
}

type OpenProps = Omit<Props, keyof Listened> & { readonly run: BlockRun; readonly player: CourtPlayer };

/** The microphone, what it is taught, what it hears, and what becomes of it. */
function OpenDesk({ run, lead, player, numberOf, court, sounds, onClose }: OpenProps) {
  const { log, clock } = court;
  const { block } = run;
  // What it listens to is what was on when it began, whatever the court turns to meanwhile.
  const [at] = useState(() => ({ blockId: block.id, ...run.playerNow(player.id).work }));
  const nowMs = () => clock.now();
  const ear = useEar(courtEar, nowMs, seedOf(block.id));
  const ended = run.clock.state === 'ended' || !isOn(block, lead, player.id);
  const listening = useListening(ear, nowMs, () => hearingOf(at.drill, at.step)!, ended);
  const { result } = listening;
  const listens = listening.fromMs !== null;
  const [waits, setWaits] = useState(false);
  const [correcting, setCorrecting] = useState(false);
  const { name } = player;

  useOwnSignals(listens && sounds && lead.clock.state === 'running', lead, ear, nowMs);

  const taps = (from: HeardResult): TouchEvent[] =>
    liveEvents(log.eventsOf(at.blockId, player.id))
      .filter(
        ({ kind, playerId, origin, atMs }) =>
          (kind === 'touch' || kind === 'drop') && playerId === player.id && !origin && atMs >= from.fromMs,
      )
      .filter(({ id }) => log.isMine(id));
  const marksOf = ({ heard, startMs }: HeardResult) =>
    heardMarks(heard, {
      blockId: at.blockId,
      playerId: player.id,
      step: at.step,
      startMs,
      tryAt: triesOnCourt({
        measure: at.step.measure,
        dose: block.circuit ? overVisits(at.dose, block.circuit) : at.dose,
        // The clock as it is now: it may have been made longer meanwhile.
        phases: run.phasesFor(player.id),
        clockEvents: log.events(at.blockId, null),
        ...soFar(tally(log.eventsOf(at.blockId, player.id), at.step.measure)),
      }),
    });
  const own = { blockId: at.blockId, playerId: player.id };
  /** What is kept takes the place of what was tapped meanwhile: the log keeps both, one of them counts. */
  const instead = async (from: HeardResult, origin: string | null) => {
    for (const { id } of taps(from)) await log.log({ ...own, kind: 'undo', ref: id, origin });
  };
  const keep = async (from: HeardResult, said: number | null) => {
    const { marks } = marksOf(from);
    await instead(from, earOrigin);
    for (const mark of marks) await log.log(mark);
    if (said !== null && from.heard.by === 'claps')
      await log.log({
        ...own,
        kind: 'note',
        text: `Said ${said}, clapped ${from.heard.tosses.map(({ claps }) => claps.length).join(', ')} (by ear)`,
      });
  };
  const correct = async (from: HeardResult, value: number) => {
    await instead(from, null);
    const { attempts } = tally(log.eventsOf(at.blockId, player.id), at.step.measure);
    await log.log({ ...own, kind: 'result', value, attempt: attempts.length + 1 });
  };
  const done = () => {
    setWaits(false);
    setCorrecting(false);
    if (ended || ear.state === 'closed') onClose();
  };

  if (listens)
    return (
      <EarStrip ear={ear} name={name} step={at.step} digit={numberOf(player.id)} onStop={listening.stop} />
    );
  const kept = result ? marksOf(result) : nothingKept;
  const tapped = result ? taps(result).filter(({ kind }) => kind === 'touch').length : 0;
  return (
    <Dialog
      open
      onOpenChange={(open) => {
        // What was heard is not lost by a slip of the finger.
        if (!open && result && !result.truth) setWaits(true);
        else if (!open) onClose();
      }}
      title={`By ear: ${name}`}
      intro={`${at.drill.title}, ${at.step.title}. Heard and counted on this device; no sound is kept or sent.`}
      startsAtField={false}
    >
      {waits && <ErrorNote>Keep it, correct it or drop it: closed, it would be lost.</ErrorNote>}
      {ear.trouble && <ErrorNote>{ear.trouble}</ErrorNote>}
      {ended && !result && <ErrorNote>{name}’s time here is over: there is nothing to listen to.</ErrorNote>}
      {result ? (
        <EarResult
          name={name}
          heard={result.heard}
          step={at.step}
          truth={result.truth}
          conditions={result.conditions}
          outside={kept.outside}
          keptAs={keptAs(kept.marks, at.step.measure)}
          tapped={tapped}
          tapsWin={evidenceOf(result.heard) < fingerSure * tapped}
          onKeep={(said) => {
            if (!listening.settle()) return;
            void keep(result, said);
            done();
          }}
          onCorrect={() => setCorrecting(true)}
          onDrop={() => listening.settle() && done()}
        />
      ) : (
        <TeachAndListen
          ear={ear}
          name={name}
          hearing={listening.hearing}
          onHearing={listening.setHearing}
          onListen={listening.listen}
          practice
        />
      )}
      <CountPad
        title={correcting && result ? `${name}: what it really was` : null}
        intro={`Heard: ${result ? heardInWords(result.heard, at.step) : ''}. What you type is kept instead.`}
        measure={at.step.measure}
        onClose={() => setCorrecting(false)}
        onKeep={(value) => {
          if (!result || !listening.settle()) return;
          void correct(result, value);
          done();
        }}
      />
    </Dialog>
  );
}

/** Whether a block goes on for a player: at a circuit, while their group is at that station. */
function isOn({ id, circuit }: RunBlock, lead: BlockRun, playerId: string): boolean {
  if (!lead.mates.includes(id)) return false;
  if (!circuit) return true;
  const { phase, done } = lead.position;
  const { kind, round } = phase;
  const visits = visitsOf(roundsOf(circuit), circuit.at, groupOf(circuit, playerId));
  return !done && kind !== 'rest' && visits.includes(round - 1);
}

const nothingKept = { marks: [], outside: 0 };

const soFar = ({ touches, drops, attempts }: Tally) => ({
  tries: touches + drops,
  attempts: attempts.length,
});

/** How much what was heard weighs: touches, each as sure as it is. */
function evidenceOf(heard: Heard): number {
  if (heard.by === 'rows')
    return heard.rows.rows.reduce(
      (sum, { touches }) => sum + touches.reduce((all, { sure }) => all + sure, 0),
      0,
    );
  return heard.by === 'claps' ? heard.tosses.length : heard.catches.reduce((sum, { sure }) => sum + sure, 0);
}
