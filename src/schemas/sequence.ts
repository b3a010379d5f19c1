import { array, number, object, string, type InferType } from 'yup';
import { readLine, writeLine } from '@/core/movement/sequence/line';
import { tempoLimits, tempoWays, type TempoWay } from '@/core/movement/sequence/loop';
import {
  groundsOf,
  shadowGrounds,
  type ShadowGround,
  type ShadowSport,
} from '@/core/movement/sequence/shots';

/** Longest line that is read, letters: forty strokes with all there is to say of each. */
const longestLine = 2000;

const sport = string<ShadowSport>()
  .oneOf(['tennis', 'table tennis'], 'Sport must be tennis or table tennis.')
  .required('Sport is missing: choose one.');
const ground = string<ShadowGround>()
  .oneOf(shadowGrounds, `Ground must be one of ${shadowGrounds.join(', ')}.`)
  .required('Ground is missing: choose what it is played on.')
  .test('fits', 'Ground does not go with the sport: choose another.', function (value) {
    const of = (this.parent as { sport?: ShadowSport }).sport;
    return !value || !of || groundsOf(of).includes(value);
  });
const line = string()
  .trim()
  .required('The line is empty: write strokes with commas between them, such as “fh corner, bh corner”.')
  .max(longestLine, `The line is too long: use at most ${longestLine} letters.`);

/** A shadow sequence as a coach keeps it. */
export const sequenceSchema = object({
  name: string()
    .trim()
    .required('Name is empty: call it something, such as Corner and wide.')
    .max(60, 'Name is too long: use at most 60 letters.'),
  sport,
  ground,
  line,
});
export type SequenceForm = InferType<typeof sequenceSchema>;

/** Sequences joined at most, and rounds they are called in: half an hour of the shortest rounds. Ours. */
export const sequenceLimits = { parts: 8, rounds: 40 } as const;
const { min, max } = tempoLimits;

/** What is called in which round, and how fast. */
export const calledSequences = {
  sport,
  lines: array(
    line.test('reads', 'A sequence cannot be read.', function (value) {
      const { sport } = this.from?.[0]?.value as { sport: ShadowSport };
      const read = readLine(value, sport);
      if (!read.ok) return this.createError({ message: read.problems[0]!.message });
      // A court counts the strokes of a line by its commas.
      const written = writeLine(read.value, sport);
      return value === written || this.createError({ message: `The line has to be written “${written}”.` });
    }),
  )
    .required('Sequences are missing: take at least one.')
    .min(1, 'Sequences are missing: take at least one.')
    .max(sequenceLimits.parts, `At most ${sequenceLimits.parts} sequences can be joined: take some out.`),
  rounds: array(
    object({
      line: number()
        .typeError('Which sequence a round has must be a number.')
        .integer('Which sequence a round has must be a whole number.')
        .required('A round has no sequence.')
        .min(0, 'A round has no sequence.')
        .test('known', 'A round has a sequence that is not there.', function (value) {
          const { lines } = (this.from?.[1]?.value ?? {}) as { lines?: readonly unknown[] };
          return value < (lines?.length ?? 0);
        }),
      perMin: number()
        .typeError('Strokes a minute must be a number.')
        .required('Strokes a minute are missing.')
        .min(min, `Strokes a minute must be from ${min} to ${max}.`)
        .max(max, `Strokes a minute must be from ${min} to ${max}.`),
    }),
  )
    .required('Rounds are missing.')
    .min(1, 'Rounds are missing.')
    .max(sequenceLimits.rounds, `At most ${sequenceLimits.rounds} rounds: make the workout shorter.`),
  way: string<TempoWay>().oneOf(tempoWays, 'Tempo must be even, or slow, then fast.').default('even'),
};

/** Sequences as the composer writes them into a block. */
export const sequenceSetting = object({
  kind: string().oneOf(['sequence']).required(),
  name: string().trim().default('').max(60, 'Name is too long: use at most 60 letters.'),
  ground,
  ...calledSequences,
});
