/** What a coach asks at the end of a session; answered in a word or two. Ours. */
export const recapQuestions = ['went well', 'was hard', 'next time'] as const;
export type RecapQuestion = (typeof recapQuestions)[number];

export const recapInWords: Readonly<Record<RecapQuestion, string>> = {
  'went well': 'What went well?',
  'was hard': 'What was hard?',
  'next time': 'What next time?',
};
