import type { Book } from '@/drills/book';
import type { Sport } from '@/drills/base/types';
import type { PlanBlock } from '../base/plan';

/** A child as far as it matters which game a drill is of. */
export interface Plays {
  readonly id: string;
  readonly sport: Sport;
}

/** The sports of the children who come, the most played first. */
export function sportsPlayed(players: readonly Plays[]): Sport[] {
  const times = new Map<Sport, number>();
  for (const { sport } of players) times.set(sport, (times.get(sport) ?? 0) + 1);
  return [...times].sort((a, b) => b[1] - a[1]).map(([sport]) => sport);
}

/** Who works in a block though its drill is not of the game they play. */
export function strangersIn<P extends Plays>(book: Book, block: PlanBlock, players: readonly P[]): P[] {
  const drill = book.drill(block.drillId);
  if (!drill) return [];
  const out = new Set(block.own.filter((one) => one.out).map((one) => one.playerId));
  return players.filter(({ id, sport }) => !out.has(id) && !drill.sports.includes(sport));
}
