import { number, object, string, type InferType } from 'yup';
import { schoolQuestions } from '@/drills/base/school-words';
import { questions, scopes } from '@/drills/base/schools';
import { fitKeys, fitLimits } from '@/core/players/fit';
import { ownOf } from '@/core/base/own';

/** A school, as chosen; an answer of null goes back to what stands above it. */
export const schoolSchema = object({
  scope: string()
    .oneOf(scopes, 'A school is chosen for a coach, a drill or a player.')
    .required('Scope is missing.'),
  key: string().default('').max(80, 'The name is too long.'),
  question: string()
    .oneOf(questions, 'There is no such question: reload the page.')
    .required('Question is missing.'),
  answer: string().nullable().default(null),
}).test('answer', (value, context) => {
  const asked = ownOf(schoolQuestions, value.question);
  if (value.answer === null || !asked) return true;
  const { title, answers } = asked;
  return answers.some((one) => one === value.answer)
    ? true
    : context.createError({ path: 'answer', message: `${title} must be one of: ${answers.join(', ')}.` });
});
export type SchoolForm = InferType<typeof schoolSchema>;

/** A coach's own number of the fit; null goes back to the suggestion. */
export const fitSchema = object({
  key: string()
    .oneOf(fitKeys, 'There is no such number: reload the page.')
    .required('Which number is missing.'),
  value: number()
    .transform((value: unknown, original: unknown) => (original === '' || original === null ? null : value))
    .nullable()
    .default(null)
    .typeError('It must be a number, or left open.'),
}).test('range', ({ key, value }, context) => {
  const limits = ownOf(fitLimits, key);
  if (value === null || !limits || (value >= limits.min && value <= limits.max)) return true;
  return context.createError({ path: 'value', message: `It must be from ${limits.min} to ${limits.max}.` });
});
