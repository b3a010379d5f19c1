import type { Pattern } from '@/core/movement/sequence/feasible';
import type { ShadowGround, ShadowSport } from '@/core/movement/sequence/shots';
import type { Origin } from '@/core/base/origin';

/** A shadow sequence of the catalogue: what a step of a drill asks for, as a line. */
export interface KnownSequence {
  readonly id: string;
  readonly name: string;
  readonly sport: ShadowSport;
  readonly ground: ShadowGround;
  readonly line: string;
  readonly origin: Origin;
  /** The drill and step it belongs to; null for one that stands by itself. */
  readonly of: { readonly drillId: string; readonly stepId: string } | null;
  /** How the feet are meant to get there, for the ones that are about that. */
  readonly feet?: readonly Pattern[];
}

const table = (id: string, name: string, line: string, stepId: string | null = null): KnownSequence => ({
  id,
  name,
  sport: 'table tennis',
  ground: 'table',
  line,
  origin: 'practice',
  of: stepId === null ? null : { drillId: 'shadow-patterns', stepId },
});

const court = (id: string, name: string, line: string, stepId: string | null = null): KnownSequence => ({
  id,
  name,
  sport: 'tennis',
  ground: 'chalk',
  line,
  origin: 'ours',
  of: stepId === null ? null : { drillId: 'court-patterns', stepId },
});

const spacing = (
  stance: 'closed' | 'open',
  stepId: string,
  name: string,
  line: string,
  feet: readonly Pattern[],
  ground: ShadowGround = 'red',
): KnownSequence => ({
  id: `spacing-${stance}-${stepId}`,
  name: `Spacing, ${stance}: ${name}`,
  sport: 'tennis',
  ground,
  line,
  feet,
  origin: 'practice',
  of: { drillId: `spacing-${stance}`, stepId },
});

/**
 * The shadow patterns of the catalogue and the eight spacing patterns as data. What places and depths make the feet do
 * which pattern is worked out here (ours); a test holds it against what the patterns are called.
 */
export const knownSequences: readonly KnownSequence[] = [
  table('two-forehands', 'Forehand from two places', 'fh corner, fh middle', 'two-forehands'),
  table('backhand-and-pivot', 'Backhand, then pivot forehand', 'bh corner, fh pivot', 'pivot'),
  table(
    'corner-middle-corner-wide',
    'Corner, middle, corner, wide',
    'bh corner, fh middle, bh corner, fh wide',
    'four-shots',
  ),
  table('in-and-out', 'In and out', 'fh corner in push, fh corner out loop', 'in-and-out'),
  table(
    'serve-and-two-attacks',
    'Serve and two attacks',
    'fh pivot serve, fh pivot loop backspin, fh wide loop home',
    'serve-and-two',
  ),
  table('two-backhands-and-wide', 'Two backhands and wide', 'bh corner, bh middle, fh wide'),
  court('side-to-side', 'Side to side', 'fh corner, bh corner', 'side-to-side'),
  court(
    'near-and-wide',
    'Near and wide by turns',
    'fh wide cross, bh corner straight, fh corner cross, bh wide straight',
    'near-and-wide',
  ),
  court(
    'in-and-volley',
    'In and volley',
    'fh corner in stay, fh corner net volley stay, bh corner net volley',
    'in-and-volley',
  ),
  court(
    'smash-and-back',
    'Smash and back again',
    'fh corner net volley stay, fh middle smash high, bh corner',
  ),
  spacing('closed', 'pivot-step', 'pivot step', 'fh middle stay, fh middle stay', ['on the spot']),
  spacing(
    'closed',
    'shuffle-in',
    'shuffle and step in',
    'fh middle stay, fh corner stay',
    ['shuffle'],
    'chalk',
  ),
  spacing('closed', 'crossover-in', 'crossover and step in', 'fh middle stay, fh wide stay', ['crossover']),
  spacing(
    'closed',
    'crossover-then-shuffle',
    'crossover, then shuffle',
    'fh middle stay, fh wide stay, fh corner stay, fh middle stay',
    ['crossover', 'shuffle'],
  ),
  spacing('open', 'step-out-kick-back', 'step out and kick back', 'fh middle stay, fh middle out stay', [
    'shuffle',
    'step in',
  ]),
  spacing(
    'open',
    'shuffle-out',
    'shuffle out',
    'fh middle out stay, fh corner out stay',
    ['shuffle'],
    'chalk',
  ),
  spacing('open', 'crossover-skip', 'crossover with a skip step', 'fh middle out stay, fh wide out stay', [
    'crossover',
  ]),
  spacing(
    'open',
    'crossover-shuffle-skip',
    'crossover, shuffle, skip',
    'fh middle out stay, fh wide out stay, fh corner out stay, fh middle out stay',
    ['crossover', 'shuffle'],
  ),
];
