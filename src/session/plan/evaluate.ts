import { careFor } from '@/core/care';
import type { CareInput, CarePlayer, CareWork, Warning } from '@/core/care/care';
import { loadOf, noLoadSum } from '@/core/dose/load';
import type { Fit } from '@/core/venues/fits';
import { phaseShares, type PhaseShare, type SessionPhaseId } from '@/core/plan/phases';
import type { PlanTime } from '@/core/plan/plan-time';
import type { Book } from '@/drills/book';
import { changedLoad } from '@/drills/base/changes';
import { workOf, type PlanBlock, type PlanPlayer, type Records } from '../base/plan';
import { comeTo, fitsOf, timePlan, type Ground } from './time-plan';
import type { Drill, Family, Step } from '@/drills/base/types';

/** Drills that warm a part up, for the care rules to offer. */
export const warmUps = {
  forearm: 'wrist-and-forearm',
  shoulder: 'shoulder-and-side',
  legs: 'square-shuffle',
} as const;

const phaseOfFamily: Readonly<Record<Family, SessionPhaseId>> = {
  loosen: 'loosen',
  feet: 'feet and hands',
  hands: 'feet and hands',
  touch: 'racket and ball',
  'serve base': 'racket and ball',
  wall: 'racket and ball',
  stroke: 'stroke',
  games: 'game',
};

export function phaseOf(drill: Drill, block: Pick<PlanBlock, 'retest'>): SessionPhaseId {
  return block.retest ? 'retest' : phaseOfFamily[drill.family];
}

/** Is the ball hit in it? */
export const isHitting = ({ family }: Drill): boolean =>
  family === 'stroke' || family === 'wall' || family === 'touch';

/** A player as the care rules know them. */
export interface CarefulPlayer
  extends PlanPlayer, Pick<CarePlayer, 'name' | 'careNote' | 'weekLoad' | 'dayLoad' | 'lastDone'> {}

/** Everything a plan is looked at with. */
export interface PlanSetting {
  readonly book: Book;
  readonly players: readonly CarefulPlayer[];
  readonly records: Records;
  readonly ground: Ground;
  readonly bookedMin: number;
  readonly startTime: string;
  readonly airC: number | null;
  readonly kind?: CareInput['kind'];
  /** Tries a player has done in a block that is over: they stand in for what was expected. */
  readonly doneTries?: (blockId: string, playerId: string) => number | undefined;
}

export interface Evaluation {
  readonly time: PlanTime;
  /** By block id. */
  readonly fits: ReadonlyMap<string, Fit>;
  readonly warnings: readonly Warning[];
  readonly phases: readonly PhaseShare[];
}

/** Key of a step with a limit of its own, in what was done before. */
export const limitKey = (drillId: string, stepId: string): string => `${drillId} ${stepId}`;

/** Looks at a whole plan: time and touches, fit, care, and how the time is shared out. */
export function evaluatePlan(blocks: readonly PlanBlock[], setting: PlanSetting): Evaluation {
  const { book, players, records, ground, bookedMin } = setting;
  const time = timePlan(book, blocks, players, records, bookedMin, ground);
  const work: CareWork[] = [];
  const shares: { phase: SessionPhaseId; totalS: number }[] = [];
  const timedOf = new Map(time.blocks.map((timed) => [timed.id, timed]));
  const worked = blocks.filter(({ id }) => timedOf.has(id));
  const fits = fitsOf(book, worked, ({ id }) => Object.keys(timedOf.get(id)!.touchesOf), ground);
  for (const timed of time.blocks) {
    const block = blocks.find((one) => one.id === timed.id)!;
    const drill = book.drill(block.drillId)!;
    const working = players.filter((player) => player.id in timed.touchesOf);
    const fit = fits.get(block.id)!;
    shares.push({ phase: phaseOf(drill, block), totalS: timed.ownS });
    const moves = new Set<string>();
    const careful = working.map((player) => {
      const { step } = workOf(book, block, player.id)!;
      for (const move of step.moves) moves.add(move);
      const tries = setting.doneTries?.(block.id, player.id);
      const load =
        tries === undefined
          ? (timed.loadOf[player.id] ?? noLoadSum)
          : loadOf(changedLoad(step.load, block.changes), tries);
      return { playerId: player.id, load, limit: limitOf(drill, step) };
    });
    const { space } = drill;
    work.push({
      id: block.id,
      title: drill.title,
      startS: timed.startS,
      totalS: timed.ownS,
      breakS: timed.breakS,
      circuit: block.circuit ?? null,
      players: careful,
      warms: drill.warms,
      moves: [...moves],
      ages: drill.ages,
      hitting: isHitting(drill),
      ceilingM: space.ceilingM,
      wall: space.needs.includes('wall'),
      lane: space,
      roomFor: ground.place && fit.verdict !== 'no' ? fit.atOnce : null,
      atOnce: Math.min(
        comeTo(
          block,
          working.map(({ id }) => id),
        ),
        drill.players.max * block.stations,
      ),
    });
  }
  const warnings = careFor({
    kind: setting.kind ?? 'plan',
    work,
    players,
    place: ground.place,
    airC: setting.airC,
    startTime: setting.startTime,
    warmUps,
  });
  return { time, fits, warnings, phases: phaseShares(shares) };
}

function limitOf(drill: Drill, step: Step): CareWork['players'][number]['limit'] {
  return step.limit ? { key: limitKey(drill.id, step.id), ...step.limit } : null;
}
