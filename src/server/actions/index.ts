'use server';

import type { Outcome } from '@/core/base/outcome';
import { act, look } from '../access/door';
import { changed } from './changed';
import { asId, asIds } from './ids';
import { copyNow } from '../files/copies';
import { decide } from '../plan/decisions';
import { chooseSchool } from '../drills/teaching-styles';
import { overruleFit } from '../players/sizes';
import { removeDrill, saveDrill } from '../drills/own-drills';
import { removePlace, saveKit, savePlace } from '../venues/venues';
import { removeFeeder, saveFeeder, writeSetting, type Written } from '../calculators/settings';
import { removeSequence, saveSequence } from '../drills/sequences';
import { sayAttendance, sayHeld, sayNotHeld } from '../plan/attendance';
import { moveLanes } from '../plan/lanes';
import { correctBlock, correctDay, undoCorrection, type Corrected } from '../plan/correct';
import { clashesView, type Clashes } from '../views/clashes';
import { groupsView, type Group } from '../views/groups';
import { planNotesView, type PlanNotesView } from '../views/plan-notes';
import { whoElse, type WhoElse } from '../views/who-else';
import { addToSession } from '../plan/add-to-session';
import { planAgain, type Again } from '../plan/again';
import { joinSession } from '../plan/join';
import { keepPattern, removePattern } from '../plan/patterns';
import { patternsView, type Pattern } from '../readers/patterns';
import { addNote, answerRecap, removeNote } from '../notes/notes';
import { makeHelperLink, withdrawHelperLinks } from '../court/helper-links';
import { followedBy, sessionsDecided } from '../plan/course/replan';
import { createSession, finishSession, loadPlan, removeSession, runToday, savePlan } from '../plan/sessions';
import type { PlanForm } from '@/schemas/session';
import { eraseForGood, type Erased } from '../players/erase';
import { removePlayer, savePlayer } from '../players/squad';
import { placePlayer } from '../players/standing';

/*
 * What screens may ask of the server. Arguments come from outside: whatever their type says here, they are
 * checked by the use cases; ids that are none of ours are taken as unknown.
 */

export async function savePlayerAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return act('write', 'player.save', [id === undefined ? '' : asId(id)], async (context) =>
    changed(await savePlayer(context, input, id === undefined ? undefined : asId(id))),
  );
}

export async function removePlayerAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'player.remove' : 'player.bring-back', [asId(id)], async (context) =>
    changed(await removePlayer(context, asId(id), removed === true)),
  );
}

/** The groups and patterns a new session can begin with: read when its form opens. */
export async function startsAction(): Promise<{
  readonly groups: readonly Group[];
  readonly patterns: readonly Pattern[];
}> {
  return look(async (context) => {
    const [groups, patterns] = await Promise.all([groupsView(context), patternsView(context)]);
    return { groups, patterns };
  });
}

export async function keepPatternAction(sessionId: string, input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'pattern.keep', [asId(sessionId)], async (context) =>
    changed(await keepPattern(context, asId(sessionId), input)),
  );
}

export async function removePatternAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'pattern.remove' : 'pattern.bring-back', [asId(id)], async (context) =>
    changed(await removePattern(context, asId(id), removed === true)),
  );
}

export async function joinSessionAction(
  sessionId: string,
  input: unknown,
): Promise<Outcome<{ playerId: string; name: string }>> {
  return act('write', 'session.join', [asId(sessionId)], async (context) =>
    changed(await joinSession(context, asId(sessionId), input)),
  );
}

/** The page it is asked on is gone after it: it says what is left to do first, and is left by its own button. */
export async function eraseForGoodAction(id: string, input: unknown): Promise<Outcome<Erased>> {
  return act('rule-anew', 'player.erase', [asId(id)], async (context) =>
    eraseForGood(context, asId(id), input),
  );
}

export async function copyNowAction(): Promise<Outcome<{ name: string; sessions: number }>> {
  return act('rule', 'copy.make', [], async (context) => changed(await copyNow(context)));
}

/** Read when the notes of a plan are opened. */
export async function planNotesAction(sessionId: string, playerIds: unknown): Promise<PlanNotesView> {
  const ids = asIds(playerIds);
  return look((context) => planNotesView(context, asId(sessionId), ids));
}

/** What a booking would collide with: asked while its form is filled in. */
export async function clashesAction(input: unknown): Promise<Clashes> {
  return look((context) => clashesView(context, input));
}

export async function whoElseAction(sessionId: string): Promise<WhoElse> {
  return look((context) => whoElse(context, asId(sessionId)));
}

export async function addNoteAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'note.add', [], async (context) => changed(await addNote(context, input)));
}

export async function removeNoteAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'note.remove' : 'note.bring-back', [asId(id)], async (context) =>
    changed(await removeNote(context, asId(id), removed === true)),
  );
}

export async function answerRecapAction(sessionId: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'note.recap', [asId(sessionId)], async (context) =>
    changed(await answerRecap(context, asId(sessionId), input)),
  );
}

export async function planAgainAction(id: string, input: unknown): Promise<Outcome<Again>> {
  return act('write', 'session.again', [asId(id)], async (context) =>
    changed(await planAgain(context, asId(id), input)),
  );
}

export async function runTodayAction(id: string): Promise<Outcome<null>> {
  return act('write', 'session.run-today', [asId(id)], async (context) =>
    changed(await runToday(context, asId(id))),
  );
}

export async function createSessionAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return act('write', 'session.add', [], async (context) => changed(await createSession(context, input)));
}

/** The plan screen keeps its own state: nothing is read again. */
export async function savePlanAction(id: string, input: unknown): Promise<Outcome<{ revision: number }>> {
  return act('write', 'session.plan', [asId(id)], async (context) => savePlan(context, asId(id), input));
}

export async function loadPlanAction(id: string): Promise<Outcome<PlanForm>> {
  return act('see', 'session.read', [], (context) => loadPlan(context, asId(id)));
}

export async function makeHelperLinkAction(
  sessionId: string,
  playerId: string | null,
  input: unknown,
): Promise<Outcome<{ token: string }>> {
  return act('write', 'link.make', [asId(sessionId), asId(playerId)], async (context) =>
    makeHelperLink(context, asId(sessionId), playerId === null ? null : asId(playerId), input),
  );
}

export async function withdrawHelperLinksAction(
  sessionId: string,
  playerId: string | null,
  blockId: string | null = null,
): Promise<Outcome<null>> {
  return act('write', 'link.withdraw', [asId(sessionId), asId(playerId)], async (context) =>
    withdrawHelperLinks(
      context,
      asId(sessionId),
      playerId === null ? null : asId(playerId),
      blockId === null ? null : asId(blockId),
    ),
  );
}

export async function finishSessionAction(id: string): Promise<Outcome<null>> {
  return act('write', 'session.finish', [asId(id)], async (context) =>
    changed(await followedBy(context, await finishSession(context, asId(id)), [asId(id)])),
  );
}

export async function removeSessionAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'session.remove' : 'session.bring-back', [asId(id)], async (context) =>
    changed(await removeSession(context, asId(id), removed === true)),
  );
}

export async function decideAction(decisions: unknown): Promise<Outcome<null>> {
  return act('write', 'decision', [], async (context) =>
    changed(
      await followedBy(context, await decide(context, decisions), await sessionsDecided(context, decisions)),
    ),
  );
}

export async function sayAttendanceAction(id: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'session.attendance', [asId(id)], async (context) =>
    changed(await sayAttendance(context, asId(id), input)),
  );
}

export async function moveLanesAction(id: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'session.lanes', [asId(id)], async (context) =>
    changed(await moveLanes(context, asId(id), input)),
  );
}

export async function sayNotHeldAction(id: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'session.not-held', [asId(id)], async (context) =>
    changed(await sayNotHeld(context, asId(id), input)),
  );
}

export async function sayHeldAction(id: string, held: boolean): Promise<Outcome<null>> {
  return act('write', 'session.held', [asId(id)], async (context) =>
    changed(await sayHeld(context, asId(id), held === true)),
  );
}

export async function correctBlockAction(id: string, input: unknown): Promise<Outcome<Corrected>> {
  return act('write', 'session.correct', [asId(id)], async (context) =>
    changed(await correctBlock(context, asId(id), input)),
  );
}

export async function correctDayAction(id: string, input: unknown): Promise<Outcome<Corrected>> {
  return act('write', 'session.correct', [asId(id)], async (context) =>
    changed(await correctDay(context, asId(id), input)),
  );
}

export async function undoCorrectionAction(id: string, eventIds: unknown): Promise<Outcome<null>> {
  const ids = asIds(eventIds);
  return act('write', 'session.correct-undo', [asId(id)], async (context) =>
    changed(await undoCorrection(context, asId(id), ids)),
  );
}

export async function savePlaceAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return act('write', 'place.save', [id === undefined ? '' : asId(id)], async (context) =>
    changed(await savePlace(context, input, id === undefined ? undefined : asId(id))),
  );
}

export async function removePlaceAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'place.remove' : 'place.bring-back', [asId(id)], async (context) =>
    changed(await removePlace(context, asId(id), removed === true)),
  );
}

export async function saveKitAction(input: unknown): Promise<Outcome<null>> {
  return act('write', 'kit.save', [], async (context) => changed(await saveKit(context, input)));
}

export async function saveDrillAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return act('write', 'drill.save', [id === undefined ? '' : asId(id)], async (context) =>
    changed(await saveDrill(context, input, id === undefined ? undefined : asId(id))),
  );
}

export async function removeDrillAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'drill.remove' : 'drill.bring-back', [asId(id)], async (context) =>
    changed(await removeDrill(context, asId(id), removed === true)),
  );
}

export async function chooseSchoolAction(input: unknown): Promise<Outcome<null>> {
  return act('write', 'school.choose', [], async (context) => changed(await chooseSchool(context, input)));
}

export async function overruleFitAction(playerId: string, input: unknown): Promise<Outcome<null>> {
  return act('write', 'fit.overrule', [asId(playerId)], async (context) =>
    changed(await overruleFit(context, asId(playerId), input)),
  );
}

export async function addToSessionAction(sessionId: string, drillId: string): Promise<Outcome<null>> {
  return act('write', 'session.plan', [asId(sessionId), asId(drillId)], async (context) =>
    changed(await addToSession(context, asId(sessionId), asId(drillId))),
  );
}

export async function writeSettingAction(
  sessionId: string,
  blockId: string,
  setting: unknown,
  dose?: unknown,
): Promise<Outcome<Written>> {
  return act('write', 'session.plan', [asId(sessionId), asId(blockId)], async (context) =>
    changed(await writeSetting(context, asId(sessionId), asId(blockId), setting, dose)),
  );
}

export async function saveFeederAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return act('write', 'feeder.save', [id === undefined ? '' : asId(id)], async (context) =>
    changed(await saveFeeder(context, input, id === undefined ? undefined : asId(id))),
  );
}

export async function removeFeederAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'feeder.remove' : 'feeder.bring-back', [asId(id)], async (context) =>
    changed(await removeFeeder(context, asId(id), removed === true)),
  );
}

/** Keeps a shadow sequence, or changes the one with an id. */
export async function saveSequenceAction(input: unknown, id?: string): Promise<Outcome<{ id: string }>> {
  return act('write', 'sequence.save', [id === undefined ? '' : asId(id)], async (context) =>
    changed(await saveSequence(context, input, id === undefined ? undefined : asId(id))),
  );
}

/** Takes a shadow sequence off the list, or back on it. */
export async function removeSequenceAction(id: string, removed: boolean): Promise<Outcome<null>> {
  return act('write', removed ? 'sequence.remove' : 'sequence.bring-back', [asId(id)], async (context) =>
    changed(await removeSequence(context, asId(id), removed === true)),
  );
}

export async function placePlayerAction(input: unknown): Promise<Outcome<{ before: string | null }>> {
  return act('write', 'standing.place', [], async (context) => changed(await placePlayer(context, input)));
}
