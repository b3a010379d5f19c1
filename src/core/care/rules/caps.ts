import { addLoads, noLoadSum, type LoadSum } from '../../dose/load';
import { warning, type CareInput, type CarePlayer, type CareWork, type Warning } from '../care';
import { cappedKinds, cappedWords, sessionCap, weekCaps, type Capped } from '../limits';

const nsca =
  '80 to 100 foot contacts a session for beginners: strength-and-conditioning handbooks (NSCA), from memory; smaller for children is ours';

/** Each player's load over all the work. */
function loads(work: readonly CareWork[]): Map<string, LoadSum> {
  const sums = new Map<string, LoadSum>();
  for (const { players } of work)
    for (const { playerId, load } of players)
      sums.set(playerId, addLoads(sums.get(playerId) ?? noLoadSum, load));
  return sums;
}

/** The piece of work that gives a player the most of something. */
function heaviest(work: readonly CareWork[], playerId: string, what: Capped): CareWork | undefined {
  const share = (one: CareWork) =>
    one.players.find((player) => player.playerId === playerId)?.load[what] ?? 0;
  return work.reduce<CareWork | undefined>(
    (most, one) => (share(one) > (most ? share(most) : 0) ? one : most),
    undefined,
  );
}

/**
 * Landings, overhead and fast forearm actions stay under their lines: those of a session over all sessions of the day,
 * and those of a week over seven days. Of several players over one line the one who is furthest over is named. The mend
 * shortens the block that gives the most of it.
 */
export function loadCaps({ work, players }: CareInput): Warning[] {
  const sums = loads(work);
  return cappedKinds.flatMap((what) => {
    const worst = players
      .map((player) => overOf(player, sums.get(player.id) ?? noLoadSum, what))
      .reduce<Over | null>((most, next) => (next && next.ratio > (most?.ratio ?? 1) ? next : most), null);
    if (!worst) return [];
    const block = heaviest(work, worst.player.id, what);
    const share = block && Math.max(0.1, Math.floor((100 * shareLeft(block, worst, what)) / 5) / 20);
    return [
      warning(
        'load caps',
        'caution',
        `${worst.player.name} would do ${Math.round(worst.total)} ${cappedWords[what]} ${worst.span}; at ${worst.player.age} the line is ${worst.cap}.`,
        {
          blockId: block?.id ?? null,
          playerId: worst.player.id,
          origin: what === 'contacts' ? 'memory' : 'ours',
          ...(what === 'contacts' && { source: nsca }),
          mend: block ? { kind: 'scale', blockId: block.id, share: share!, playerId: worst.player.id } : null,
          mendText: block
            ? `Shorten ${block.title} to ${Math.round(100 * share!)} % for ${worst.player.name}`
            : null,
        },
      ),
    ];
  });
}

interface Over {
  readonly player: CarePlayer;
  readonly total: number;
  readonly cap: number;
  readonly ratio: number;
  readonly span: string;
}

function overOf(player: CarePlayer, session: LoadSum, what: Capped): Over | null {
  if (session[what] === 0) return null;
  const cap = sessionCap(player.age, what);
  const today = player.dayLoad[what] + session[what];
  const span = player.dayLoad[what] > 0 ? 'today, with the other session' : 'in this session';
  const over = { player, total: today, cap, ratio: today / cap, span };
  const week = player.weekLoad[what] + session[what];
  const weekCap = cap * weekCaps;
  const weekOver = { player, total: week, cap: weekCap, ratio: week / weekCap, span: 'in seven days' };
  const worse = weekOver.ratio > over.ratio ? weekOver : over;
  return worse.ratio > 1 ? worse : null;
}

/** The share of a block that may stay, so that the player comes down to the line. */
function shareLeft(block: CareWork, { player, total, cap }: Over, what: Capped): number {
  const own = block.players.find(({ playerId }) => playerId === player.id)!.load[what];
  return (own - (total - cap)) / own;
}
