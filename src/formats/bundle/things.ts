/*
 * What a file with the book in it holds, thing by thing, in the order in which they hang on each other. The JSON Schema
 * in docs/book.schema.json, the check of what comes in, and what is written out are all made of this list.
 */

/** A field: what its value may be. Texts have at most `most` letters, numbers lie from `min` to `max`. */
export type Field = {
  /** What it says, for people who read the schema. */
  readonly is: string;
  readonly orNull?: true;
  /** The thing whose `id` it names: that has to be in the file, or in the book it comes into. */
  readonly of?: ThingName;
  /** What it is in files of before there was such a field. */
  readonly before?: Value;
} & (
  | { readonly kind: 'id' }
  | { readonly kind: 'text'; readonly most: number }
  | { readonly kind: 'word'; readonly words: readonly string[] }
  | { readonly kind: 'day' | 'time' | 'moment' | 'flag' | 'json' }
  | { readonly kind: 'whole' | 'number'; readonly min: number; readonly max: number }
);

export interface Thing {
  readonly is: string;
  /** The fields that tell one from another. */
  readonly key: readonly string[];
  readonly fields: Readonly<Record<string, Field>>;
}

const id = (is: string, of?: ThingName): Field => ({ kind: 'id', is, ...(of && { of }) });
const text = (is: string, most: number): Field => ({ kind: 'text', most, is });
const word = (is: string, words: readonly string[]): Field => ({ kind: 'word', words, is });
const whole = (is: string, min: number, max: number): Field => ({ kind: 'whole', min, max, is });
const number = (is: string, min: number, max: number): Field => ({ kind: 'number', min, max, is });
const moment = (is: string): Field => ({ kind: 'moment', is });
const flag = (is: string): Field => ({ kind: 'flag', is });
const day = (is: string): Field => ({ kind: 'day', is });
const time = (is: string): Field => ({ kind: 'time', is });
const json = (is: string): Field => ({ kind: 'json', is });
const open = (field: Field): Field => ({ ...field, orNull: true });

const made = { createdAtMs: moment('when it was made') } as const;
const removed = {
  removedAtMs: open(moment('when it was taken off the list; null while it is on it')),
} as const;
const by = open(text('who said it; null for the session’s coach', 120));
const target = (is: string) => number(is, 0, 100_000);

const all = {
  places: {
    is: 'a place to train in, lengths in metres',
    key: ['id'],
    fields: {
      id: id('its id'),
      name: text('what it is called', 60),
      lengthM: number('length', 0, 200),
      widthM: number('width', 0, 200),
      ceilingM: open(number('height of the ceiling; null under the sky', 0, 60)),
      surface: text('surface', 40),
      wallM: number('metres of wall that may be hit', 0, 200),
      tables: whole('tables for table tennis', 0, 60),
      hazards: json('a list of hazards by name'),
      quietFrom: open(time('no noise from')),
      quietTo: open(time('no noise until')),
      ...made,
      ...removed,
    },
  },
  kit: {
    is: 'how many of a thing there are',
    key: ['name'],
    fields: { name: text('the thing', 60), count: whole('how many', 0, 100_000) },
  },
  drills: {
    is: 'a drill written here',
    key: ['id'],
    fields: {
      id: text('its id', 80),
      drill: json('the drill, as in docs/catalogue.schema.json'),
      ...made,
      ...removed,
    },
  },
  patterns: {
    is: 'blocks kept by name, to start a plan from',
    key: ['id'],
    fields: {
      id: id('its id'),
      title: text('its name', 80),
      bookedMin: whole('minutes of the booking it was made for', 5, 240),
      blocks: json('blocks of a plan, nobody’s own part in them'),
      ...made,
      ...removed,
    },
  },
  feeders: {
    is: 'what was dialled on the feeder machine, by name',
    key: ['id'],
    fields: {
      id: id('its id'),
      name: text('its name', 80),
      drillId: text('the drill it is for', 80),
      settings: json('the dials, and where the machine stands'),
      ...made,
      ...removed,
    },
  },
  players: {
    is: 'a player',
    key: ['id'],
    fields: {
      id: id('their id'),
      name: text('what they are called', 60),
      birthYear: whole('year of birth', 1900, 2200),
      sport: word('what they play', ['tennis', 'table tennis']),
      hand: word('the hand with the racket', ['right', 'left']),
      stage: open(word('the ball they play with', ['red', 'orange', 'green', 'yellow'])),
      heightCm: open(whole('height, centimetres', 40, 260)),
      racketIn: open(number('length of the racket, inches', 10, 40)),
      careNote: text('what to take care of', 300),
      ...made,
      ...removed,
      erasedAtMs: open(moment('when they were removed for good; nothing here says who they were')),
    },
  },
  focuses: {
    is: 'the one thing a player works on',
    key: ['id'],
    fields: {
      id: id('its id'),
      playerId: id('whose it is', 'players'),
      text: text('what it is', 120),
      sinceMs: moment('since when'),
      untilMs: open(moment('until when; null for the one of now')),
    },
  },
  standings: {
    is: 'the step a player stands on in a drill’s ladder',
    key: ['playerId', 'drillId'],
    fields: {
      playerId: id('who', 'players'),
      drillId: text('the drill', 80),
      stepId: text('the step', 80),
      target: target('the result they aim at'),
      sinceMs: moment('since when'),
      why: text('why', 400),
    },
  },
  styles: {
    is: 'a style somebody chose, for all their work, a drill or a player',
    key: ['scope', 'key', 'question'],
    fields: {
      scope: word('for what', ['coach', 'drill', 'player']),
      key: text('a coach’s name (empty for everybody), a drill’s or a player’s id', 80),
      question: text('the question', 60),
      answer: text('the answer', 80),
    },
  },
  fits: {
    is: 'a number of the fit to the child that a coach set',
    key: ['playerId', 'key'],
    fields: {
      playerId: id('whose', 'players'),
      key: text('which number', 60),
      value: number('the number', -1000, 100_000),
    },
  },
  sessions: {
    is: 'a session',
    key: ['id'],
    fields: {
      id: id('its id'),
      kind: { ...word('on court, or one day of a vow at home', ['court', 'home']), before: 'court' },
      title: text('its name', 80),
      day: day('its day, where it is held'),
      startTime: time('when it starts'),
      bookedMin: whole('minutes booked', 5, 240),
      coach: text('its coach', 60),
      placeName: text('the place as it was called', 80),
      placeId: open(id('the place', 'places')),
      airC: open(whole('air to expect, degrees Celsius', -30, 50)),
      state: word('how far it is', ['planned', 'running', 'finished']),
      revision: whole('goes up with every change of the plan', 1, 1_000_000),
      ...made,
      startedAtMs: open(moment('when it was started')),
      finishedAtMs: open(moment('when it was ended')),
      notHeld: open(text('why it was not held', 400)),
      ...removed,
    },
  },
  attendances: {
    is: 'a player in a session',
    key: ['sessionId', 'playerId'],
    fields: {
      sessionId: id('the session', 'sessions'),
      playerId: id('who', 'players'),
      position: whole('their place on the list', 0, 100),
      attendance: open(word('whether they came', ['here', 'late', 'left', 'absent'])),
      attendanceAtMs: open(moment('when that was said')),
      attendanceBy: by,
    },
  },
  blocks: {
    is: 'a block of a session’s plan',
    key: ['id'],
    fields: {
      id: id('its id'),
      sessionId: id('its session', 'sessions'),
      position: whole('its place in the plan', 0, 1000),
      drillId: text('the drill', 80),
      stepId: text('the step', 80),
      dose: json('how much'),
      changes: json('spices and easings, a list of their names'),
      stations: whole('stations side by side', 1, 8),
      breakS: whole('seconds of break after it', 0, 600),
      retest: flag('whether it is a retest'),
      setting: open(json('how it is set out')),
    },
  },
  parts: {
    is: 'a player’s own part in a block',
    key: ['blockId', 'playerId'],
    fields: {
      blockId: id('the block', 'blocks'),
      playerId: id('who', 'players'),
      stepId: open(text('their own step; null for the block’s', 80)),
      amount: open(number('their own amount; null for the block’s', 0, 100_000)),
      sitsOut: flag('whether they sit it out'),
    },
  },
  marks: {
    is: 'a line of the log: a touch, a drop, a start, an undo and so on. Written as rows, in the order of the log',
    key: ['id'],
    fields: {
      id: id('its id'),
      blockId: id('the block', 'blocks'),
      playerId: open(id('who; null for the whole block', 'players')),
      kind: text('what it is', 20),
      attempt: whole('the try it belongs to', 1, 1000),
      value: open(number('points, seconds, a grade or a result', 0, 100_000)),
      ref: open(id('the mark it is about')),
      text: open(text('a name, words, or what the block was', 20_000)),
      by,
      atMs: moment('when, by the device’s clock'),
      monoMs: moment('milliseconds since its page opened'),
      device: text('the device', 64),
    },
  },
  decisions: {
    is: 'what was decided about a player after a block',
    key: ['blockId', 'playerId'],
    fields: {
      blockId: id('the block', 'blocks'),
      playerId: id('who', 'players'),
      drillId: text('the drill', 80),
      stepId: text('the step they were on', 80),
      verdict: word('what', ['up', 'hold', 'back']),
      nextStepId: text('the step they go to', 80),
      target: target('the result they aim at there'),
      reason: text('why', 600),
      evidence: open(json('what it was decided on')),
      overridden: flag('whether the coach chose otherwise than proposed'),
      decidedAtMs: moment('when'),
      by,
    },
  },
  notes: {
    is: 'words of a coach',
    key: ['id'],
    fields: {
      id: id('its id'),
      sessionId: open(id('the session', 'sessions')),
      blockId: open(id('the block; it may be gone from the plan')),
      playerId: open(id('the player', 'players')),
      question: open(text('the question it answers', 60)),
      text: text('the words', 4000),
      atMs: moment('when'),
      by,
      ...removed,
    },
  },
  ledgers: {
    is: 'how many good repetitions are wanted of a focus, and what counts towards them',
    key: ['focusId'],
    fields: {
      focusId: id('the focus', 'focuses'),
      goal: whole('repetitions wanted', 1, 1_000_000),
      counts: json('a list of [drill id, step id or null]'),
    },
  },
  countWords: {
    is: 'a coach’s word on how a player counts',
    key: ['id'],
    fields: {
      id: id('its id'),
      playerId: id('who', 'players'),
      doubt: text('what was found', 40),
      word: word('counted right, or to be counted half', ['right', 'half']),
      untilDay: day('settled until'),
      atMs: moment('when'),
      by,
      ...removed,
    },
  },
  challenges: {
    is: 'a friendly challenge on a step',
    key: ['id'],
    fields: {
      id: id('its id'),
      title: text('its name', 80),
      kind: word('own bests, together, pairs, or on level ground', ['best', 'together', 'pairs', 'level']),
      drillId: text('the drill', 80),
      stepId: text('the step', 80),
      rules: text('what stands on the card', 300),
      fromDay: day('its first day'),
      untilDay: day('its last day'),
      attempts: open(whole('attempts each has; null where they are not counted', 1, 1000)),
      goal: open(whole('touches wanted together', 1, 10_000_000)),
      ranked: flag('whether its board ranks children'),
      ...made,
      ...removed,
      by,
    },
  },
  challengers: {
    is: 'a player in a challenge, with what could be expected when it began',
    key: ['challengeId', 'playerId'],
    fields: {
      challengeId: id('the challenge', 'challenges'),
      playerId: id('who', 'players'),
      best: open(number('their best before it', 0, 100_000)),
      level: open(number('their level on the scale of the measure', -100, 100)),
      variance: open(number('how unsure it is', 0, 1000)),
    },
  },
  challengeResults: {
    is: 'a result of a challenge that was typed in',
    key: ['id'],
    fields: {
      id: id('its id'),
      challengeId: id('the challenge', 'challenges'),
      playerId: open(id('who; null for another club’s', 'players')),
      partnerId: open(id('the other of a pair', 'players')),
      club: open(text('the other club', 60)),
      result: number('the result', 0, 100_000),
      day: day('its day'),
      atMs: moment('when it was typed in'),
      by,
      ...removed,
    },
  },
  homes: {
    is: 'what a player has at home, lengths in metres',
    key: ['playerId'],
    fields: {
      playerId: id('whose', 'players'),
      lengthM: number('length', 0, 200),
      widthM: number('width', 0, 200),
      ceilingM: open(number('height of the ceiling; null under the sky', 0, 60)),
      surface: text('surface', 40),
      wallM: number('metres of wall that may be hit', 0, 200),
      tables: whole('tables for table tennis', 0, 60),
      lamps: flag('whether lamps or windows are in reach of a ball'),
      helper: flag('whether somebody helps'),
      quietFrom: open(time('no noise from')),
      quietTo: open(time('no noise until')),
      kit: json('a list of [thing, how many]'),
    },
  },
  vows: {
    is: 'what a player promised to do between sessions',
    key: ['id'],
    fields: {
      id: id('its id'),
      playerId: id('whose', 'players'),
      promise: json('its parts, what it is for, its days of the week, and how it grows'),
      fromDay: day('its first day'),
      untilDay: day('its last day'),
      pauses: json('spans in which it rests, a list of [first day, last day or null, why]'),
      revision: whole('goes up with every change', 1, 1_000_000),
      ...made,
      changedAtMs: moment('when it was changed last'),
      endedOn: open(day('the day it was ended on, before its time')),
      endedWhy: text('why it was ended', 200),
      thankedAtMs: open(moment('when the coach said thank you')),
      thanks: text('how the coach said thank you', 200),
      renews: open(id('the vow it goes on from')),
      by,
      ...removed,
    },
  },
  vowDays: {
    is: 'one part of a vow on one of its days',
    key: ['vowId', 'day', 'part'],
    fields: {
      vowId: id('the vow', 'vows'),
      day: day('the day'),
      part: whole('which part, from 0', 0, 20),
      drillId: text('the drill', 80),
      stepId: text('the step', 80),
      dose: json('how much'),
      sessionId: id('the session its counts stand in, once there are any'),
      blockId: id('the block its counts stand in, once there are any'),
      state: word('whether it is promised', ['asked', 'free', 'dropped']),
    },
  },
} as const;

export type ThingName =
  | 'places'
  | 'kit'
  | 'drills'
  | 'patterns'
  | 'feeders'
  | 'players'
  | 'focuses'
  | 'standings'
  | 'styles'
  | 'fits'
  | 'sessions'
  | 'attendances'
  | 'blocks'
  | 'parts'
  | 'marks'
  | 'decisions'
  | 'notes'
  | 'ledgers'
  | 'countWords'
  | 'challenges'
  | 'challengers'
  | 'challengeResults'
  | 'homes'
  | 'vows'
  | 'vowDays';

export const things: Readonly<Record<ThingName, Thing>> = all;
/** In the order in which they hang on each other. */
export const thingNames = Object.keys(things) as ThingName[];

export type Value = string | number | boolean | null | object;
/** One thing, its fields in their order. */
export type Entry = Readonly<Record<string, Value>>;

export const bundleFormat = 'vowstep-book';
/** Goes up with every change that an older reader would misread; older ones are read for ever. */
export const bundleVersion = 2;

export const parts = ['book', 'child', 'session', 'drills', 'places'] as const;
/** What of the book a file holds. */
export type Part = (typeof parts)[number];

/** A file with the book, or a part of it. */
export interface Bundle {
  readonly part: Part;
  /** Local ISO day. */
  readonly madeOn: string;
  readonly entries: Readonly<Partial<Record<ThingName, readonly Entry[]>>>;
}

/** What tells an entry from others of its kind, as text. */
export const keyOf = (name: ThingName, entry: Entry): string =>
  things[name].key.map((field) => String(entry[field])).join(' ');
