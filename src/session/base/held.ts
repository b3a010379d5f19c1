import { measures, type Measure } from '@/core/counting/measure';
import { isFiniteNumber, isObject, isText } from '@/core/base/guards';
import type { Gate } from '@/core/skill/next-target';
import { ageBandOf } from '@/drills/base/age-band';
import type { Book } from '@/drills/book';
import { ageBands, type AgeBand, type Drill } from '@/drills/base/types';
import { markFor } from './goals';
import type { Scoring } from './scoring';

/** A step of a ladder as it was: how it is counted, and its marks for the ages that were there. */
export interface HeldStep {
  readonly id: string;
  readonly measure: Measure;
  readonly marks: Partial<Readonly<Record<AgeBand, Gate>>>;
}

/**
 * What a block was held under, besides what it was: the day, the place, how old the players were, and the ladder as the
 * drill and the schools had it then. With it, results and verdicts are the same whatever becomes of the drill, the
 * schools and the players' ages.
 */
export interface Held {
  /** The session's day, local ISO. */
  readonly day: string;
  /** The place by its name, and by its id where it is one of the list. */
  readonly place: string;
  readonly placeId: string | null;
  readonly coach: string;
  /** The whole ladder, in the order it stood in. */
  readonly ladder: readonly HeldStep[];
  /** Ladders of players with a school of their own, where they differ. */
  readonly own: Readonly<Record<string, readonly HeldStep[]>>;
  /** Ages in years. */
  readonly ages: Readonly<Record<string, number>>;
  /** True where it was done at home, for a vow; left out on court. */
  readonly home?: boolean;
}

/** Where and when a block is held. */
export type HeldAt = Pick<Held, 'day' | 'place' | 'placeId' | 'coach' | 'home'>;

interface Aged {
  readonly id: string;
  /** Years. */
  readonly age: number;
}

function ladderOf(drill: Drill, bands: readonly AgeBand[]): HeldStep[] {
  return drill.steps.map((step) => ({
    id: step.id,
    measure: step.measure,
    marks: Object.fromEntries(bands.map((band) => [band, markFor(step, band)])),
  }));
}

/** What a block is held under as things stand; null for a drill that is not in the book. */
export function heldUnder(book: Book, drillId: string, players: readonly Aged[], at: HeldAt): Held | null {
  const drill = book.drill(drillId);
  if (!drill) return null;
  const bands = [...new Set(players.map(({ age }) => ageBandOf(age)))];
  const own = players.flatMap(({ id, age }) => {
    const theirs = book.drill(drillId, id);
    return theirs && theirs !== drill ? [[id, ladderOf(theirs, [ageBandOf(age)])] as const] : [];
  });
  const { day, place, placeId, coach, home } = at;
  return {
    day,
    place,
    placeId,
    coach,
    ...(home && { home }),
    ladder: ladderOf(drill, bands),
    own: Object.fromEntries(own),
    ages: Object.fromEntries(players.map(({ id, age }) => [id, age])),
  };
}

/** How old a player was when a block was held; as old as they are while it was not. */
export const ageIn = ({ held }: { readonly held?: Held | null }, { id, age }: Aged): number =>
  held?.ages[id] ?? age;

/** The ladder a player stood on: their own where a school of theirs made another of it. */
export const ladderFor = (
  { ladder, own }: Pick<Held, 'ladder' | 'own'>,
  playerId: string | undefined,
): readonly HeldStep[] => (playerId !== undefined && own[playerId]) || ladder;

const known = new WeakMap<readonly HeldStep[], { drill: Drill; scoring: Scoring | undefined; was: Drill }>();

/**
 * A drill as a block was held under it: the ladder in its order, with its marks, its scoring and its ways of counting.
 * What the record does not say (titles, cues, pace) is as it is now.
 */
export function drillAsHeld(
  drill: Drill,
  held: Held,
  scoring: Scoring | undefined,
  playerId: string | undefined,
): Drill {
  const ladder = ladderFor(held, playerId);
  const before = known.get(ladder);
  if (before && before.drill === drill && before.scoring === scoring) return before.was;
  const steps = ladder.flatMap(({ id, measure, marks }) => {
    const step = drill.steps.find((one) => one.id === id);
    return step ? [{ ...step, measure, marks, zones: scoring?.zones[id] ?? step.zones }] : [];
  });
  const was = { ...drill, steps };
  known.set(ladder, { drill, scoring, was });
  return was;
}

/** Is this, which came from a device, what a block can be held under? */
export function isHeld(value: unknown): value is Held {
  if (!isObject(value)) return false;
  const { day, place, placeId, coach, ladder, own, ages, home } = value;
  return (
    isText(day) &&
    /^\d{4}-\d{2}-\d{2}$/.test(day) &&
    isText(place) &&
    (placeId === null || isText(placeId)) &&
    isText(coach) &&
    (home === undefined || typeof home === 'boolean') &&
    isLadder(ladder) &&
    isObject(own) &&
    Object.values(own).every(isLadder) &&
    isObject(ages) &&
    Object.values(ages).every(isFiniteNumber)
  );
}

const isLadder = (value: unknown): value is HeldStep[] => Array.isArray(value) && value.every(isHeldStep);

const isHeldStep = (value: unknown): value is HeldStep =>
  isObject(value) &&
  isText(value.id) &&
  isText(value.measure) &&
  Object.hasOwn(measures, value.measure) &&
  isObject(value.marks) &&
  Object.entries(value.marks).every(
    ([band, gate]) =>
      (ageBands as readonly string[]).includes(band) &&
      isObject(gate) &&
      isFiniteNumber(gate.result) &&
      Number.isInteger(gate.days),
  );
