import { array, object, string, type InferType } from 'yup';
import { findChange } from '@/drills/changes';
import { daySchema } from './day';

const id = (what: string) => string().required(`${what} is missing: reload the page.`);

/** What was really done in a block that was held: its changes, and the step each player worked on. */
export const blockCorrectionSchema = object({
  blockId: id('Block'),
  changes: array()
    .of(
      string()
        .required('A change is missing its name.')
        .test(
          'change',
          'Changes must be spices and easings of the drill: take this one off.',
          (change) => findChange(change ?? '') !== undefined,
        ),
    )
    .required('Changes is missing: send an empty list for none.')
    .max(4, 'Changes: at most four on one block.'),
  steps: array()
    .of(object({ playerId: id('Player'), stepId: id('Step') }).required('A player’s step is missing.'))
    .default([])
    .max(12, 'Steps: one for each player at most.'),
});
export type BlockCorrection = InferType<typeof blockCorrectionSchema>;

/** The day a session was really held. */
export const dayCorrectionSchema = object({ day: daySchema });
