import { array, boolean, number, object, string, type InferType } from 'yup';
import { mostWeeks } from '@/core/plan/weekly';
import type { Book } from '@/drills';
import type { PlanBlock } from '@/session/base/plan';
import type { Dose } from '@/core/dose/dose';
import { slotsOf, type CircuitPart } from '@/core/plan/circuit/circuit';
import { circuitProblem } from '@/core/plan/circuit/groups';
import { changesSchema } from './changes';
import { circuitSchema } from './circuit';
import { daySchema } from './day';
import { doseSchema } from './dose';
import { bookingFields, maxPlayers, playerIds } from './booking';
import { idOf, ulidPattern } from './ids';
import { settingSchema } from './setting';
import { maxUnanswered } from './unanswered';

const maxBlocks = 40;

/** Days on which a session is planned again. */
export const againSchema = object({
  days: array()
    .of(daySchema)
    .required('Days is missing: choose at least one.')
    .min(1, 'Days is empty: choose at least one.')
    .max(mostWeeks, `Days: at most ${mostWeeks} at once.`)
    .test('once', 'Days: a day is named twice.', (days) => new Set(days).size === days?.length),
  /** Built anew for what the children need, instead of the same blocks again. */
  build: boolean().typeError('Build must be yes or no.').default(false),
});

const whole = (name: string, min: number, max: number, unset: number) =>
  number()
    .default(unset)
    .typeError(`${name} must be a whole number.`)
    .integer(`${name} must be a whole number.`)
    .min(min, `${name} must be from ${min} to ${max}.`)
    .max(max, `${name} must be from ${min} to ${max}.`);

const ownSchema = object({
  playerId: idOf('Player'),
  stepId: string().required('A player’s own step is missing: choose one of the ladder.'),
  amount: whole('A player’s own amount', 1, 500, 1).nullable(),
  out: boolean().default(false),
});

const blockSchema = (book: Book) =>
  object({
    id: idOf('Block'),
    drillId: string().required('Drill is missing: choose one from the catalogue.'),
    stepId: string().required('Step is missing: choose a step of the ladder.'),
    dose: doseSchema('Dose'),
    changes: changesSchema.default([]),
    stations: whole('Stations', 1, 8, 1),
    breakS: whole('Break', 0, 600, 0),
    retest: boolean().default(false),
    setting: settingSchema,
    circuit: circuitSchema,
    own: array().of(ownSchema).default([]).max(maxPlayers, 'Own steps: one for each player at most.'),
  })
    .required('A block is missing: reload the page.')
    .test('step', (value, context) => {
      if (!value?.drillId || !value.stepId) return true;
      if (!book.drill(value.drillId))
        return context.createError({
          path: `${context.path}.drillId`,
          message: `Drill ${value.drillId} is not in the catalogue: choose another.`,
        });
      const step = book.step(value.drillId, value.stepId);
      if (!step)
        return context.createError({
          path: `${context.path}.stepId`,
          message: `Step ${value.stepId} is not on this ladder: choose another.`,
        });
      const kind = (value.dose as Dose | undefined)?.kind;
      if (kind && kind !== step.doses['13-16'].kind)
        return context.createError({
          path: `${context.path}.dose`,
          message: `Dose must be of the kind of its step, ${step.doses['13-16'].kind}: set it again.`,
        });
      const stranger = value.own?.find(({ stepId }) => !book.step(value.drillId, stepId));
      if (stranger)
        return context.createError({
          path: `${context.path}.own`,
          message: `A player’s own step ${stranger.stepId} is not on this ladder: choose another.`,
        });
      return true;
    });

/** A whole plan, saved at once: the booking, the players and the blocks, on the revision it was made from. */
export const planSchema = (book: Book) =>
  object({
    ...bookingFields,
    playerIds,
    revision: number().required('Revision is missing: reload the page.').integer().min(1),
    /** What the screen calls this save, and those before it whose answer it never got. */
    saveId: string()
      .matches(ulidPattern, 'This save has no name of ours: reload the page.')
      .default(undefined),
    unanswered: array()
      .of(idOf('A save'))
      .default([])
      .max(maxUnanswered, 'Too many saves are unanswered: reload the page.'),
    blocks: array()
      .of(blockSchema(book))
      .required('Blocks is missing.')
      .max(maxBlocks, `Blocks: at most ${maxBlocks} in one session.`)
      .test(
        'once',
        'Blocks: one block is in the plan twice; reload the page.',
        (blocks) => new Set(blocks?.map((b) => b?.id)).size === blocks?.length,
      )
      .test('circuits', (blocks, context) => {
        const all = (blocks ?? []) as readonly { readonly circuit: CircuitPart | null }[];
        // What is no circuit at all has its own words.
        if (all.some((one) => one?.circuit && !(one.circuit.id && Array.isArray(one.circuit.groups))))
          return true;
        for (const [{ circuit }, ...mates] of slotsOf(all).map(
          (slot) => [slot[0]!, ...slot.slice(1)] as const,
        )) {
          const message = circuit && circuitProblem({ ...circuit, of: mates.length + 1 });
          if (message) return context.createError({ message });
        }
        return true;
      }),
  });
/** A plan as it stands on record. */
export type PlanForm = Omit<InferType<ReturnType<typeof planSchema>>, 'blocks' | 'saveId' | 'unanswered'> & {
  readonly blocks: readonly PlanBlock[];
};
/** A plan on its way to be saved. */
export type PlanSave = PlanForm & {
  readonly saveId?: string;
  readonly unanswered?: readonly string[];
};
