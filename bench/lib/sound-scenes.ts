import { seededRandom, wholeBetween, type Random } from '../../src/core/base/random';
import { heardCatches } from '@/core/sound/count/catches';
import { heardClaps } from '@/core/sound/count/claps';
import { evennessCm } from '@/core/sound/count/evenness';
import { heardRows, type HeardTouch } from '@/core/sound/count/rows';
import type { Taught } from '@/core/sound/count/taken';
import { echoesOf } from '@/core/sound/echo';
import { impactsIn, type Impact } from '@/core/sound/impacts';
import type { SoundKind } from '@/core/sound/kinds';
import { learn } from '@/core/sound/learn';
import {
  anyRoom,
  madeCatches,
  madeClaps,
  madeEven,
  madeRows,
  madeWall,
  neighbour,
  taught,
  thingsOf,
  type Blow,
  type Things,
} from '@/core/sound/synth/drills';
import { sceneWave, type Room } from '@/core/sound/synth/scene';
import { catchGrades } from '@/core/sound/count/catches';

/** What a scene showed: touches against the truth, and what was asked of its kind. */
export interface Shown {
  readonly hit: number;
  readonly missed: number;
  readonly wrong: number;
  /** How far each moment was off, milliseconds. */
  readonly offMs: readonly number[];
  readonly wave: Float32Array;
  readonly rate: number;
  readonly rows: readonly (readonly [wanted: number, got: number, inRange: boolean])[];
  readonly claps: readonly (readonly [wanted: number, got: number])[];
  readonly grades: readonly (readonly [wanted: string, got: string | null])[];
  /** Spread of heights, centimetres: as it was, and as it was heard. */
  readonly evenness: readonly [wanted: number, got: number] | null;
}

type Scene = (seed: number, snrDb: number) => Shown;

interface Stage {
  readonly things: Things;
  readonly random: Random;
  readonly room: Room & { readonly rate: number };
  readonly seed: number;
}

function stage(seed: number, snrDb: number): Stage {
  const random = seededRandom(seed + 500_000);
  return { things: thingsOf(seed), random, room: anyRoom(random, snrDb), seed };
}

/** Nothing of the first three seconds is hit: the room is listened to. */
const listensS = 3;

/** Teaches sounds in the room, as a coach would: five or more of each. */
function teach({ things, room, seed }: Stage, kinds: readonly (readonly [SoundKind, number])[]): Taught {
  const heard = kinds.map(([kind, overDb], at) => {
    const made = taught(things, kind, overDb);
    const wave = sceneWave({ ...room, seed: 7 * seed + at, seconds: made.seconds, struck: made.blows });
    return { kind, impacts: impactsIn(wave, room.rate).filter(({ atS }) => atS > listensS) };
  });
  return {
    learnt: heard.flatMap(({ kind, impacts }) => learn(kind, kind, impacts) ?? []),
    echoes: heard[0] ? echoesOf(heard[0].impacts) : [],
  };
}

function heard(
  { room, seed }: Stage,
  made: { readonly seconds: number; readonly blows: readonly Blow[] },
): { wave: Float32Array; impacts: Impact[] } {
  const wave = sceneWave({ ...room, seed: 7 * seed + 5, seconds: made.seconds, struck: made.blows });
  return { wave, impacts: impactsIn(wave, room.rate) };
}

/** Each truth takes one touch within 20 ms, or within a quarter of a second where only the beat says it. */
function against(truth: readonly number[], touches: readonly HeardTouch[]) {
  const used = new Set<HeardTouch>();
  const offMs: number[] = [];
  for (const atS of truth) {
    const near = touches.find((one) => !used.has(one) && Math.abs(one.atS - atS) < (one.heard ? 0.02 : 0.25));
    if (!near) continue;
    used.add(near);
    if (near.heard) offMs.push(1000 * Math.abs(near.atS - atS));
  }
  return {
    hit: used.size,
    missed: truth.length - used.size,
    wrong: touches.length - used.size,
    offMs,
  };
}

const nothing = { rows: [], claps: [], grades: [], evenness: null };

const rows: Scene = (seed, snrDb) => {
  const at = stage(seed, snrDb);
  const lengths = [wholeBetween(at.random, 5, 12), wholeBetween(at.random, 8, 24)];
  const made = madeRows(at.things, lengths);
  const blows = at.random() < 0.3 ? [...made.blows, ...neighbour(at.things, made.seconds, -12)] : made.blows;
  const taught = teach(at, [
    ['strings', 0],
    ['floor', -3],
  ]);
  const { wave, impacts } = heard(at, { ...made, blows });
  const got = heardRows(impacts, {
    ...taught,
    counts: ['strings'],
    ends: ['floor'],
    periodS: { least: 0.22, most: 1.2 },
    untilS: made.seconds,
  });
  const found = got.rows.filter(({ touches }) => touches.length > 1);
  return {
    ...nothing,
    ...against(
      made.truth.touches,
      got.rows.flatMap(({ touches }) => touches),
    ),
    wave,
    rate: at.room.rate,
    rows: lengths.map((wanted, index) => {
      const { count, from, to } = found[index]?.howMany ?? { count: 0, from: 0, to: 0 };
      return [wanted, found.length > lengths.length ? 0 : count, wanted >= from && wanted <= to] as const;
    }),
  };
};

const walls: Scene = (seed, snrDb) => {
  const at = stage(seed, snrDb);
  const made = madeWall(at.things, wholeBetween(at.random, 6, 14));
  const taught = teach(at, [
    ['wall', -2],
    ['strings', 3],
    ['floor', -5],
  ]);
  const { wave, impacts } = heard(at, made);
  const { cycleS, walls } = made.truth;
  const got = heardRows(impacts, {
    ...taught,
    counts: ['wall'],
    ends: [],
    varies: 0.28,
    untilS: made.seconds,
    periodS: { least: 0.5 * cycleS, most: 1.6 * cycleS },
  });
  const all = got.rows.flatMap(({ touches }) => touches);
  return {
    ...nothing,
    ...against(walls, all),
    wave,
    rate: at.room.rate,
    rows: [
      [
        walls.length,
        got.rows[0]?.howMany.count ?? 0,
        walls.length >= got.all.from && walls.length <= got.all.to,
      ] as const,
    ],
  };
};

const claps: Scene = (seed, snrDb) => {
  const at = stage(seed, snrDb);
  const tosses = Array.from({ length: 5 }, () => wholeBetween(at.random, 1, 5));
  const made = madeClaps(at.things, tosses);
  const taught = teach(at, [
    ['clap', 0],
    ['catch', -4],
  ]);
  const { wave, impacts } = heard(at, made);
  const got = heardClaps(impacts, { ...taught, untilS: made.seconds });
  const truth = made.blows.filter(({ kind }) => kind === 'clap').map(({ atS }) => atS);
  const caughtAt = made.blows.filter(({ kind }) => kind === 'catch').map(({ atS }) => atS);
  return {
    ...nothing,
    ...against(
      truth,
      got.tosses.flatMap((toss) => toss.claps),
    ),
    wave,
    rate: at.room.rate,
    claps: tosses.map((wanted, index) => {
      const toss = got.tosses.find(({ atS }) => Math.abs(atS - caughtAt[index]!) < 0.6);
      return [wanted, toss?.howMany.count ?? 0] as const;
    }),
  };
};

const catches: Scene = (seed, snrDb) => {
  const at = stage(seed, snrDb);
  const wanted = Array.from({ length: 8 }, () => catchGrades[wholeBetween(at.random, 0, 2)]!);
  const made = madeCatches(at.things, wanted);
  const taught = teach(at, [['strings', 0]]);
  const { wave, impacts } = heard(at, made);
  const got = heardCatches(impacts, taught, 'strings').catches;
  const starts = made.blows.filter(({ atS }, n) => n === 0 || atS - made.blows[n - 1]!.atS > 0.5);
  return {
    ...nothing,
    hit: 0,
    missed: 0,
    wrong: 0,
    offMs: [],
    wave,
    rate: at.room.rate,
    grades: starts.map(
      ({ atS }, n) => [wanted[n]!, got.find((one) => Math.abs(one.atS - atS) < 0.03)?.grade ?? null] as const,
    ),
  };
};

const even: Scene = (seed, snrDb) => {
  const at = stage(seed, snrDb);
  const spreadM = 0.01 + 0.05 * at.random();
  const made = madeEven(at.things, wholeBetween(at.random, 12, 24), 0.25 + 0.25 * at.random(), spreadM);
  const taught = teach(at, [['strings', 0]]);
  const { wave, impacts } = heard(at, made);
  const got = heardRows(impacts, {
    ...taught,
    counts: ['strings'],
    ends: [],
    periodS: { least: 0.22, most: 1.2 },
    untilS: made.seconds,
  });
  return {
    ...nothing,
    hit: 0,
    missed: 0,
    wrong: 0,
    offMs: [],
    wave,
    rate: at.room.rate,
    evenness: [made.truth.spreadCm, evennessCm(got.rows) ?? Infinity],
  };
};

/** Kinds of scene, how many of each, and at which signal over noise: alternating where two are given. */
export const scenes: readonly {
  readonly of: Scene;
  readonly count: number;
  readonly snrDb: readonly number[];
}[] = [
  { of: rows, count: 140, snrDb: [20, 10] },
  { of: walls, count: 80, snrDb: [20, 10] },
  { of: claps, count: 80, snrDb: [20, 10] },
  // How quiet a catch is can only be heard where it is quiet.
  { of: catches, count: 50, snrDb: [30] },
  { of: even, count: 50, snrDb: [20] },
];
