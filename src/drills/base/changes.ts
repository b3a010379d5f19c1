import { scaled } from '@/core/dose/scale';
import type { Dose } from '@/core/dose/dose';
import type { Load } from '@/core/dose/load';
import { easings, spices, type Change } from './types';

/** What a spice or an easing does to any step. All numbers are our own cautious choice; a coach sees them before use. */
export interface ChangeEffect {
  readonly id: Change;
  readonly kind: 'spice' | 'easing';
  /** What is done, as one sentence. */
  readonly text: string;
  /** Seconds per touch are multiplied by this. */
  readonly tempo: number;
  /** The odds of a good touch, p / (1 − p), are multiplied by this: under 1 is harder. */
  readonly odds: number;
  /** The dose is multiplied by this. */
  readonly amount: number;
}

const effects: Readonly<Record<Change, Omit<ChangeEffect, 'id' | 'kind'>>> = {
  'other hand': { text: 'The other hand does it.', tempo: 1.1, odds: 0.4, amount: 0.6 },
  walking: { text: 'Do it while walking.', tempo: 1.1, odds: 0.7, amount: 0.8 },
  backwards: {
    text: 'Do it while walking backwards, with a clear floor.',
    tempo: 1.25,
    odds: 0.5,
    amount: 0.6,
  },
  jogging: { text: 'Do it at a jog.', tempo: 1.1, odds: 0.5, amount: 0.7 },
  weaving: { text: 'Do it round a row of markers.', tempo: 1.15, odds: 0.6, amount: 0.7 },
  higher: { text: 'Send the ball higher.', tempo: 1.3, odds: 0.6, amount: 0.8 },
  faster: { text: 'Do it faster, as long as it stays clean.', tempo: 0.8, odds: 0.6, amount: 1 },
  'smaller ball': { text: 'Take a smaller or livelier ball.', tempo: 1, odds: 0.7, amount: 0.8 },
  further: { text: 'Move the target or the marker further away.', tempo: 1.2, odds: 0.6, amount: 0.8 },
  'eyes up': { text: 'Look up and read out what the helper shows.', tempo: 1, odds: 0.6, amount: 0.8 },
  'bigger ball': { text: 'Take a bigger, softer, slower ball.', tempo: 1.1, odds: 1.8, amount: 1 },
  'let it bounce': { text: 'Let the ball bounce once in between.', tempo: 1.4, odds: 2, amount: 1 },
  'two hands': { text: 'Use both hands.', tempo: 1, odds: 1.8, amount: 1 },
  closer: { text: 'Come closer to the target, the wall or the marker.', tempo: 0.9, odds: 1.7, amount: 1 },
  'drop it on': { text: 'Drop the ball on instead of flicking it up.', tempo: 1, odds: 1.5, amount: 1 },
  fewer: { text: 'Do fewer.', tempo: 1, odds: 1, amount: 0.6 },
  slower: { text: 'Do it slowly enough to be right.', tempo: 1.3, odds: 1.6, amount: 0.8 },
};

const isSpice = (id: Change): boolean => (spices as readonly string[]).includes(id);

export const changes: readonly ChangeEffect[] = [...spices, ...easings].map((id) => ({
  id,
  kind: isSpice(id) ? 'spice' : 'easing',
  ...effects[id],
}));
const byId = new Map(changes.map((change) => [change.id, change]));
export const findChange = (id: string): ChangeEffect | undefined => byId.get(id as Change);

const product = (ids: readonly string[], of: 'tempo' | 'odds' | 'amount'): number =>
  ids.reduce((all, id) => all * (findChange(id)?.[of] ?? 1), 1);

/** A success rate under changes: its odds are multiplied. 0 stays 0 and 1 stays 1. */
export function changedRate(rate: number, ids: readonly string[]): number {
  if (rate <= 0 || rate >= 1 || ids.length === 0) return rate;
  const odds = (rate / (1 - rate)) * product(ids, 'odds');
  return odds / (1 + odds);
}

/** What a try loads under changes: with the other hand it is the other side that works. */
export function changedLoad(load: Load, ids: readonly string[]): Load {
  return ids.includes('other hand') ? { ...load, strongSide: 1 - load.strongSide } : load;
}

/** Seconds per touch under changes. */
export const changedTempo = (perTouchS: number, ids: readonly string[]): number =>
  perTouchS * product(ids, 'tempo');

/** A dose under changes: of the same shape, shorter where a change asks for less. */
export function changedDose(dose: Dose, ids: readonly string[]): Dose {
  const amount = product(ids, 'amount');
  return amount === 1 ? dose : scaled(dose, Math.max(0.1, amount));
}

/** Does a count made under these changes stand for the step itself? An easing makes it another, easier thing. */
export function isEased(ids: readonly string[]): boolean {
  return ids.some((id) => findChange(id)?.kind === 'easing' && id !== 'fewer');
}

/** The changes a step of a drill can take, out of some. */
export const takenBy = (
  drill: { spices: readonly Change[]; easings: readonly Change[] },
  ids: readonly string[],
) => ids.filter((id) => [...drill.spices, ...drill.easings].includes(id as Change));
