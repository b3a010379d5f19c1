'use client';

import { Square, Volume2 } from 'lucide-react';
import { Link } from '@/ui/link';
import { useEffect, useMemo, useRef, useState } from 'react';
import { sequenceCues } from '@/core/court/calls/sequence-cues';
import { callAt } from '@/core/court/calls/call-at';
import { soundTimeline, type Cue } from '@/core/court/calls/timeline';
import { seedOf } from '@/core/base/fingerprint';
import { demandsOf } from '@/core/movement/sequence/feasible';
import { readLine, writeLine } from '@/core/movement/sequence/line';
import { tempoLimits, type TempoWay } from '@/core/movement/sequence/loop';
import { workoutMinutes, workoutOf, type WorkoutMinutes } from '@/core/movement/sequence/workout';
import { phasesOf } from '@/core/court/phases';
import type { SequenceSetting } from '@/core/calculators/setting';
import { counted, inMinutes } from '@/core/base/words';
import { WriteSetting } from '@/features/calculators/write-setting';
import { CallBanner } from '@/features/court/call-banner';
import { PracticeTrack } from '@/features/court/practice-track';
import { useCues } from '@/features/court/use-cues';
import { sequenceLimits } from '@/schemas/sequence';
import type { SequencesView } from '@/server/views/sequences';
import { takesSequence } from '@/session/base/pace';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';
import type { Sequence, ShadowChild } from './use-sequence';

interface Props {
  readonly view: SequencesView;
  readonly sequence: Sequence;
  readonly child: ShadowChild;
  readonly perMin: number;
  readonly way: TempoWay;
  readonly playable: boolean;
  readonly blockId: string;
}

/** The drill whose own-pattern step a vow of strokes is about. */
const ownPattern = { tennis: 'court-patterns', 'table tennis': 'shadow-patterns' } as const;

/** One round to hear by itself, seconds. */
const roundS = 40;

/** The sequence by itself or joined with kept ones into a workout: heard, taken away as a track, written into a plan. */
export function Joined({ view, sequence, child, perMin, way, playable, blockId }: Props) {
  const { draft, shots } = sequence;
  const [minutes, setMinutes] = useState<WorkoutMinutes | null>(null);
  const [joined, setJoined] = useState<readonly string[]>([]);
  const others = view.sequences.filter(
    ({ id, sport, ground }) => id !== draft.id && sport === draft.sport && ground === draft.ground,
  );
  const lines = [
    writeLine(shots, draft.sport),
    ...others.filter(({ id }) => joined.includes(id)).map(({ line }) => line),
  ].slice(0, sequenceLimits.parts);
  const parts = lines.flatMap((line) => {
    const read = readLine(line, draft.sport);
    if (!read.ok) return [];
    const { fastestPerMin } = demandsOf(read.value, draft.ground, child);
    return [{ line, shots: read.value.length, fastestPerMin }];
  });
  const workout = minutes === null ? null : workoutOf(parts, minutes, child.age);
  const rounds = workout
    ? workout.rounds.map(({ part, perMin: tempo }) => ({ line: part, perMin: tempo }))
    : [{ line: 0, perMin }];
  const tempos = rounds.map((round) => round.perMin);
  const setting: SequenceSetting = {
    kind: 'sequence',
    name: workout ? `${draft.name.slice(0, 40)}, ${minutes} minutes` : draft.name.slice(0, 60),
    sport: draft.sport,
    ground: draft.ground,
    lines: workout ? parts.map(({ line }) => line) : [parts[0]!.line],
    rounds,
    way: workout ? workout.way : way,
  };
  const workS = workout?.workS ?? roundS;
  // Slower than can be called is no rhythm any more: ways that long are played by themselves.
  const isCallable = tempos.every((tempo) => tempo >= tempoLimits.min);
  const ready = isCallable && (workout !== null || playable);
  return (
    <>
      <Sheet className="space-y-2 p-3 text-sm" aria-label="Rounds">
        <div className="flex flex-wrap items-center gap-2">
          <h2 className="mr-2 text-base">Rounds</h2>
          <Toggle on={minutes === null} onPress={() => setMinutes(null)}>
            By itself
          </Toggle>
          {workoutMinutes.map((one) => (
            <Toggle key={one} on={minutes === one} onPress={() => setMinutes(one)}>
              Workout of {one} minutes
            </Toggle>
          ))}
        </div>
        {minutes !== null && others.length > 0 && (
          <fieldset className="flex flex-wrap gap-x-4">
            <legend className="font-semibold">Joined with</legend>
            {others.map(({ id, name }) => (
              <label key={id} className="flex min-h-9 touch:min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  checked={joined.includes(id)}
                  onChange={() =>
                    setJoined(joined.includes(id) ? joined.filter((one) => one !== id) : [...joined, id])
                  }
                />
                {name}
              </label>
            ))}
          </fieldset>
        )}
        {workout && (
          <>
            <p data-workout>
              {counted(workout.rounds.length, 'round')} of {workout.workS} s with {workout.restS} s of rest,{' '}
              {inMinutes(workout.totalS)} in all, {counted(workout.strokes, 'stroke')}: each slow, then fast,
              up to {Math.min(...tempos)} a minute in the easiest and {Math.max(...tempos)} in the quickest.
            </p>
            {workout.care && <p className="font-semibold text-care">{workout.care}</p>}
          </>
        )}
        {!ready && (
          <p className="font-semibold text-care">
            {isCallable
              ? 'Too fast to be called: slow it down first.'
              : 'The ways are too long for a workout: its easy rounds would be too slow to be called. Take a smaller floor.'}
          </p>
        )}
        {ready && (
          <Hear
            key={JSON.stringify(setting)}
            setting={setting}
            workS={workS}
            wish={{
              title: setting.name || 'Sequence',
              name: 'shadow-sequence',
              seed: seedOf(setting.name),
              rounds: workout ? workout.rounds.length : 3,
              workS,
              restS: workout ? workout.restS : 20,
              sequence: {
                sport: setting.sport,
                lines: setting.lines,
                rounds: setting.rounds,
                way: setting.way,
              },
            }}
          />
        )}
      </Sheet>
      {child.id !== '' && ready && (
        <p className="text-sm">
          <Link
            href={`/vows/new?${new URLSearchParams({
              player: child.id,
              drill: ownPattern[draft.sport],
              step: 'own-pattern',
              strokes: parts[0]!.line,
            })}`}
            className="hit font-semibold underline underline-offset-4"
          >
            Make it a vow for {child.name}
          </Link>
        </p>
      )}
      <WriteSetting
        view={view}
        kind="sequence"
        chosen={blockId}
        playerId={child.id}
        sport={draft.sport}
        goesWith={takesSequence}
        setting={ready ? setting : null}
        what="Strokes and tempo"
        into="a drill of shadow strokes that are counted in a time"
        {...(workout && {
          dose: {
            kind: 'timed' as const,
            rounds: workout.rounds.length,
            workS: workout.workS,
            restS: workout.restS,
          },
        })}
      />
    </>
  );
}

function Toggle({ on, onPress, children }: { on: boolean; onPress: () => void; children: React.ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPress}
      className={`min-h-9 touch:min-h-11 rounded-md border-2 px-3 font-semibold hover:bg-chalk ${on ? 'border-ink bg-chalk' : 'border-line bg-sheet'}`}
    >
      {children}
    </button>
  );
}

/** The first round as it will be called: spoken, shown, and as a file to take away. */
function Hear({
  setting,
  workS,
  wish,
}: {
  setting: SequenceSetting;
  workS: number;
  wish: Readonly<Record<string, unknown>>;
}) {
  const [on, setOn] = useState(false);
  const [call, setCall] = useState<Cue['call']>(null);
  const from = useRef(0);
  const { cues, forS } = useMemo(() => {
    const phases = phasesOf({ kind: 'timed', rounds: 1, workS, restS: 0 }, workS);
    const called = sequenceCues(phases, setting);
    return {
      cues: soundTimeline(phases, { tempoPerMin: null, accentEvery: 0, calls: null, called, seed: 1 }),
      forS: phases.reduce((sum, { seconds }) => sum + seconds, 0),
    };
  }, [setting, workS]);
  useCues(on, cues, () => (performance.now() - from.current) / 1000);
  useEffect(() => {
    if (!on) return;
    const timer = setInterval(() => {
      const nowS = (performance.now() - from.current) / 1000;
      if (nowS > forS) setOn(false);
      else setCall(callAt(cues, nowS, 6));
    }, 50);
    return () => {
      clearInterval(timer);
      setCall(null);
    };
  }, [on, cues, forS]);
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <Button
          className="min-h-12 px-3"
          onClick={() => {
            from.current = performance.now();
            setOn(!on);
          }}
        >
          {on ? <Square aria-hidden size={16} /> : <Volume2 aria-hidden size={16} />}
          {on ? 'Stop' : 'Hear the first round'}
        </Button>
        <PracticeTrack wish={wish} />
      </div>
      {on && <CallBanner call={call} silent={false} />}
    </>
  );
}
