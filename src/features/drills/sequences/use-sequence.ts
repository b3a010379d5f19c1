import { useMemo, useState } from 'react';
import { fitOf } from '@/core/players/fit';
import { demandsOf, type Demands, type ShadowPlayer } from '@/core/movement/sequence/feasible';
import { readLine, writeLine } from '@/core/movement/sequence/line';
import { groundsOf, type Shot, type ShadowGround, type ShadowSport } from '@/core/movement/sequence/shots';
import type { Problem } from '@/core/base/outcome';
import { knownSequences } from '@/drills/sequences';
import type { SequencesView } from '@/server/views/sequences';

/** A sequence as it is being written. */
export interface Draft {
  /** The kept sequence it is; null for one that is not kept. */
  readonly id: string | null;
  readonly name: string;
  readonly sport: ShadowSport;
  readonly ground: ShadowGround;
  readonly text: string;
}

export type ShadowChild = ShadowPlayer & {
  readonly id: string;
  readonly name: string;
  readonly sport: ShadowSport;
  readonly leftHanded: boolean;
};

/** Who a sequence is worked out for: one who plays its sport; a right-handed child of ten where nobody on the squad does. */
export function shadowChild({ players, fits }: SequencesView, id: string, sport: ShadowSport): ShadowChild {
  const playing = players.filter((one) => one.sport === sport);
  const known = playing.find((one) => one.id === id) ?? playing[0];
  const facts = known ?? {
    id: '',
    name: 'A child of ten',
    age: 10,
    sport,
    hand: 'right' as const,
    heightCm: null,
    racketIn: null,
  };
  const { sideStepM, contactM } = fitOf(facts, fits[facts.id]);
  return {
    id: facts.id,
    name: facts.name,
    age: facts.age,
    sport: facts.sport,
    leftHanded: facts.hand === 'left',
    sideStepM: sideStepM.value,
    contactM: contactM.value,
  };
}

/** Something to begin with: the sequence that was asked for, what the block has or its step asks for, or the first of the catalogue in this sport. */
export function firstDraft(
  { sequences, sessions }: SequencesView,
  { asked, blockId }: { readonly asked: string; readonly blockId: string },
  sport: ShadowSport,
): Draft {
  const kept = sequences.find(({ id }) => id === asked);
  if (kept) return { ...kept, text: kept.line };
  const block = sessions.flatMap(({ blocks }) => blocks).find(({ id }) => id === blockId);
  const setting = block?.setting;
  if (setting?.kind === 'sequence') {
    const { name, ground, lines } = setting;
    return { id: null, name, sport: setting.sport, ground, text: lines[0]! };
  }
  const known =
    knownSequences.find(({ id }) => id === asked) ??
    // What the step of the block asks for.
    knownSequences.find(({ of }) => of && of.drillId === block?.drillId && of.stepId === block.stepId) ??
    knownSequences.find((one) => one.sport === sport)!;
  return { id: null, name: known.name, sport: known.sport, ground: known.ground, text: known.line };
}

export interface Sequence {
  readonly draft: Draft;
  /** Who it is worked out for. */
  readonly child: ShadowChild;
  readonly shots: readonly Shot[];
  readonly problems: readonly Problem[];
  /** What it asks of the feet; null while the line cannot be read. */
  readonly demands: Demands | null;
  readonly change: (more: Partial<Draft>) => void;
  /** Takes strokes instead of a line. */
  readonly put: (shots: readonly Shot[]) => void;
  /** Goes back to what stood before the last change; null where there is nothing. */
  readonly undo: (() => void) | null;
}

/** The name of a sequence of the catalogue goes with its line: other strokes are not called after it. */
const renamed = (draft: Draft): Draft =>
  draft.id === null && knownSequences.some(({ name, line }) => name === draft.name && line !== draft.text)
    ? { ...draft, name: '' }
    : draft;

/** The line under the hand: read while it is typed, with what it asks for. The last good strokes stay to be seen. */
export function useSequence(first: Draft, view: SequencesView, playerId: string): Sequence {
  const [draft, setDraft] = useState(first);
  const [before, setBefore] = useState<readonly Draft[]>([]);
  const { sport, ground, text } = draft;
  const child = useMemo(() => shadowChild(view, playerId, sport), [view, playerId, sport]);
  const read = useMemo(() => readLine(text, sport), [text, sport]);
  const shots = useMemo(() => (read.ok ? read.value : []), [read]);
  const demands = useMemo(
    () => (shots.length > 0 ? demandsOf(shots, ground, child) : null),
    [shots, ground, child],
  );
  const change = (more: Partial<Draft>) => {
    const next = renamed({ ...draft, ...more });
    const fits = groundsOf(next.sport);
    setBefore([...before.slice(-49), draft]);
    setDraft(fits.includes(next.ground) ? next : { ...next, ground: fits[0]! });
  };
  const last = before.at(-1);
  return {
    draft,
    child,
    shots,
    problems: read.ok ? [] : read.problems,
    demands,
    change,
    put: (next) => change({ text: writeLine(next, sport) }),
    undo: last
      ? () => {
          setDraft(last);
          setBefore(before.slice(0, -1));
        }
      : null,
  };
}
