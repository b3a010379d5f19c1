import { warning, type CareInput, type CareWork, type Warning } from '../care';

/** What a note may be about, by the words in it, and the work it touches. Ours: a plain look at the words, no diagnosis. */
const parts: readonly {
  readonly words: RegExp;
  readonly touches: (work: CareWork, playerId: string) => boolean;
}[] = [
  {
    words: /wrist|forearm|elbow|hand|finger/i,
    touches: (work, id) => loadOf(work, id, 'forearm') > 0 || loadOf(work, id, 'overheads') > 0,
  },
  { words: /shoulder|arm\b|neck/i, touches: (work, id) => loadOf(work, id, 'overheads') > 0 },
  {
    words: /knee|ankle|heel|foot|leg|hip|back/i,
    touches: (work, id) => loadOf(work, id, 'contacts') > 0 || work.moves.length > 0,
  },
];

function loadOf(work: CareWork, playerId: string, what: 'forearm' | 'overheads' | 'contacts'): number {
  return work.players.find((player) => player.playerId === playerId)?.load[what] ?? 0;
}

/**
 * An open care note on a player is shown with every plan. Where its words name a part that a block loads, that block
 * is named and the player can sit it out with one press; the coach decides.
 */
export function careNotes({ work, players }: CareInput): Warning[] {
  return players
    .filter((player) => player.careNote.trim() !== '')
    .flatMap((player) => {
      const about = parts.filter(({ words }) => words.test(player.careNote));
      const touched = work.filter((one) => about.some(({ touches }) => touches(one, player.id)));
      const note = `${player.name}: ${player.careNote}`;
      if (touched.length === 0)
        return [warning('care note', 'note', note, { playerId: player.id, origin: 'practice' })];
      return touched.map((one) =>
        warning('care note', 'caution', `${one.title} loads what the note is about. ${note}`, {
          blockId: one.id,
          playerId: player.id,
          origin: 'practice',
          mend: { kind: 'sit-out', blockId: one.id, playerId: player.id },
          mendText: `${player.name} sits it out`,
        }),
      );
    });
}
