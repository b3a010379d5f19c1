import type { Hearing } from '@/core/sound/hearing';
import type { Book } from '@/drills/book';
import { hearingOf, type HeardStep } from '../court/hearing';
import type { Vow } from './vow';

/** What a phone has to know to count one step by ear. */
export interface StepEar {
  readonly hearing: Hearing;
  readonly step: HeardStep;
}

/** The steps of one part of a vow that can be heard, by their ids. */
export type PartEars = Readonly<Record<string, StepEar>>;

type Said = Pick<Vow, 'parts' | 'byEar'>;

const hearsAny = (parts: readonly PartEars[]): boolean => parts.some((part) => Object.keys(part).length > 0);

const heardSteps = (book: Book, { parts }: Pick<Vow, 'parts'>, playerId: string): PartEars[] =>
  parts.map(({ drillId, stepId, choices }) => {
    const drill = book.drill(drillId, playerId);
    const own = [stepId, ...choices.map((one) => one.stepId)];
    return Object.fromEntries(
      (drill?.steps ?? []).flatMap((step): [string, StepEar][] => {
        const hearing = drill && own.includes(step.id) ? hearingOf(drill, step) : null;
        if (!hearing) return [];
        const { measure, zones, claps } = step;
        return [[step.id, { hearing, step: { measure, ...(zones && { zones }), ...(claps && { claps }) } }]];
      }),
    );
  });

/** What a family's phone may count by ear, part by part: nothing unless the coach allowed it. */
export const earsOf = (book: Book, vow: Said, playerId: string): PartEars[] =>
  vow.byEar ? heardSteps(book, vow, playerId) : vow.parts.map(() => ({}));

/** Whether anything of a vow can be heard. */
export const hearsVow = (book: Book, vow: Pick<Vow, 'parts'>, playerId: string): boolean =>
  hearsAny(heardSteps(book, vow, playerId));

/** Whether a family’s page or file may count any of its vows by ear. */
export const mayHear = (vows: readonly { readonly ears: readonly PartEars[] }[]): boolean =>
  vows.some(({ ears }) => hearsAny(ears));
