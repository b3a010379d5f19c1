import type { EventRule } from './event-rule';

/*
 * The rules of all kinds of events, and the lists that are made from them. A new kind is one entry here.
 */

const byAll = ['helper', 'home'] as const;
const shots = ['shot', 'shots'] as const;
const touches = ['touch', 'touches'] as const;

/** What every count answers. */
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
/** What every change of what is counted answers. */
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
/** What every remark answers. */
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
/** What every press on the clock answers. */
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
/** What every decision on time answers. */
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
/** What both records of a block answer. */
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
/** What both corrections answer. */
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
  held: {
    ...remark,
    isFor: 'either',
    namesEvent: false,
    alsoLoggedBy: [],
    helperSeesOfPlayer: 'none',
    undoName: 'checkpoint',
  },
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
  skip: {
    ...court,
    undoName: 'skip',
    clock: 'forward',
    forAllStations: true,
  },
  back: {
    ...court,
    undoName: 'repeat',
    clock: 'backward',
    forAllStations: true,
  },
  extend: {
    ...court,
    undoName: 'more time',
    clock: null,
    forAllStations: true,
  },
  share: {
    ...court,
    undoName: 'shorter block',
    clock: null,
    forAllStations: true,
  },
  out: {
    ...court,
    undoName: 'left out',
    clock: null,
    forAllStations: true,
  },
  swap: {
    ...court,
    undoName: 'swap',
    clock: null,
    forAllStations: false,
  },
  begun: record,
  correct: record,
  undo: {
    ...correction,
    isFor: 'either',
    underPlan: 'as the event it names',
    beginsBlock: false,
    helperSeesOfBlock: true,
    undoName: null,
  },
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

/** The rule of a kind, with its answers as wide as the questions. */
export const ruleOf = (kind: EventKind): EventRule => eventRules[kind];

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
