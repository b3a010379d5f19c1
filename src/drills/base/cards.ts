import type { Origin } from '@/core/base/origin';
import type { Sport } from './types';

/** A starting point that drills build on: read once, come back to often. */
export interface Card {
  readonly id: string;
  readonly title: string;
  readonly sports: readonly Sport[];
  readonly purpose: string;
  readonly points: readonly string[];
  /** One positive sentence to say. */
  readonly cue: string;
  readonly origin: Origin;
}

export const cards: readonly Card[] = [
  {
    id: 'ready-position',
    title: 'Ready position',
    sports: ['tennis', 'table tennis'],
    purpose: 'Where every ball begins: a stance from which both sides are one quick step away.',
    points: [
      'The feet are shoulder width apart, and the knees are soft.',
      'The weight rests forward on the balls of the feet; heels or flat feet slow the first step.',
      'The racket head is up in front, at the height of the navel.',
      'The hitting hand holds the bottom of the handle, the other hand supports the racket above it.',
    ],
    cue: 'Soft knees, light heels, racket up.',
    origin: 'practice',
  },
  {
    id: 'finding-the-grip',
    title: 'Finding the grip',
    sports: ['tennis'],
    purpose: 'Three ways to arrive at the same forehand hold, so that every child finds one that works.',
    points: [
      'Shake hands with the racket, the thumb along the handle.',
      'Or lay the palm flat on the strings and slide it down to the handle.',
      'Or lift the racket off the floor in front of the foot and turn it until the edge points down.',
      'For frame, dribble and wall volleys take a hammer hold, and keep it the same on both sides.',
    ],
    cue: 'Say hello to the racket and shake its hand.',
    origin: 'practice',
  },
  {
    id: 'spacing-gauge',
    title: 'Spacing gauge',
    sports: ['tennis', 'table tennis'],
    purpose: 'The free arm measures the distance to the ball, so that there is room for the whole swing.',
    points: [
      'Stretch the free arm out towards where the ball will be met; the shoulder stays down.',
      'With a racket the ball is met a good hand beyond the fingertips, with a bat just inside them.',
      'Move the feet until it fits; the arm stays as it is.',
    ],
    cue: 'Reach, measure, keep your space.',
    origin: 'practice',
  },
  {
    id: 'helpers-feeding-card',
    title: 'Helper’s feeding card',
    sports: ['tennis', 'table tennis'],
    purpose: 'Anyone can learn to feed: a parent, an older child, whoever has two hands and some patience.',
    points: [
      'Stand four to five metres away; for small children kneel, so that your hand is at their height.',
      'Feed from below and softly: the ball comes down a long step or two short of the player.',
      'One ball at a time, and wait for the ready position before you send it.',
      'Count aloud: one touch, one number.',
      'Correct one thing, and let the rest pass today.',
    ],
    cue: 'Wait for ready, then send it softly.',
    origin: 'practice',
  },
  {
    id: 'many-ball-card',
    title: 'Helper’s many-ball card',
    sports: ['tennis', 'table tennis'],
    purpose: 'A box of balls and a steady hand: many balls to one player, at a tempo the player can hold.',
    points: [
      'Stand at the side of the table or the net, the box at your hip, and feed with the free hand and the racket.',
      'Let each ball bounce once on your side, or send it from below: same height, same place, same gap.',
      'Begin at 20 to 25 balls a minute, 30 to 40 when it is easy, and slow down when the strokes shrink.',
      'Feed a set of ten to twenty, then everybody collects while the player breathes.',
      'Say what is coming until the feet know it; then say nothing.',
    ],
    cue: 'Same ball, same gap, until it is easy.',
    origin: 'practice',
  },
  {
    id: 'one-error-card',
    title: 'Helper’s card: one error at a time',
    sports: ['tennis', 'table tennis'],
    purpose: 'Watches for one kind of error only, so that the helper sees it and the player can mend it.',
    points: [
      'Choose one thing before the set: balls in the net, late feet, a racket that hangs, a head that lifts.',
      'Count how often it comes in ten balls, and let all the others pass.',
      'After the set say the number and the mend, in one sentence.',
      'Look for the same thing once more; change it when it comes once in ten.',
    ],
    cue: 'One thing to look for, one thing to say.',
    origin: 'practice',
  },
  {
    id: 'signs-of-pressure',
    title: 'Signs that an opponent is pressed',
    sports: ['tennis', 'table tennis'],
    purpose: 'What to look for before moving in: the other player’s body tells more than the ball.',
    points: [
      'Stretched: the arm is long, and the racket meets the ball far from the body.',
      'Off balance: the weight falls back or to the side, and a foot comes off the floor.',
      'Unable to turn: the chest still faces the net when the ball arrives.',
      'Late: the racket goes back after the bounce.',
    ],
    cue: 'Look at their feet and shoulders, then choose.',
    origin: 'practice',
  },
];

const byId = new Map(cards.map((card) => [card.id, card]));
export const findCard = (id: string): Card | undefined => byId.get(id);
