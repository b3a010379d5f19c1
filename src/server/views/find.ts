import { makeBook } from '@/drills';
import { knownSequences } from '@/drills/sequences';
import { aboutness, longestWords, matches } from '@/session/drills/find';
import { notesWith } from '@/data/notes';
import { listSequences } from '@/data/sequences';
import { playersOfSessions, sessionsWith } from '@/data/session';
import { getPlayers, listPlayers } from '@/data/squad';
import type { Context } from '../base/context';
import { bookContents } from '../readers/book';

/** What was found by some words, kind by kind, each cut to what fits a page. */
export interface FindView {
  readonly words: string;
  readonly players: readonly { readonly id: string; readonly name: string; readonly about: string }[];
  readonly sessions: readonly {
    readonly id: string;
    readonly title: string;
    readonly day: string;
    readonly held: boolean;
    readonly about: string;
  }[];
  readonly drills: readonly { readonly id: string; readonly title: string; readonly about: string }[];
  /** Shadow sequences of the catalogue and of this house. */
  readonly sequences: readonly { readonly id: string; readonly name: string; readonly about: string }[];
  readonly notes: readonly {
    readonly id: string;
    readonly text: string;
    readonly atMs: number;
    /** The session or the player it stands on. */
    readonly about: string;
    readonly href: string;
  }[];
}

/** So many of a kind are shown: ours. */
const mostOfAKind = 12;

/** Looks through players, sessions, drills, shadow sequences and notes at once. */
export async function findView({ db }: Context, given: string): Promise<FindView> {
  const words = given.trim().slice(0, longestWords);
  if (words === '') return { words, players: [], sessions: [], drills: [], sequences: [], notes: [] };
  const wanted = words.toLowerCase();
  const [squad, sessions, contents, sequences, notes] = await Promise.all([
    listPlayers(db),
    sessionsWith(db, words, mostOfAKind),
    bookContents(db),
    listSequences(db),
    notesWith(db, words, mostOfAKind),
  ]);
  const noted = await getPlayers(db, [...new Set(notes.flatMap((one) => one.playerId ?? []))]);
  const nameOf = (id: string | null) => noted.find((player) => player.id === id)?.name ?? '';
  const playersOf = await playersOfSessions(
    db,
    sessions.map((session) => session.id),
  );
  return {
    words,
    players: squad
      .filter((player) =>
        [player.name, player.focus, player.careNote].some((text) => text.toLowerCase().includes(wanted)),
      )
      .slice(0, mostOfAKind)
      .map(({ id, name, sport, focus }) => ({ id, name, about: [sport, focus].filter(Boolean).join(' · ') })),
    sessions: sessions.map(({ id, title, day, state, placeName, coach }) => ({
      id,
      title,
      day,
      held: state === 'finished',
      about: [placeName, coach, `${(playersOf.get(id) ?? []).length} on the list`]
        .filter(Boolean)
        .join(' · '),
    })),
    drills: makeBook(contents)
      .drills.filter((drill) => matches(drill, words))
      // What is about it comes first; the order of the book decides between equals.
      .sort((a, b) => aboutness(b, words) - aboutness(a, words))
      .slice(0, mostOfAKind)
      .map(({ id, title, family, purpose }) => ({ id, title, about: `${family} · ${purpose}` })),
    sequences: [...sequences, ...knownSequences]
      .filter(({ name, line, sport }) =>
        [name, line, sport].some((text) => text.toLowerCase().includes(wanted)),
      )
      .slice(0, mostOfAKind)
      .map(({ id, name, sport, line }) => ({ id, name, about: `${sport} · ${line}` })),
    notes: notes.map(({ id, text, atMs, playerId, sessionId, sessionTitle }) => ({
      id,
      text,
      atMs,
      about: [sessionTitle, nameOf(playerId)].filter(Boolean).join(' · '),
      href: playerId ? `/players/${playerId}` : `/sessions/${sessionId}/plan`,
    })),
  };
}
