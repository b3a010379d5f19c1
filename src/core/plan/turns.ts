import type { DoseWork } from '../dose/time';

/** Players split into turns at stations that hold so many at once, as evenly as can be, in their order. */
export function turnsOf<T>(players: readonly T[], holds: number): T[][] {
  const turns = Math.max(1, Math.ceil(players.length / Math.max(1, holds)));
  const shared = Math.floor(players.length / turns);
  const longer = players.length % turns;
  let from = 0;
  return Array.from({ length: turns }, (_, index) => {
    const turn = players.slice(from, from + shared + (index < longer ? 1 : 0));
    from += turn.length;
    return turn;
  });
}

/**
 * Seconds a station is in use until every turn is through. One turn rests while the next one works, so a cycle
 * of all turns lasts as long as all their work, or as one turn's work and rest when that is more:
 *
 *   over all bouts but the last: max(sum of w, longest w + rest); then sum of w, with w one turn's work in that bout;
 *
 * collecting walks come on top, one turn after the other, because nobody walks where balls fly.
 * @param turns the slowest player's work of each turn; at least one
 */
export function stationS(turns: readonly DoseWork[]): number {
  const bouts = Math.max(...turns.map((turn) => turn.bouts));
  const boutS = (bout: number) =>
    turns.map(({ workS, shares }) => workS * (shares ? (shares[bout] ?? 0) : 1 / bouts));
  const restS = Math.max(...turns.map((turn) => (turn.bouts > 1 ? turn.restS / (turn.bouts - 1) : 0)));
  let seconds = turns.reduce((sum, turn) => sum + turn.collectS, 0);
  for (let bout = 0; bout < bouts; bout++) {
    const works = boutS(bout);
    const together = works.reduce((sum, s) => sum + s, 0);
    seconds += bout < bouts - 1 ? Math.max(together, Math.max(...works) + restS) : together;
  }
  return seconds;
}
