'use client';

import { DoorOpen, Film, Ruler } from 'lucide-react';
import { Link } from '@/ui/link';
import { useState } from 'react';
import { callsOf, feedsOf, sequenceOf } from '@/session/base/sound';
import { seedOf } from '@/core/base/fingerprint';
import type { Phase } from '@/core/court/phases';
import type { SessionRunView } from '@/server/views/session-run';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { usePart } from '@/ui/use-part';
import { usePageBook } from '@/ui/house';
import { WhoIsHere } from '@/features/plan/sessions/attendance';
import { Chip, ChipRow } from './chip';
import type { CourtSettings } from './court-settings';
import { HelperLinks } from './helper-links';
import { NumbersSheet } from './numbers-sheet';
import { PracticeTrack } from './practice-track';
import type { RunLog } from '@/court/run-log';
import { coachKeys, ScreenSettings } from './screen-settings';
import type { BlockRun } from './use-block';

export interface MorePanelProps {
  readonly view: SessionRunView;
  readonly run: BlockRun;
  readonly log: RunLog;
  readonly settings: CourtSettings;
  readonly onSettings: (change: Partial<CourtSettings>) => void;
  readonly awake: boolean | null;
}

const tempoStep = 5;

interface DialogProps extends MorePanelProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

export function MoreDialog({ open, onOpenChange, ...panel }: DialogProps) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="More" startsAtField={false}>
      <MorePanel {...panel} />
    </Dialog>
  );
}

/** Fetched when the sheet is first opened. */
const loadPlan = () => import('@/features/plan/floor-plan/small-plan');

/** What is set now and then: numbers, sound, screen, helpers, and the way out. */
function MorePanel({ view, run, log, settings, onSettings, awake }: MorePanelProps) {
  const players = view.players.filter((player) =>
    run.block.players.some((one) => one.playerId === player.id),
  );
  const book = usePageBook(view.session.coach);
  const [floor, setFloor] = useState(false);
  const plan = usePart(loadPlan);
  const stations = view.blocks.flatMap(({ id, drillId, circuit }, index) =>
    circuit ? [{ blockId: id, name: `station ${index + 1}. ${book.drill(drillId)?.title ?? ''}` }] : [],
  );
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap gap-2">
        {!run.block.circuit && <NumbersSheet run={run} players={players} log={log} />}
        <WhoIsHere sessionId={view.session.id} players={view.listed} said={view.attendance} />
        <button
          type="button"
          aria-expanded={floor}
          onClick={() => setFloor(!floor)}
          className={buttonClass('plain', 'min-h-12')}
        >
          <Ruler aria-hidden size={20} /> Set-up
        </button>
        {/* Beside the court, which goes on counting. */}
        <a
          href={`/sessions/${view.session.id}/clip?block=${run.block.id}`}
          target="_blank"
          rel="noreferrer"
          className={buttonClass('plain', 'min-h-12')}
        >
          <Film aria-hidden size={20} /> Clip <span className="sr-only">in a new tab</span>
        </a>
        <Link href={`/sessions/${view.session.id}/plan`} className={buttonClass('plain', 'min-h-12')}>
          <DoorOpen aria-hidden size={20} /> Leave the court
        </Link>
      </div>
      {floor && (
        <section aria-label="Set-up">
          {plan ? (
            <plan.SmallPlan sessionId={view.session.id} blockId={run.block.id} />
          ) : (
            <p role="status">The floor is being fetched…</p>
          )}
          {/* Beside the court, which goes on counting. */}
          <a
            href={`/sessions/${view.session.id}/set-out?block=${run.block.id}`}
            target="_blank"
            rel="noreferrer"
            className="hit font-semibold underline underline-offset-4"
          >
            All of the set-out <span className="sr-only">in a new tab</span>
          </a>
        </section>
      )}
      <SoundSettings run={run} settings={settings} onSettings={onSettings} />
      <ScreenSettings settings={settings} onSettings={onSettings} awake={awake} keys={coachKeys} />
      <label className="flex items-center gap-2 font-semibold">
        <span className="w-20 text-base font-normal text-soft">Who counts</span>
        <input
          value={settings.name}
          maxLength={60}
          placeholder={view.session.coach || 'The coach'}
          aria-label="Who counts on this device"
          onChange={(event) => onSettings({ name: event.target.value })}
          className="min-h-12 w-64 rounded-md border-2 border-edge bg-sheet px-3"
        />
      </label>
      <HelperLinks sessionId={view.session.id} players={view.players} stations={stations} />
    </div>
  );
}

/** A block’s own rounds, as a track has them. */
function timesOf(phases: readonly Phase[]) {
  const works = phases.filter(({ kind }) => kind === 'work');
  return {
    rounds: works.length,
    workS: Math.round(works[0]?.seconds ?? 30),
    restS: Math.round(phases.find(({ kind }) => kind === 'rest')?.seconds ?? 0),
  };
}

function SoundSettings({
  run,
  settings,
  onSettings,
}: Pick<MorePanelProps, 'run' | 'settings' | 'onSettings'>) {
  const { step, tempoPerMin, block, drill } = run;
  // What one station is called or fed is not for the whole circuit.
  const calls = block.circuit ? null : callsOf(step);
  const feeds = block.circuit ? null : feedsOf(block.setting);
  const sequence = block.circuit ? null : sequenceOf(step, block.setting);
  const hears = settings.beat || calls !== null || sequence !== null;
  const wish = {
    title: `${drill.title}: ${step.title}`,
    name: `${drill.id}-${step.id}`,
    seed: seedOf(block.id),
    accentEvery: settings.accentEvery,
    ...(tempoPerMin !== null && (settings.beat || !calls) && { tempoPerMin }),
    ...(sequence && {
      ...timesOf(run.phases),
      sequence: {
        sport: sequence.sport,
        lines: sequence.lines,
        rounds: sequence.rounds,
        way: sequence.way,
      },
    }),
    ...(calls &&
      !sequence && {
        set: calls.set,
        everyS: calls.everyS,
        moveS: calls.moveS,
        pace: calls.pace,
        leadS: calls.leadS,
      }),
  };
  return (
    <>
      <ChipRow label="Sound">
        <Chip on={settings.sound} onPress={() => onSettings({ sound: !settings.sound })}>
          Signals
        </Chip>
        {tempoPerMin !== null && (
          <Chip on={settings.beat} onPress={() => onSettings({ beat: !settings.beat })}>
            Beat {tempoPerMin} a minute
          </Chip>
        )}
        {feeds && !calls && (
          <Chip on={settings.calls} onPress={() => onSettings({ calls: !settings.calls })}>
            Feeder: tone and “ready”
          </Chip>
        )}
        {sequence && (
          <Chip on={settings.calls} onPress={() => onSettings({ calls: !settings.calls })}>
            Calls: every stroke
          </Chip>
        )}
        {calls && !sequence && (
          <Chip on={settings.calls} onPress={() => onSettings({ calls: !settings.calls })}>
            Calls: {calls.set}
            {feeds && ', with the feeder'}
          </Chip>
        )}
        <Chip on={settings.spoken} onPress={() => onSettings({ spoken: !settings.spoken })}>
          Spoken words
        </Chip>
      </ChipRow>
      {tempoPerMin !== null && (
        <ChipRow label="Beat">
          <Chip
            disabled={settings.tempoPercent <= 50}
            onPress={() => onSettings({ tempoPercent: settings.tempoPercent - tempoStep })}
          >
            Slower
          </Chip>
          <Chip
            disabled={settings.tempoPercent >= 150}
            onPress={() => onSettings({ tempoPercent: settings.tempoPercent + tempoStep })}
          >
            Faster
          </Chip>
          {[0, 2, 4].map((every) => (
            <Chip
              key={every}
              on={settings.accentEvery === every}
              onPress={() => onSettings({ accentEvery: every })}
            >
              {every === 0 ? 'no accents' : `accent every ${every}`}
            </Chip>
          ))}
        </ChipRow>
      )}
      {(hears || tempoPerMin !== null) && (
        <ChipRow label="To take">
          <PracticeTrack wish={wish} />
        </ChipRow>
      )}
    </>
  );
}
