import { circuitLimits, type CircuitPart } from './circuit';

/** How children are put together. */
export const groupings = ['level', 'mixed'] as const;
export type Grouping = (typeof groupings)[number];

/**
 * Groups of sizes that differ by one at most: those who are nearest together by level, or some of each in every group.
 * @param players from the furthest on to the least
 * @param count how many groups, >= 1; never more than there are players
 */
export function grouped(players: readonly string[], count: number, how: Grouping): string[][] {
  const n = Math.max(1, Math.min(count, players.length));
  const groups = Array.from({ length: n }, (): string[] => []);
  if (how === 'level') {
    const [shared, longer] = [Math.floor(players.length / n), players.length % n];
    let from = 0;
    for (const [index, group] of groups.entries()) {
      const size = shared + (index < longer ? 1 : 0);
      group.push(...players.slice(from, from + size));
      from += size;
    }
    return groups;
  }
  // There and back again, so that the first to be dealt to is not always the one with the stronger child.
  for (const [index, player] of players.entries()) {
    const [lap, place] = [Math.floor(index / n), index % n];
    groups[lap % 2 === 0 ? place : n - 1 - place]!.push(player);
  }
  return groups;
}

/** Groups of who is there: who has left is out of theirs, who is new joins the smallest, and no group is empty. */
export function regrouped(groups: readonly (readonly string[])[], playerIds: readonly string[]): string[][] {
  const here = new Set(playerIds);
  const seen = new Set<string>();
  const kept = groups.map((group) => group.filter((id) => here.has(id) && !seen.has(id) && seen.add(id)));
  for (const id of playerIds) {
    if (seen.has(id)) continue;
    const smallest = kept.reduce<string[] | null>(
      (so, next) => (so === null || next.length < so.length ? next : so),
      null,
    );
    if (smallest) smallest.push(id);
    else kept.push([id]);
  }
  return kept.filter((group) => group.length > 0);
}

/** Why a circuit cannot be gone through as it stands, with what to change; null when it can. */
export function circuitProblem({ of, groups }: Pick<CircuitPart, 'of' | 'groups'>): string | null {
  const { min, max } = circuitLimits.stations;
  if (of < min || of > max) return `A circuit has ${min} to ${max} stations, and this one has ${of}.`;
  if (groups.length === 0) return 'Nobody goes through this circuit: put somebody into a group.';
  if (groups.length > of + 1)
    return `There are ${groups.length} groups for ${of} stations, and only one group can rest at a time: make at most ${of + 1} groups, or add a station.`;
  return null;
}
