import { done, refused, type Outcome } from '@/core/base/outcome';
import { clubResults } from '@/core/challenges/challenge';
import { readClubResults, writeClubResults } from '@/formats/challenge';
import { getChallenge, insertResult, removeClub } from '@/data/challenges';
import { write } from '@/data/write';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { resultsReady } from '../court/results';
import { bookFor } from '../readers/book';
import { boardFor, factsOf } from '../readers/challenges';
import { unknownChallenge } from './challenges';

/** Our results in a challenge as a file for another club: one number a player, and nobody's name. */
export async function clubFile(context: Context, id: string, club: string): Promise<Outcome<string>> {
  const { db, today } = context;
  const named = club.trim().slice(0, 60);
  if (named === '') return refused('club', 'Your club is missing: say what the others know you by.');
  await resultsReady(db);
  const [row, book] = await Promise.all([getChallenge(db, id), bookFor(db)]);
  const facts = row && factsOf(book, row, today);
  if (!facts) return unknownChallenge;
  const { board, pairs } = await boardFor(context, book, facts);
  const { title, kind, drillId, stepId, fromDay, untilDay } = facts;
  // In no order that says who is who.
  const results = clubResults(kind, board, pairs).sort((a, b) => b - a);
  if (results.length === 0)
    return refused('results', 'Nobody has a result yet: there is nothing to take away.');
  return done(writeClubResults({ club: named, title, kind, drillId, stepId, fromDay, untilDay, results }));
}

/** Brings another club's results in: they stand beside ours, and those it brought before give way. */
export async function bringClub(
  context: Context,
  id: string,
  input: unknown,
): Promise<Outcome<{ club: string }>> {
  const read = readClubResults(input);
  if (!read.ok) return read;
  const { club, kind, drillId, stepId, results, untilDay } = read.value;
  return write(context.db, async (tx) => {
    const challenge = await getChallenge(tx, id);
    if (!challenge) return unknownChallenge;
    if (challenge.kind !== kind || challenge.drillId !== drillId || challenge.stepId !== stepId)
      return refused(
        'file',
        'These are results of another challenge: kind, drill and step must be the same.',
      );
    await removeClub(tx, id, club, context.nowMs);
    for (const result of results)
      await insertResult(tx, {
        id: context.newId(),
        challengeId: id,
        playerId: null,
        partnerId: null,
        club,
        result,
        day: untilDay,
        atMs: context.nowMs,
        by: signatureOf(context),
      });
    return done({ club });
  });
}
