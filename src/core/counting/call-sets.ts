/** A way a call looks, for those who cannot hear it: never by colour alone, a shape stands for it too. */
export interface Call {
  /** The spoken and written word; also the name of its sound clip, with hyphens for spaces. */
  readonly word: string;
  /** What more there is to it, in smaller letters. */
  readonly more?: string;
  /** A colour of the call's own, where the call is a colour. */
  readonly colour?: 'red' | 'blue';
  /** A shape that stands for it; a hand and a foot are drawn. */
  readonly sign: '◀' | '▶' | '▲' | '▼' | '●' | '■' | '◆' | 'hand' | 'foot' | '○';
}

const call = (word: string, sign: Call['sign'], colour?: Call['colour']): Call => ({
  word,
  sign,
  ...(colour && { colour }),
});

/** A colour is a side: the hand and the foot of it. */
const hands = [call('red hand', 'hand', 'red'), call('blue hand', 'hand', 'blue')];
const feet = [call('red foot', 'foot', 'red'), call('blue foot', 'foot', 'blue')];

/** The sets of calls a drill can be called with. */
export const callSets = {
  sides: [call('left', '◀'), call('right', '▶')],
  ends: [call('forehand', '▶'), call('backhand', '◀')],
  star: [call('left', '◀'), call('right', '▶'), call('front', '▲'), call('back', '▼')],
  distance: [call('near', '▲'), call('side', '▶'), call('far', '▼')],
  'hit or catch': [call('hit', '●'), call('catch', 'hand')],
  'pressed or even': [call('pressed', '▲'), call('even', '■')],
  'two colours': hands,
  'four colours': [...hands, ...feet],
  'colours and none': [...hands, ...feet, call('let it through', '○')],
  'three markers': ['one', 'two', 'three'].map((word) => call(word, '◆')),
  'four markers': ['one', 'two', 'three', 'four'].map((word) => call(word, '◆')),
  'six markers': ['one', 'two', 'three', 'four', 'five', 'six'].map((word) => call(word, '◆')),
} as const satisfies Record<string, readonly Call[]>;

export type CallSet = keyof typeof callSets;
export const callSetNames = Object.keys(callSets) as CallSet[];

/** The file name of a call's clip, without its ending. */
export const clipName = (word: string): string => word.replaceAll(' ', '-');
