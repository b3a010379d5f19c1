import { object, string } from 'yup';

/** Where a player is put on a ladder; a step of null takes them off it. */
export const standingSchema = object({
  playerId: string().required('Player is missing: choose one.'),
  drillId: string().required('Drill is missing: choose one.'),
  stepId: string().nullable().default(null),
});
