import { playerNotes, sessionNotes } from '../readers/notes';
import { finishSession } from '../plan/sessions';
import { planAgain } from '../plan/again';
import { oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { playerView } from '../views/player';
import { planNotesView } from '../views/plan-notes';
import { sessionPlanView } from '../views/session-plan';
import { sessionReviewView } from '../views/session-review';
import { addNote, answerRecap, removeNote } from './notes';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('notes on a session, a block and a player are found in the review, on the player’s page and in the next plan', async () => {
  const { context } = box;
  const { sessionId, playerIds, block } = await oneBlockSession(context);
  const [playerId] = playerIds;
  value(await addNote(context, { sessionId, text: 'Hall was cold' }));
  value(await addNote(context, { sessionId, blockId: block.id, text: 'Cones too far' }));
  value(await addNote(context, { sessionId, playerId, text: 'New racket' }));
  value(await answerRecap(context, sessionId, { question: 'was hard', text: 'the far lane' }));
  value(await finishSession(context, sessionId));

  const { written } = (await sessionReviewView(context, sessionId))!;
  expect(written.notes.map(({ text, blockId }) => [text, blockId])).toEqual([
    ['Hall was cold', null],
    ['Cones too far', block.id],
    ['New racket', null],
  ]);
  expect(written.answers).toEqual({ 'was hard': 'the far lane' });
  expect((await playerView(context, playerId!))!.notes.map(({ text }) => text)).toEqual(['New racket']);

  const { ids } = value(await planAgain(context, sessionId, { days: ['2026-12-03'] }));
  const next = (await sessionPlanView(context, ids[0]!))!;
  expect(next.notes).toEqual([]);
  const known = await planNotesView(context, ids[0]!, playerIds);
  expect(known.before).toEqual({
    sessionId,
    title: 'Thursday group',
    day: '2026-11-24',
    answers: { 'was hard': 'the far lane' },
    notes: [
      { drillId: null, playerId: null, text: 'Hall was cold' },
      { drillId: 'palm-up-bounce', playerId: null, text: 'Cones too far' },
      { drillId: null, playerId, text: 'New racket' },
    ],
  });
  expect(known.players.map(({ text }) => text)).toEqual(['New racket']);
  expect(await planNotesView(context, 'nobody', playerIds)).toEqual({ before: null, players: [] });
});

test('an answer takes the place of the one before; an empty one takes it back', async () => {
  const { context } = box;
  const { sessionId } = await oneBlockSession(context);
  const answers = async () => (await sessionNotes(context.db, sessionId)).answers;
  value(await answerRecap(context, sessionId, { question: 'went well', text: 'feet' }));
  value(await answerRecap(context, sessionId, { question: 'went well', text: 'quiet feet' }));
  expect(await answers()).toEqual({ 'went well': 'quiet feet' });
  value(await answerRecap(context, sessionId, { question: 'went well', text: ' ' }));
  expect(await answers()).toEqual({});
});

test('a note is removed and put back', async () => {
  const { context } = box;
  const { playerIds } = await oneBlockSession(context);
  const [playerId] = playerIds;
  const { id } = value(await addNote(context, { playerId, text: 'Left-handed at home' }));
  const shown = async () => (await playerNotes(context.db, [playerId!], 0, 9)).map((note) => note.id);
  value(await removeNote(context, id, true));
  expect(await shown()).toEqual([]);
  value(await removeNote(context, id, false));
  expect(await shown()).toEqual([id]);
});

test('what is about nothing, about a stranger, empty or too long is refused', async () => {
  const { context } = box;
  const { sessionId } = await oneBlockSession(context);
  for (const [input, message] of [
    [{ text: 'x' }, /Note is about nothing/],
    [{ sessionId, text: ' ' }, /^text: Note is empty/],
    [{ sessionId, text: 'x'.repeat(501) }, /at most 500 letters/],
    [{ sessionId: 'nobody', text: 'x' }, /^session/],
    [{ playerId: 'nobody', text: 'x' }, /^playerId/],
    [{ sessionId, blockId: 'nobody', text: 'x' }, /^blockId/],
  ] as const)
    expect(problem(await addNote(context, input))).toMatch(message);
  expect(problem(await answerRecap(context, sessionId, { question: 'why', text: 'x' }))).toMatch(/^question/);
  expect(
    problem(await answerRecap(context, sessionId, { question: 'was hard', text: 'x'.repeat(61) })),
  ).toMatch(/at most 60 letters/);
  expect((await sessionNotes(context.db, sessionId)).notes).toEqual([]);
});
