import { array, string } from 'yup';
import { findChange } from '@/drills/base/changes';

/** Spices and easings by name, as they can be put on a block. */
export const changesSchema = array()
  .of(
    string()
      .required('A change is missing its name.')
      .test(
        'change',
        'Changes must be spices and easings of the drill: take this one off.',
        (change) => findChange(change ?? '') !== undefined,
      ),
  )
  .max(4, 'Changes: at most four on one block.');
