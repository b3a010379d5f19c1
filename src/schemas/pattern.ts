import { object, string } from 'yup';

/** A pattern's name. */
export const patternSchema = object({
  title: string()
    .trim()
    .required('Name is empty: give the pattern a name, such as Rainy day.')
    .max(80, 'Name is too long: use at most 80 letters.'),
});
