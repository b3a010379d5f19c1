import { array, number, object, string, type InferType } from 'yup';

export const verdicts = ['up', 'hold', 'back'] as const;

const decisionSchema = object({
  blockId: string().required('Block is missing: reload the page.'),
  playerId: string().required('Player is missing: reload the page.'),
  verdict: string()
    .oneOf(verdicts, 'Decision must be up, hold or back.')
    .required('Decision is missing: choose one.'),
  target: number()
    .typeError('Next target must be a number.')
    .required('Next target is empty: type a number.')
    .min(0.1, 'Next target must be from 0.1 to 10000.')
    .max(10_000, 'Next target must be from 0.1 to 10000.'),
}).required('A decision is missing: reload the page.');

/** What the coach decides about players after the blocks of one session. */
export const decisionsSchema = array()
  .of(decisionSchema)
  .required('Decisions is missing.')
  .min(1, 'Decisions is empty: choose at least one.')
  .max(500, 'Decisions: at most 500 at a time.');
export type DecisionForm = InferType<typeof decisionSchema>;
