import type { Impact } from '../impacts';
import type { HowMany } from '../how-many';
import { heardRows, type HeardTouch, type RowsAsked } from './rows';
import type { LeftOut } from './taken';

/** One toss: how often was clapped under it. */
export interface HeardToss {
  readonly atS: number;
  readonly claps: readonly HeardTouch[];
  readonly howMany: HowMany;
  /** Whether a catch was heard after them. */
  readonly caught: boolean;
}

/* Ours: hands clap three to eight times a second (as on the toss and tap bench), and a catch comes soon after the last. */
const clapS = { least: 0.11, most: 0.42 } as const;
const varies = 0.2;
const usually = 3;
/** A catch comes at most so long after the last clap, or ends a toss without any, seconds. */
const catchWithinS = 0.8;

/** The claps between toss and catch, toss by toss. */
export function heardClaps(
  impacts: readonly Impact[],
  asked: Omit<RowsAsked, 'counts' | 'ends' | 'periodS' | 'varies' | 'usually'>,
): { readonly tosses: readonly HeardToss[]; readonly leftOut: readonly LeftOut[] } {
  const claps = heardRows(impacts, {
    ...asked,
    counts: ['clap'],
    ends: ['catch'],
    periodS: clapS,
    varies,
    usually,
  });
  const catches = heardRows(impacts, {
    ...asked,
    counts: ['catch'],
    ends: [],
    periodS: { least: 0.6, most: 8 },
    varies: 0.6,
    usually,
  }).rows.flatMap(({ touches }) => touches.filter(({ heard }) => heard));
  const used = new Set<HeardTouch>();
  const clapped = claps.rows.map(({ touches, howMany }): HeardToss => {
    const lastS = touches.at(-1)!.atS;
    const caught = catches.find(({ atS }) => atS > lastS && atS - lastS < catchWithinS);
    if (caught) used.add(caught);
    return { atS: caught?.atS ?? lastS, claps: touches, howMany, caught: caught !== undefined };
  });
  const bare = catches
    .filter((one) => !used.has(one))
    .map(({ atS }): HeardToss => ({ atS, claps: [], howMany: { count: 0, from: 0, to: 0 }, caught: true }));
  const heardAs = new Set(catches.map(({ atS }) => atS));
  return {
    tosses: [...clapped, ...bare].sort((a, b) => a.atS - b.atS),
    leftOut: claps.leftOut.filter(({ atS }) => !heardAs.has(atS)),
  };
}
