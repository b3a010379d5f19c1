import { array, boolean, number, object, string } from 'yup';
import type { LaneMove } from '@/session/plan/moved-lanes';

const metres = (name: string) =>
  number()
    .typeError(`${name} must be a number of metres.`)
    .required(`${name} is missing.`)
    .min(-200, `${name} must be from -200 to 400 m.`)
    .max(400, `${name} must be from -200 to 400 m.`);

const moves = array(
  object({
    blockId: string().required('Block is missing.').max(40, 'Block is too long to be one.'),
    lane: number()
      .typeError('Lane must be a whole number.')
      .required('Lane is missing.')
      .integer('Lane must be a whole number.')
      .min(0, 'Lane must be from 0 to 99.')
      .max(99, 'Lane must be from 0 to 99.'),
    xM: metres('Metres along the wall'),
    yM: metres('Metres from the wall'),
    turned: boolean().required('Turned is missing: yes or no.'),
  }),
)
  .required('Moved lanes are missing: give a list.')
  .max(100, 'Moved lanes: at most 100.');
/** Lanes that were moved by hand. Where they lie badly is said, not refused: they are on their way. */
export const laneMovesSchema = object({ moves });

/** What a session has of it in the book. */
export const laneMovesOf = (kept: string | null): readonly LaneMove[] =>
  kept === null ? [] : (JSON.parse(kept) as LaneMove[]);
