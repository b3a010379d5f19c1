import { object, string } from 'yup';

/** The name of a player who is removed for good, typed once more. */
export const eraseSchema = object({
  name: string().trim().required('Name is empty: type the child’s name to remove them for good.'),
});
