import { object, string } from 'yup';

/** A helper's name, as the coach writes it when a link is made. */
export const helperNameSchema = object({
  name: string().trim().default('').max(40, 'Helper’s name is too long: use at most 40 letters.'),
});
