'use server';

import type { Outcome } from '@/core/base/outcome';
import {
  addChallengeResult,
  makeChallenge,
  removeChallenge,
  removeChallengeResult,
} from '../challenges/challenges';
import { act } from '../access/door';
import { changed } from './changed';
import { asId } from './ids';
import { removeCounting, saveLedger, sayCounting } from '../players/ledger';

/* Challenges, and the coach's words on counts and foci: as in ./index, ids and input come from outside. */

export async function makeChallengeAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'challenge.make', [], async (context) => changed(await makeChallenge(context, input)));
}

export async function removeChallengeAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'challenge.remove' : 'challenge.bring-back', [asId(id)], async (context) =>
    changed(await removeChallenge(context, asId(id), removed === true)),
  );
}

export async function addChallengeResultAction(id: string, input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'challenge.result', [asId(id)], async (context) =>
    changed(await addChallengeResult(context, asId(id), input)),
  );
}

export async function removeChallengeResultAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act(
    'write',
    removed ? 'challenge.result-remove' : 'challenge.result-bring-back',
    [asId(id)],
    async (context) => changed(await removeChallengeResult(context, asId(id), removed === true)),
  );
}

export async function saveLedgerAction(playerId: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'ledger.save', [asId(playerId)], async (context) =>
    changed(await saveLedger(context, asId(playerId), input)),
  );
}

export async function sayCountingAction(playerId: string, input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'counting.say', [asId(playerId)], async (context) =>
    changed(await sayCounting(context, asId(playerId), input)),
  );
}

export async function removeCountingAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'counting.remove' : 'counting.bring-back', [asId(id)], async (context) =>
    changed(await removeCounting(context, asId(id), removed === true)),
  );
}
