'use server';

import { revalidatePath } from 'next/cache';
import type { Outcome } from '@/core/outcome';
import { requestContext } from '../context';
import { decide } from '../decisions';
import { createSession, finishSession, loadPlan, removeSession, savePlan, startSession } from '../sessions';
import type { PlanForm } from '../schemas/session';
import { removePlayer, savePlayer } from '../squad';

/*
 * What screens may ask of the server. Arguments come from outside: whatever their type says here, they are
 * checked by the use cases; ids that are no text are taken as unknown.
 */
const asId = (id: unknown): string => (typeof id === 'string' ? id : '');

/** Pages are read anew after a change, in every window that asks. */
function changed<T>(outcome: Outcome<T>): Outcome<T> {
  if (outcome.ok) revalidatePath('/', 'layout');
  return outcome;
}

export async function savePlayerAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return changed(await savePlayer(await requestContext(), input, id === undefined ? undefined : asId(id)));
}

export async function removePlayerAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removePlayer(await requestContext(), asId(id), removed === true));
}

export async function createSessionAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return changed(await createSession(await requestContext(), input));
}

/** The plan screen keeps its own state: nothing is read anew. */
export async function savePlanAction(id: string, input: unknown): Promise<Outcome<{ revision: number }>> {
  return savePlan(await requestContext(), asId(id), input);
}

export async function loadPlanAction(id: string): Promise<Outcome<PlanForm>> {
  return loadPlan(await requestContext(), asId(id));
}

export async function startSessionAction(id: string): Promise<Outcome<null>> {
  return startSession(await requestContext(), asId(id));
}

export async function finishSessionAction(id: string): Promise<Outcome<null>> {
  return changed(await finishSession(await requestContext(), asId(id)));
}

export async function removeSessionAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removeSession(await requestContext(), asId(id), removed === true));
}

export async function decideAction(decisions: unknown): Promise<Outcome<null>> {
  return changed(await decide(await requestContext(), decisions));
}
