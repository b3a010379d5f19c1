import { object, string } from 'yup';

const longest = 128;
const name = string()
  .trim()
  .required('Name is missing: write how you are called.')
  .max(40, 'Name is too long: use at most 40 letters.');
/** What makes a good one is said where it is chosen; here it is only bounded. */
const passcode = string()
  .required('Passcode is missing.')
  .max(longest, `Passcode is too long: at most ${longest} letters.`);

export const signInSchema = object({ name, passcode });

export const newCoachSchema = object({
  name,
  passcode,
  role: string()
    .oneOf(['owner', 'coach'] as const, 'Role is owner or coach.')
    .default('coach'),
});

/** A new passcode, and the one of now of whoever gives it: left out while nobody signs in. */
export const passcodeSchema = object({
  passcode,
  own: string().default('').max(longest, `Your passcode is too long: at most ${longest} letters.`),
});
