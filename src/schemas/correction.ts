import { array, object, string } from 'yup';
import { changesSchema } from './changes';
import { daySchema } from './day';
import { maxPlayers } from './booking';

const id = (what: string) => string().required(`${what} is missing: reload the page.`);

/** What was really done in a block that was held: its changes, and the step each player worked on. */
export const blockCorrectionSchema = object({
  blockId: id('Block'),
  changes: changesSchema.required('Changes is missing: send an empty list for none.'),
  steps: array()
    .of(object({ playerId: id('Player'), stepId: id('Step') }).required('A player’s step is missing.'))
    .default([])
    .max(maxPlayers, 'Steps: one for each player at most.'),
});

/** The day a session was really held. */
export const dayCorrectionSchema = object({ day: daySchema });
