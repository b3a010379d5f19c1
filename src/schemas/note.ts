import { object, string } from 'yup';
import { recapQuestions } from '@/core/base/recap';

export const longestNote = 500;
/** An answer to a recap question is a word or two. */
export const longestAnswer = 60;

const about = string()
  .nullable()
  .default(null)
  .max(80, 'What the note is about is not one of ours: reload the page.');

/** A note about a session, one of its blocks, a player, or a player in a session. */
export const noteSchema = object({
  sessionId: about,
  blockId: about,
  playerId: about,
  text: string()
    .trim()
    .required('Note is empty: write what you want to find again.')
    .max(longestNote, `Note is too long: use at most ${longestNote} letters.`),
}).test(
  'about',
  'Note is about nothing: choose a session or a player.',
  ({ sessionId, playerId }) => sessionId !== null || playerId !== null,
);
/** An answer to a recap question; an empty one takes it back. */
export const answerSchema = object({
  question: string()
    .oneOf([...recapQuestions], 'Question is not one of the recap’s: reload the page.')
    .required('Question is missing: reload the page.'),
  text: string()
    .trim()
    .default('')
    .max(longestAnswer, `Answer is too long: a word or two, at most ${longestAnswer} letters.`),
});
