'use server';

import { revalidatePath } from 'next/cache';
import type { Outcome } from '@/core/outcome';
import { isSoundText } from '@/core/text';
import { requestContext } from '../context';
import { copyNow } from '../copies';
import { decide } from '../sessions/decisions';
import {
  chooseSchool,
  overruleFit,
  removeDrill,
  removePlace,
  saveDrill,
  saveKit,
  savePlace,
} from '../house/house';
import { removeFeeder, saveFeeder, writeSetting } from '../house/benches';
import type { BlockSetting } from '@/core/setting';
import { sayAttendance, sayHeld, sayNotHeld } from '../sessions/attendance';
import { correctBlock, correctDay, undoCorrection, type Corrected } from '../sessions/correct';
import { groupsView, type Group } from '../views/groups';
import { planNotesView, type PlanNotesView } from '../views/plan-notes';
import { whoElse, type WhoElse } from '../views/who-else';
import { addToSession } from '../sessions/add-to-session';
import { planAgain, type Again } from '../sessions/again';
import { joinSession } from '../sessions/join';
import { keepPattern, removePattern } from '../sessions/patterns';
import { patternsView, type Pattern } from '../readers/patterns';
import { addNote, answerRecap, removeNote } from '../notes/notes';
import { makeHelperLink, withdrawHelperLinks } from '../log/helper-links';
import { createSession, finishSession, loadPlan, removeSession, savePlan } from '../sessions/sessions';
import type { PlanForm } from '@/schemas/session';
import { eraseForGood, type Erased } from '../squad/erase';
import { removePlayer, savePlayer } from '../squad/squad';
import { placePlayer } from '../squad/standing';

/*
 * What screens may ask of the server. Arguments come from outside: whatever their type says here, they are
 * checked by the use cases; ids that are none of ours are taken as unknown.
 */
const asId = (id: unknown): string =>
  typeof id === 'string' && id.length <= longestId && isSoundText(id) ? id : '';
const longestId = 80;
/** More blocks than a session can have. */
const mostIds = 50;

/** Pages are read again after a change, in every window that asks. */
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

/** The groups and patterns a new session can begin with: read when its form opens. */
export async function startsAction(): Promise<{
  readonly groups: readonly Group[];
  readonly patterns: readonly Pattern[];
}> {
  const context = await requestContext();
  const [groups, patterns] = await Promise.all([groupsView(context), patternsView(context)]);
  return { groups, patterns };
}

export async function keepPatternAction(sessionId: string, input: unknown): Promise<Outcome<{ id: string }>> {
  return changed(await keepPattern(await requestContext(), asId(sessionId), input));
}

export async function removePatternAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removePattern(await requestContext(), asId(id), removed === true));
}

export async function joinSessionAction(
  sessionId: string,
  input: unknown,
): Promise<Outcome<{ playerId: string; name: string }>> {
  return changed(await joinSession(await requestContext(), asId(sessionId), input));
}

/** The page it is asked on is gone after it: it says what is left to do first, and is left by its own button. */
export async function eraseForGoodAction(id: string, input: unknown): Promise<Outcome<Erased>> {
  return eraseForGood(await requestContext(), asId(id), input);
}

export async function copyNowAction(): Promise<Outcome<{ name: string; sessions: number }>> {
  return changed(await copyNow(await requestContext()));
}

/** Read when the notes of a plan are opened. */
export async function planNotesAction(sessionId: string, playerIds: unknown): Promise<PlanNotesView> {
  const ids = Array.isArray(playerIds) ? playerIds.slice(0, mostIds).map(asId) : [];
  return planNotesView(await requestContext(), asId(sessionId), ids);
}

export async function whoElseAction(sessionId: string): Promise<WhoElse> {
  return whoElse(await requestContext(), asId(sessionId));
}

export async function addNoteAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return changed(await addNote(await requestContext(), input));
}

export async function removeNoteAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removeNote(await requestContext(), asId(id), removed === true));
}

export async function answerRecapAction(sessionId: string, input: unknown): Promise<Outcome<null>> {
  return changed(await answerRecap(await requestContext(), asId(sessionId), input));
}

export async function planAgainAction(id: string, input: unknown): Promise<Outcome<Again>> {
  return changed(await planAgain(await requestContext(), asId(id), input));
}

export async function createSessionAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return changed(await createSession(await requestContext(), input));
}

/** The plan screen keeps its own state: nothing is read again. */
export async function savePlanAction(id: string, input: unknown): Promise<Outcome<{ revision: number }>> {
  return savePlan(await requestContext(), asId(id), input);
}

export async function loadPlanAction(id: string): Promise<Outcome<PlanForm>> {
  return loadPlan(await requestContext(), asId(id));
}

export async function makeHelperLinkAction(
  sessionId: string,
  playerId: string,
  input: unknown,
): Promise<Outcome<{ token: string }>> {
  return makeHelperLink(await requestContext(), asId(sessionId), asId(playerId), input);
}

export async function withdrawHelperLinksAction(sessionId: string, playerId: string): Promise<Outcome<null>> {
  return withdrawHelperLinks(await requestContext(), asId(sessionId), asId(playerId));
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

export async function sayAttendanceAction(id: string, input: unknown): Promise<Outcome<null>> {
  return changed(await sayAttendance(await requestContext(), asId(id), input));
}

export async function sayNotHeldAction(id: string, input: unknown): Promise<Outcome<null>> {
  return changed(await sayNotHeld(await requestContext(), asId(id), input));
}

export async function sayHeldAction(id: string, held: boolean): Promise<Outcome<null>> {
  return changed(await sayHeld(await requestContext(), asId(id), held === true));
}

export async function correctBlockAction(id: string, input: unknown): Promise<Outcome<Corrected>> {
  return changed(await correctBlock(await requestContext(), asId(id), input));
}

export async function correctDayAction(id: string, input: unknown): Promise<Outcome<Corrected>> {
  return changed(await correctDay(await requestContext(), asId(id), input));
}

export async function undoCorrectionAction(id: string, eventIds: unknown): Promise<Outcome<null>> {
  const ids = Array.isArray(eventIds) ? eventIds.slice(0, mostIds).map(asId) : [];
  return changed(await undoCorrection(await requestContext(), asId(id), ids));
}

export async function savePlaceAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return changed(await savePlace(await requestContext(), input, id === undefined ? undefined : asId(id)));
}

export async function removePlaceAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removePlace(await requestContext(), asId(id), removed === true));
}

export async function saveKitAction(input: unknown): Promise<Outcome<null>> {
  return changed(await saveKit(await requestContext(), input));
}

export async function saveDrillAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return changed(await saveDrill(await requestContext(), input, id === undefined ? undefined : asId(id)));
}

export async function removeDrillAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removeDrill(await requestContext(), asId(id), removed === true));
}

export async function chooseSchoolAction(input: unknown): Promise<Outcome<null>> {
  return changed(await chooseSchool(await requestContext(), input));
}

export async function overruleFitAction(playerId: string, input: unknown): Promise<Outcome<null>> {
  return changed(await overruleFit(await requestContext(), asId(playerId), input));
}

export async function addToSessionAction(sessionId: string, drillId: string): Promise<Outcome<null>> {
  return changed(await addToSession(await requestContext(), asId(sessionId), asId(drillId)));
}

export async function writeSettingAction(
  sessionId: string,
  blockId: string,
  setting: unknown,
): Promise<Outcome<{ before: BlockSetting | null }>> {
  return changed(await writeSetting(await requestContext(), asId(sessionId), asId(blockId), setting));
}

export async function saveFeederAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return changed(await saveFeeder(await requestContext(), input, id === undefined ? undefined : asId(id)));
}

export async function removeFeederAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return changed(await removeFeeder(await requestContext(), asId(id), removed === true));
}

export async function placePlayerAction(input: unknown): Promise<Outcome<{ before: string | null }>> {
  return changed(await placePlayer(await requestContext(), input));
}
