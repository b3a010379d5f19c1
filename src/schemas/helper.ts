import { object, string } from 'yup';
import { ulidPattern } from './ids';

/** A helper's name, as the coach writes it when a link is made; and the station it counts at, where it counts at one. */
export const helperNameSchema = object({
  name: string().trim().default('').max(40, 'Helper’s name is too long: use at most 40 letters.'),
  blockId: string()
    .nullable()
    .default(null)
    .matches(ulidPattern, 'The station is not one of ours: reload the page.'),
});

/** Whose link it is. */
export const linkNameSchema = object({
  name: string()
    .trim()
    .required('Name is missing: whose calendar is it?')
    .max(40, 'Name is too long: use at most 40 letters.'),
});
