import { object, string } from 'yup';

/** A helper's name, as the coach writes it when a link is made. */
export const helperNameSchema = object({
  name: string().trim().default('').max(40, 'Helper’s name is too long: use at most 40 letters.'),
});

/** Whose link it is. */
export const linkNameSchema = object({
  name: string()
    .trim()
    .required('Name is missing: whose calendar is it?')
    .max(40, 'Name is too long: use at most 40 letters.'),
});
