import { string } from 'yup';

/** The shape of every id of ours: a ULID. */
export const ulidPattern = /^[0-9A-HJKMNP-TV-Z]{26}$/;

/** An id that has to be there. @param what it is of: "Block" */
export const idOf = (what: string) =>
  string()
    .required(`${what} is missing.`)
    .matches(ulidPattern, `${what} is not one of ours: reload the page.`);
