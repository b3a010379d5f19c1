import { ours, practice, rowFor } from '../make';
import type { Drill } from '../types';

const fiveClaps =
  'Tossed 1.8 to 2.8 m over the hand, five claps fit: twice the square root of 2h/g, less one beat to get ready.';

const clapAndCatch: Drill = {
  id: 'clap-and-catch',
  title: 'Clap and catch',
  family: 'hands',
  sports: ['tennis', 'table tennis'],
  ages: { from: 5, to: 16 },
  purpose:
    'Trains the eyes to follow a ball up and down while the hands are busy, and sets a calm, straight toss.',
  setUp:
    'Stand in your own circle of two metres with one ball. Look up first: the toss needs clear air above it.',
  feed: { how: 'self', predictability: 'known' },
  hold: 'no racket',
  stance: 'any',
  dropRule: 'go on from the spot',
  space: { lengthM: 2, widthM: 2, ceilingM: 4, needs: [] },
  kit: [{ item: 'ball', count: 1, per: 'player', standIns: ['beanbag', 'rolled socks'] }],
  players: { min: 1, max: 8 },
  setUpS: practice(30),
  changeoverS: practice(15),
  checkpoints: [
    'The toss goes straight up and comes down to the same hand.',
    'One number is said for every clap, and every clap is a real one.',
    'The palms wait under the ball, soft and open.',
  ],
  faults: [
    {
      fault: 'The toss flies forward and the player chases it.',
      correction: 'Toss from a still arm and let go at eye height.',
      stepBack: false,
    },
    {
      fault: 'Claps are counted that were not made.',
      correction: 'Count aloud together, one number a clap, and begin again at one.',
      stepBack: true,
    },
  ],
  care: [{ text: 'Under a low beam choose the step whose toss fits below it.', origin: 'ours' }],
  spices: ['other hand', 'higher', 'walking'],
  easings: ['let it bounce', 'bigger ball', 'two hands'],
  recap: {
    questions: ['How high did the ball have to go for your claps?'],
    homeChallenge: 'Toss a pair of socks: how many claps fit before you catch it?',
  },
  steps: [
    {
      id: 'one-clap',
      title: 'One clap',
      task: 'Toss the ball a little over your head, clap once and catch it with both hands.',
      change: 'The first step: a low toss and one clap.',
      measure: 'row',
      gate: { result: 10, days: 1 },
      gateOrigin: 'practice',
      doses: rowFor([5, 8, 10, 10], 90),
      doseOrigin: 'ours',
      perTouchS: practice(2.2),
      dropCostS: practice(4),
      usualRate: ours(0.88),
      cue: 'Eyes on the ball until it sits in your hands.',
    },
    {
      id: 'three-claps',
      title: 'Three claps',
      task: 'Toss higher, clap three times and catch with both hands.',
      change: 'Two more claps, so the toss has to rise by about a metre.',
      measure: 'row',
      gate: { result: 8, days: 2 },
      gateOrigin: 'ours',
      doses: rowFor([3, 6, 8, 8], 120),
      doseOrigin: 'ours',
      perTouchS: practice(2.8),
      dropCostS: practice(5),
      usualRate: ours(0.82),
      cue: 'Toss it tall and straight, then clap.',
    },
    {
      id: 'five-claps',
      title: 'Five claps',
      task: 'Toss high enough for five claps and catch with both hands.',
      change: 'Five claps: the toss is as high as a basket, and the hands must be quick.',
      measure: 'row',
      gate: { result: 6, days: 2 },
      gateOrigin: 'ours',
      doses: rowFor([2, 4, 6, 6], 120),
      doseOrigin: 'ours',
      perTouchS: { ...practice(3.2), note: fiveClaps },
      dropCostS: practice(6),
      usualRate: ours(0.75),
      cue: 'Clap close to your chest, where the catch will be.',
    },
    {
      id: 'one-hand-catch',
      title: 'Five claps, one hand',
      task: 'Five claps, and catch with the racket hand alone; next time with the other.',
      change: 'One hand catches, so the toss has to be exact.',
      measure: 'row',
      gate: { result: 6, days: 2 },
      gateOrigin: 'ours',
      doses: rowFor([2, 3, 5, 6], 150),
      doseOrigin: 'ours',
      perTouchS: { ...practice(3.2), note: fiveClaps },
      dropCostS: practice(6),
      usualRate: ours(0.68),
      cue: 'Let the hand sink with the ball as you catch it.',
    },
  ],
};

export const hands: readonly Drill[] = [clapAndCatch];
