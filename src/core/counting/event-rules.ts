import type { EventRule } from './event-rule';

/*
 * The rules of all kinds of events, and the lists that are made from them. A new kind is one entry here.
 */

const byAll = ['helper', 'home'] as const;
const shots = ['shot', 'shots'] as const;
const touches = ['touch', 'touches'] as const;

/** What a player's count is made of. What each of these says holds for every kind of count. */
const count = {
  group: 'count',
  isFor: 'player',
  namesEvent: false,
  text: 'call',
  underPlan: true,
  beginsBlock: true,
  alsoLoggedBy: byAll,
  helperSeesOfPlayer: 'all',
  helperSeesOfBlock: false,
  clock: null,
  forAllStations: false,
} as const;
/** A change of what is counted, from the next attempt on. Without a player it is for everybody in the block. */
const adjust = {
  group: 'adjust',
  isFor: 'either',
  namesEvent: false,
  underPlan: true,
  beginsBlock: true,
  helperSeesOfPlayer: 'all',
  helperSeesOfBlock: true,
  clock: null,
  forAllStations: false,
  count: null,
} as const;
/** What was seen of a checkpoint, or said. */
const remark = {
  group: 'remark',
  text: 'words',
  underPlan: false,
  beginsBlock: false,
  helperSeesOfBlock: false,
  clock: null,
  forAllStations: false,
  count: null,
} as const;
/** A press on the block's own clock: it belongs to no player. */
const clock = {
  group: 'clock',
  isFor: 'block',
  namesEvent: false,
  text: 'name',
  underPlan: false,
  alsoLoggedBy: [],
  helperSeesOfPlayer: 'none',
  helperSeesOfBlock: true,
  undoName: null,
  forAllStations: true,
  count: null,
} as const;
/** A decision on court about a block's time. */
const court = {
  group: 'court',
  isFor: 'block',
  namesEvent: false,
  text: 'name',
  underPlan: false,
  beginsBlock: false,
  alsoLoggedBy: [],
  helperSeesOfPlayer: 'none',
  helperSeesOfBlock: true,
  count: null,
} as const;
/** What a block is, in `text`: from then on it is read from here, whatever becomes of the plan. */
const record = {
  group: 'record',
  isFor: 'block',
  namesEvent: false,
  text: 'record',
  underPlan: false,
  beginsBlock: false,
  alsoLoggedBy: [],
  helperSeesOfPlayer: 'none',
  helperSeesOfBlock: false,
  undoName: null,
  clock: null,
  forAllStations: false,
  count: null,
} as const;
/** Corrections name the event they are about in `ref`. */
const correction = {
  group: 'correction',
  namesEvent: true,
  text: 'none',
  alsoLoggedBy: byAll,
  helperSeesOfPlayer: 'all',
  clock: null,
  forAllStations: false,
  count: null,
} as const;

export const eventRules = {
  touch: {
    ...count,
    undoName: 'touch',
    count: {
      of: 'try',
      success: 'yes',
      result: 'adds up',
      answersCall: true,
      isTapped: true,
      measures: ['row', 'count', 'reps', 'laps', 'steadiness'],
      words: touches,
    },
  },
  drop: {
    ...count,
    undoName: 'miss',
    count: {
      of: 'try',
      success: 'no',
      result: 'its value',
      answersCall: true,
      isTapped: true,
      measures: null,
      words: ['miss', 'misses'],
    },
  },
  zone: {
    ...count,
    undoName: 'shot',
    count: {
      of: 'try',
      success: 'by value',
      result: 'its value',
      answersCall: true,
      isTapped: false,
      measures: ['points'],
      words: shots,
    },
  },
  hold: {
    ...count,
    undoName: 'hold',
    count: {
      of: 'try',
      success: 'yes',
      result: 'its value',
      answersCall: false,
      isTapped: false,
      measures: ['hold'],
      words: touches,
    },
  },
  grade: {
    ...count,
    undoName: 'grade',
    count: {
      of: 'try',
      success: 'by value',
      result: 'its value',
      answersCall: true,
      isTapped: false,
      measures: ['grade'],
      words: shots,
    },
  },
  lap: {
    ...count,
    undoName: 'lap',
    count: {
      of: 'try',
      success: 'yes',
      result: 'its value',
      answersCall: false,
      isTapped: false,
      measures: ['lap'],
      words: touches,
    },
  },
  /** A whole attempt that somebody counted aloud and typed in; it is marked as reported wherever it shows. */
  result: {
    ...count,
    undoName: 'typed count',
    count: {
      of: 'attempt',
      success: 'yes',
      result: 'its value',
      answersCall: false,
      isTapped: false,
      measures: null,
      words: ['typed count', 'typed counts'],
    },
  },
  /** A whole dose that was done and not counted: what is run by the clock has no result, only the tries it asked of the body. */
  done: {
    ...count,
    undoName: 'done',
    count: {
      of: 'dose',
      success: 'yes',
      result: 'its value',
      answersCall: false,
      isTapped: false,
      measures: null,
      words: ['whole amount done', 'whole amounts done'],
    },
  },
  step: {
    ...adjust,
    text: 'name',
    alsoLoggedBy: ['home'],
    undoName: 'step',
  },
  change: {
    ...adjust,
    text: 'phrase',
    alsoLoggedBy: [],
    undoName: 'change',
  },
  breathless: {
    ...adjust,
    text: 'name',
    alsoLoggedBy: [],
    undoName: 'breathless',
  },
  ball: {
    ...adjust,
    text: 'name',
    alsoLoggedBy: [],
    undoName: 'ball',
  },
  feed: {
    ...adjust,
    text: 'name',
    alsoLoggedBy: [],
    undoName: 'feed',
  },
  /** A checkpoint that was seen to be kept. */
  held: {
    ...remark,
    isFor: 'either',
    namesEvent: false,
    alsoLoggedBy: [],
    helperSeesOfPlayer: 'none',
    undoName: 'checkpoint',
  },
  /** A checkpoint that was seen to break. */
  broke: {
    ...remark,
    isFor: 'either',
    namesEvent: false,
    alsoLoggedBy: [],
    helperSeesOfPlayer: 'none',
    undoName: 'checkpoint',
  },
  note: {
    ...remark,
    isFor: 'either',
    namesEvent: false,
    alsoLoggedBy: byAll,
    helperSeesOfPlayer: 'own',
    undoName: 'note',
  },
  /** Answers in `text` what is noted beside the count that `ref` names. */
  beside: {
    ...remark,
    isFor: 'player',
    namesEvent: true,
    alsoLoggedBy: byAll,
    helperSeesOfPlayer: 'none',
    undoName: 'answer',
  },
  start: {
    ...clock,
    beginsBlock: true,
    clock: 'runs',
  },
  pause: {
    ...clock,
    beginsBlock: false,
    clock: 'stops',
  },
  end: {
    ...clock,
    beginsBlock: false,
    clock: 'ends',
  },
  /** Moves the clock on by `value` seconds. */
  skip: {
    ...court,
    undoName: 'skip',
    clock: 'forward',
    forAllStations: true,
  },
  /** Moves the clock back by `value` seconds. */
  back: {
    ...court,
    undoName: 'repeat',
    clock: 'backward',
    forAllStations: true,
  },
  /** Lengthens stretch number `attempt` by `value` seconds. */
  extend: {
    ...court,
    undoName: 'more time',
    clock: null,
    forAllStations: true,
  },
  /** Shortens the dose to `value` of it. */
  share: {
    ...court,
    undoName: 'shorter block',
    clock: null,
    forAllStations: true,
  },
  /** Leaves the block out (1) or takes it back in (0). */
  out: {
    ...court,
    undoName: 'left out',
    clock: null,
    forAllStations: true,
  },
  /** Changes places with the block named in `text`. */
  swap: {
    ...court,
    undoName: 'swap',
    clock: null,
    forAllStations: false,
  },
  /** What a block is when it is begun. */
  begun: record,
  /** What it really was, said afterwards. */
  correct: record,
  /** Takes an event back; an undo can be taken back too. */
  undo: {
    ...correction,
    isFor: 'either',
    underPlan: 'as the event it names',
    beginsBlock: false,
    helperSeesOfBlock: true,
    undoName: null,
  },
  /** Gives the attempt of an event another result. */
  fix: {
    ...correction,
    isFor: 'player',
    underPlan: true,
    beginsBlock: true,
    helperSeesOfBlock: false,
    undoName: 'correction',
  },
} as const satisfies Readonly<Record<string, EventRule>>;

export type EventKind = keyof typeof eventRules;
type KindOf<Group extends EventRule['group']> = {
  [Kind in EventKind]: (typeof eventRules)[Kind]['group'] extends Group ? Kind : never;
}[EventKind];

export type CountKind = KindOf<'count'>;
export type AdjustKind = KindOf<'adjust'>;
export type RemarkKind = KindOf<'remark'>;
export type ClockKind = KindOf<'clock'>;

/** A kind this version does not know, of a newer one: it counts nothing, changes nothing, and nobody is shown it. */
const unknown: EventRule = {
  group: 'none',
  isFor: 'either',
  namesEvent: false,
  text: 'none',
  underPlan: false,
  beginsBlock: false,
  alsoLoggedBy: [],
  helperSeesOfPlayer: 'none',
  helperSeesOfBlock: false,
  undoName: null,
  clock: null,
  forAllStations: false,
  count: null,
};
const rules: ReadonlyMap<string, EventRule> = new Map(Object.entries(eventRules));

/**
 * The rule of a kind. A device or a log may hold a kind of a newer version, which this one does not know: its rule says no to
 * everything.
 */
export const ruleOf = (kind: EventKind): EventRule => rules.get(kind) ?? unknown;

export const eventKinds = Object.keys(eventRules) as EventKind[];

/** The kinds whose rule says yes to a question, to look up by. */
export const kindsWhere = (isOne: (rule: EventRule) => boolean): ReadonlySet<string> =>
  new Set(eventKinds.filter((kind) => isOne(eventRules[kind])));

const inGroup = <Group extends EventRule['group']>(group: Group): readonly KindOf<Group>[] =>
  eventKinds.filter((kind): kind is KindOf<Group> => eventRules[kind].group === group);

export const countKinds = inGroup('count');
export const adjustKinds = inGroup('adjust');
export const clockKinds = inGroup('clock');
export const courtKinds = inGroup('court');
