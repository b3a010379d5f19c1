import type { Actor } from '../base/actor';

/**
 * What somebody may want to do:
 * - `see`: anything in the book
 * - `write`: change it, count, decide
 * - `take-away`: files with drills, sessions or one child in them
 * - `rule-anew`: what cannot be taken back, or takes everything along: an owner who typed their passcode a moment ago
 * - `rule`: coaches and their passcodes, links, copies, files that come in, the audit
 */
export const deeds = ['see', 'write', 'take-away', 'rule', 'rule-anew'] as const;
export type Deed = (typeof deeds)[number];

/** Everything a helper's link opens goes through its own door, which asks the link: here they may nothing. */
const allowed: Readonly<Record<'owner' | 'coach' | 'helper', readonly Deed[]>> = {
  owner: deeds,
  coach: ['see', 'write', 'take-away'],
  helper: [],
};

/** The one place that says who may do what. */
export const may = (actor: Actor, deed: Deed): boolean =>
  allowed[actor.kind === 'helper' ? 'helper' : actor.role].includes(deed);
