import { questions, schoolAnswers, type SchoolQuestion } from './schools';

/** What a question of the schools is called, and why the default is what it is. */
const words: Readonly<Record<SchoolQuestion, { readonly title: string; readonly why: string }>> = {
  moveUp: {
    title: 'When to move up',
    why: 'Rows are judged in a row on so many days, all else by own best plus one; a review shows all four side by side.',
  },
  sweetSpot: {
    title: 'Chance of success that teaches most',
    why: 'Practice teaches most at a middle difficulty; where the middle lies is a coach’s choice.',
  },
  homeCounts: {
    title: 'Days that show a mark',
    why: 'On court somebody else counts; what is done at home is counted for practice, and shown beside it.',
  },
  order: {
    title: 'What comes first',
    why: 'Each ladder has its usual order: feet first where moving wrong is a hazard, the swing first where it shows the feet where to arrive.',
  },
  stretch: {
    title: 'How long a stretch is held',
    why: 'Ten seconds suit children: for the small ones it is a habit and not a flexibility programme.',
  },
  backhand: {
    title: 'Backhand',
    why: 'Two hands while strength is short; a player’s own setting stands above it.',
  },
  takeBack: {
    title: 'Take-back',
    why: 'Straight back has fewer parts to go wrong while the swing is new.',
  },
  ballBehind: {
    title: 'Hips for a ball behind',
    why: 'Square hips keep both ways open on the short ways of a star; a long way back is turned and run.',
  },
  volleyHold: {
    title: 'Hold for the two volleys',
    why: 'At the wall there is no time to change; one hold for both is what the hand can keep.',
  },
  tired: {
    title: 'When form begins to go',
    why: 'What is practised tired is learned tired; some let older players finish a round on purpose.',
  },
  targetScoring: {
    title: 'Scoring a target',
    why: 'Each target game brings its own scoring, so old results stay comparable.',
  },
  bounceRule: {
    title: 'Which bounce counts',
    why: 'The first bounce is what the stroke decides; rolling on is luck.',
  },
  dropRule: {
    title: 'After a drop',
    why: 'From the spot, because walking back teaches nothing; a row restarts in any case.',
  },
};

/** Where practitioners disagree: the questions, the answers, and why the default is what it is. The court needs no words. */
export const schoolQuestions = Object.fromEntries(
  questions.map((question) => [question, { ...words[question], answers: schoolAnswers[question] }]),
) as {
  readonly [Q in SchoolQuestion]: (typeof words)[Q] & { readonly answers: (typeof schoolAnswers)[Q] };
};
