import type { previewVowAction } from '@/server/actions/vows';
import { usualDose, type Vow, type VowPart } from '@/session/vows/vow';
import type { Drill, Step } from '@/drills/base/types';

/** What is on the form. */
export type Form = Vow & { readonly fromDay: string; readonly untilDay: string };
export type SetForm = (more: Partial<Form>) => void;
export type Preview = Extract<Awaited<ReturnType<typeof previewVowAction>>, { ok: true }>['value'];

/** A part as it begins: the step at the dose of the age, and nothing else to choose. */
export const partOf = (drill: Drill, step: Step, age: number): VowPart => ({
  drillId: drill.id,
  stepId: step.id,
  dose: usualDose(step, age),
  choices: [],
});
