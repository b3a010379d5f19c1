import { shadowGrounds } from '@/core/movement/sequence/shots';
import { id, text, word, whole, number, moment, time, json, open, made, removed, target } from './fields';

/** The house, its players, and what was chosen for them. */
export const houseThings = {
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
      wallSide: {
        ...open(word('the side that wall is along; null where nobody said', ['long', 'short'])),
        before: null,
      },
      things: {
        ...open(
          json('what stands on the floor, metres from the corner where the wall begins; null for none'),
        ),
        before: null,
      },
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
  sequences: {
    is: 'a shadow sequence: strokes without a ball',
    key: ['id'],
    fields: {
      id: id('its id'),
      name: text('its name', 60),
      sport: word('what it is played in', ['tennis', 'table tennis']),
      ground: word('what it is played on', shadowGrounds),
      line: text('its strokes as words, with commas between them', 2000),
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
} as const;
