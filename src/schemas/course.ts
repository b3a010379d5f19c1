import { array, object, string } from 'yup';
import { daySchema } from './day';
import { ulidPattern } from './ids';

/** Sessions of a course: from, to. Ours. */
export const courseSessions = { min: 4, max: 12 } as const;

/** A course as it is made: a goal, the session it goes on from, and its days. */
export const courseSchema = object({
  title: string()
    .trim()
    .required('Name is empty: give the course a name, such as Six at the wall.')
    .max(80, 'Name is too long: use at most 80 letters.'),
  drillId: string()
    .required('Drill is missing: choose one.')
    .max(80, 'Drill is none of ours: reload the page.'),
  stepId: string()
    .required('Goal is missing: choose a step.')
    .max(80, 'Goal is none of ours: reload the page.'),
  fromId: string()
    .required('Group is missing: choose a session of the group the course is for.')
    .matches(ulidPattern, 'Group is none of ours: reload the page.'),
  days: array()
    .of(daySchema)
    .required('Days is missing: choose the days of the course.')
    .min(
      courseSessions.min,
      ({ value }: { value?: readonly unknown[] }) =>
        `Days: ${value?.length ?? 0} chosen, and a course has ${courseSessions.min} to ${courseSessions.max} sessions: let it go on for longer, or leave fewer days out.`,
    )
    .max(
      courseSessions.max,
      ({ value }: { value?: readonly unknown[] }) =>
        `Days: ${value?.length ?? 0} chosen, and a course has at most ${courseSessions.max} sessions: end it sooner, or make two.`,
    )
    .test('once', 'Days: a day is named twice.', (days) => new Set(days).size === days?.length),
});
