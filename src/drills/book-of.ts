import {
  acting,
  questions,
  underSchools,
  type Acting,
  type Answers,
  type SchoolChoice,
  type SchoolQuestion,
} from './base/schools';
import type { Drill, Step } from './base/types';

/** What a house adds to the catalogue: its own drills, and the schools its coaches chose. */
export interface BookContents {
  readonly own: readonly Drill[];
  /** Ids of own drills taken off the list: still known, no longer offered. */
  readonly retired: readonly string[];
  readonly choices: readonly SchoolChoice[];
}

export const plainContents: BookContents = { own: [], retired: [], choices: [] };

/**
 * The drills as one coach sees them: the catalogue and the house's own, each under the schools that act.
 * A player's own school gives that player their own form of a drill; ids of drills and steps never change.
 */
export interface Book {
  readonly drills: readonly Drill[];
  readonly drill: (id: string, playerId?: string) => Drill | undefined;
  readonly step: (drillId: string, stepId: string, playerId?: string) => Step | undefined;
  /** The school that acts on a drill, and who chose it. */
  readonly school: (question: SchoolQuestion, drillId: string, playerId?: string) => Acting;
  readonly isOwn: (id: string) => boolean;
}

/** A book of some drills, with what a house adds to them. */
export function bookOf(drills: readonly Drill[], { own, retired, choices }: BookContents, coach = ''): Book {
  const plain = new Map([...drills, ...own].map((drill) => [drill.id, drill]));
  const ownIds = new Set(own.map((drill) => drill.id));
  const players = new Set(choices.filter((one) => one.scope === 'player').map((one) => one.key));
  const resolved = new Map<string, Drill>();
  const school = (question: SchoolQuestion, drillId: string, playerId?: string) =>
    acting(choices, question, { coach, drillId, playerId });

  const drill = (id: string, playerId?: string): Drill | undefined => {
    const found = plain.get(id);
    if (!found) return undefined;
    // Only who has a school of their own needs a form of their own.
    const who = playerId !== undefined && players.has(playerId) ? playerId : undefined;
    const key = who === undefined ? id : `${id} ${who}`;
    let under = resolved.get(key);
    if (!under) {
      const answers = Object.fromEntries(questions.map((q) => [q, school(q, id, who).answer])) as Answers;
      under = underSchools(found, answers);
      resolved.set(key, under);
    }
    return under;
  };
  let listed: readonly Drill[] | undefined;
  return {
    // Most readers want a few drills: the whole list is worked out when somebody asks for it.
    get drills() {
      listed ??= [...plain.keys()].filter((id) => !retired.includes(id)).map((id) => drill(id)!);
      return listed;
    },
    drill,
    step: (drillId, stepId, playerId) => drill(drillId, playerId)?.steps.find((one) => one.id === stepId),
    school,
    isOwn: (id) => ownIds.has(id),
  };
}
