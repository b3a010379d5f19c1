import type { PlayerForm } from './player';

/*
 * What is kept about a player, field by field, and what becomes of it everywhere: on the form, in tables, on the page with
 * everything about one child, and when a child is removed for good. A new field is a column (data/schema), its rules
 * (schemas/player) and one entry here; the compiler asks for both.
 */

export type PlayerFieldName = Exclude<keyof PlayerForm, 'sure'>;

export interface PlayerField<Value> {
  /** On the form, at the head of a table's column, and on the page with everything about a child. */
  readonly label: string;
  /** The unit it is kept in, where it has one. */
  readonly unit: string | null;
  /** Other names for its column in tables that come in, in lower case. */
  readonly alsoCalled: readonly string[];
  /** Must a table that comes in have it? Where a table has no such column, a known player keeps what they have. */
  readonly needed: boolean;
  /** What a new player has where the form or the table says nothing; undefined where it must be said. */
  readonly ofNew: Value | undefined;
  /** A table's cell as the form takes it; left out where it is taken as written. */
  readonly read?: (cell: string) => string;
  /** Is it on the page with everything about a child? Else say in which part of that page it is. */
  readonly onFamilyPage: true | 'under Working on';
  /** What stands there once the player was removed for good: a value that does not say who it was, or why it may stay. */
  readonly erased: { readonly to: Value } | { readonly stays: string } | 'see who calls';
}

/** What stands where the name of a child stood who was removed for good. */
export const nameOfErased = 'A child who left';

/** Words people write in tables for what is chosen in the form. */
const spoken = (words: Readonly<Record<string, string>>) => (cell: string) => {
  const low = cell.toLowerCase();
  return Object.hasOwn(words, low) ? words[low]! : low;
};
const withPoint = (cell: string) => cell.replace(',', '.');

export const playerFields: {
  readonly [Name in PlayerFieldName]: PlayerField<PlayerForm[Name]>;
} = {
  name: {
    label: 'Name',
    unit: null,
    alsoCalled: ['player', 'child', 'first name'],
    needed: true,
    ofNew: undefined,
    onFamilyPage: true,
    erased: { to: nameOfErased },
  },
  birthYear: {
    label: 'Birth year',
    unit: null,
    alsoCalled: ['born', 'year', 'birth'],
    needed: true,
    ofNew: undefined,
    onFamilyPage: true,
    // A year that is nobody's in particular; it depends on today.
    erased: 'see who calls',
  },
  sport: {
    label: 'Sport',
    unit: null,
    alsoCalled: ['plays'],
    needed: false,
    ofNew: 'tennis',
    read: spoken({
      '': 'tennis',
      tt: 'table tennis',
      'table-tennis': 'table tennis',
      tabletennis: 'table tennis',
    }),
    onFamilyPage: true,
    erased: { stays: 'what was counted is read by sport, and half of all children play it' },
  },
  hand: {
    label: 'Hand',
    unit: null,
    alsoCalled: [],
    needed: false,
    ofNew: 'right',
    read: spoken({ '': 'right', r: 'right', l: 'left' }),
    onFamilyPage: true,
    erased: { to: 'right' },
  },
  stage: {
    label: 'Ball stage',
    unit: null,
    alsoCalled: ['ball', 'stage'],
    needed: false,
    ofNew: null,
    read: spoken({}),
    onFamilyPage: true,
    erased: { to: null },
  },
  heightCm: {
    label: 'Height',
    unit: 'cm',
    alsoCalled: ['height'],
    needed: false,
    ofNew: null,
    read: withPoint,
    onFamilyPage: true,
    erased: { to: null },
  },
  racketIn: {
    label: 'Racket',
    unit: 'in',
    alsoCalled: ['racket'],
    needed: false,
    ofNew: null,
    read: withPoint,
    onFamilyPage: true,
    erased: { to: null },
  },
  careNote: {
    label: 'Care note',
    unit: null,
    alsoCalled: ['take care', 'care', 'note'],
    needed: false,
    ofNew: '',
    onFamilyPage: true,
    erased: { to: '' },
  },
  focus: {
    label: 'Working on',
    unit: null,
    alsoCalled: ['focus'],
    needed: false,
    ofNew: '',
    onFamilyPage: 'under Working on',
    // It is a table of its own, whose rows go.
    erased: { to: '' },
  },
};

export const playerFieldNames = Object.keys(playerFields) as PlayerFieldName[];

/** A field's name with its unit: "Height, cm". */
export const fieldLabel = (name: PlayerFieldName): string => {
  const { label, unit } = playerFields[name];
  return unit ? `${label}, ${unit}` : label;
};

/** A form nobody has typed into: what must be typed is empty. */
export const emptyPlayer = {
  ...Object.fromEntries(
    playerFieldNames.map((name) => {
      const { ofNew } = playerFields[name];
      return [name, ofNew === undefined ? '' : ofNew];
    }),
  ),
  sure: false,
} as PlayerForm;
