import { array, object, string } from 'yup';
import { readBegun } from '@/session/court/begun';
import { ruleOf, type EventKind } from '@/core/counting/event';
import { eventProblem } from '@/core/counting/check';
import { hazards, surfaces } from '@/core/venues/place';
import type { Problem } from '@/core/base/outcome';
import type { Entry, ThingName } from '@/formats/bundle/things';
import { changesSchema } from './changes';
import { check } from './check';
import { doseSchema } from './dose';
import { laneMovesSchema } from './lane-moves';
import { drillSchema } from './drill';
import { placeThings } from './place';
import { settingSchema } from './setting';

/*
 * What the parts of a file with the book have to say beyond their shape: the same rules as at every other door.
 */

const blockSchema = object({
  dose: doseSchema('Dose'),
  changes: changesSchema.default([]),
  setting: settingSchema,
});
const placeSchema = object({
  surface: string()
    .oneOf(surfaces, `Surface must be one of ${surfaces.join(', ')}.`)
    .required(),
  hazards: array()
    .of(
      string()
        .oneOf(hazards, `Hazards must be of ${hazards.join(', ')}.`)
        .required(),
    )
    .required('Hazards is missing.'),
  things: placeThings.nullable(),
});
const patternSchema = object({
  blocks: array()
    .of(
      object({
        drillId: string().required('A block of the pattern has no drill.'),
        stepId: string().required('A block of the pattern has no step.'),
        dose: doseSchema('Dose'),
      }).required('A block of the pattern is missing.'),
    )
    .required('Blocks is missing.')
    .max(40, 'Blocks: at most 40 in a pattern.'),
});

/** What is wrong with an entry's meaning, each in words; none where it is sound. */
export function meaningProblems(name: ThingName, entry: Entry, nowMs: number): readonly Problem[] {
  const problemsOf = (outcome: ReturnType<typeof check>) => (outcome.ok ? [] : outcome.problems);
  switch (name) {
    case 'places':
      return problemsOf(check(placeSchema, entry));
    case 'drills':
      return problemsOf(check(drillSchema, entry.drill));
    case 'patterns':
      return problemsOf(check(patternSchema, entry));
    case 'sessions':
      return entry.laneMoves === null ? [] : problemsOf(check(laneMovesSchema, { moves: entry.laneMoves }));
    case 'blocks':
      return problemsOf(check(blockSchema, entry));
    case 'marks': {
      const problem = eventProblem(entry, nowMs);
      if (problem) return [{ field: '', message: `${problem}.` }];
      return ruleOf(entry.kind as EventKind).text === 'record' && !readBegun(entry.text as string)
        ? [{ field: 'text', message: 'the record of what the block was cannot be read.' }]
        : [];
    }
    case 'ledgers':
      return areCounts(entry.counts)
        ? []
        : [{ field: 'counts', message: 'counts must be a list of [drill, step or null], 1 to 40 of them.' }];
    default:
      return [];
  }
}

const isName = (value: unknown): boolean => typeof value === 'string' && value !== '' && value.length <= 80;
/** What counts towards a focus: drills, or steps of them. */
const areCounts = (value: unknown): boolean =>
  Array.isArray(value) &&
  value.length > 0 &&
  value.length <= 40 &&
  value.every(
    (one) => Array.isArray(one) && one.length === 2 && isName(one[0]) && (one[1] === null || isName(one[1])),
  );
