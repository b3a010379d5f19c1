import { string } from 'yup';

/** A day of the calendar, local ISO. */
export const daySchema = string()
  .required('Day is empty: choose a day.')
  .matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Day must be a date, such as 2026-11-26.')
  .test('real', 'Day is not in the calendar: choose a day that exists.', (day) => {
    const date = new Date(`${day}T00:00:00Z`);
    return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(day ?? '');
  });
