/** A thing a drill is set up with. */
export interface KitThing {
  readonly name: string;
  /**
   * - `kit`: counted by the coach
   * - `household`: nearly everybody has it, so it is taken as there unless it is counted as none
   * - `always`: a body or a floor
   */
  readonly kind: 'kit' | 'household' | 'always';
}

const named = (kind: KitThing['kind'], names: readonly string[]): KitThing[] =>
  names.map((name) => ({ name, kind }));

/** Everything a drill of the catalogue can ask for or do with instead. */
export const kitThings: readonly KitThing[] = [
  ...named('kit', [
    'ball',
    'foam ball',
    'large soft ball',
    'table tennis ball',
    'balloon',
    'beanbag',
    'racket',
    'table tennis bat',
    'marker',
    'raised marker',
    'ladder',
    'hoop',
    'hoop on a stand',
    'chalk',
    'tape',
    'colour band',
    'sticker',
    'light stretch band',
    'resistance band',
    'folding table',
    'basketball ring',
  ]),
  ...named('household', [
    'rolled socks',
    'ball in a long sock',
    'book',
    'tray',
    'bottle',
    'cushion',
    'shirt',
    'stone',
    'stick',
    'towel',
    'folded towel',
    'rope on the floor',
    'mark on the wall',
  ]),
  ...named('always', ['open hand', 'other hand', 'the floor']),
];

const kinds = new Map(kitThings.map((thing) => [thing.name, thing.kind]));
export const isKitThing = (name: string): boolean => kinds.has(name);

/** What nobody has to carry: it is there, or everybody has their own. */
export const isEverywhere = (name: string): boolean => kinds.get(name) !== 'kit' || ownThings.has(name);
const ownThings: ReadonlySet<string> = new Set(['ball', 'racket', 'table tennis ball', 'table tennis bat']);

/** Enough of a household thing for any group: ours. */
const enough = 30;

/** How many of a thing are at hand, from what the coach counted; what nobody counted is missing, or as its kind says. */
export function atHand(counts: Readonly<Record<string, number>>): (item: string) => number {
  return (item) => {
    const kind = kinds.get(item);
    if (kind === 'always') return Infinity;
    return counts[item] ?? (kind === 'household' ? enough : 0);
  };
}

/** The same, but while nobody has counted anything, everything is taken as there. */
export function kitAtHand(counts: Readonly<Record<string, number>>): (item: string) => number {
  return Object.keys(counts).length === 0 ? () => Infinity : atHand(counts);
}
