import { both, care, drill, each, fault, feed, pace, row, space } from '../../make';

const fiveClaps =
  'Tossed 1.8 to 2.8 m over the hand, five claps fit: twice the square root of 2h/g, less one beat to get ready.';

export const clapAndCatch = drill({
  id: 'clap-and-catch',
  title: 'Clap and catch',
  family: 'hands',
  sports: both,
  ages: [5, 16],
  trains: ['tracking', 'toss', 'soft hands'],
  purpose:
    'Trains the eyes to follow a ball up and down while the hands are busy, and sets a calm, straight toss.',
  setUp:
    'Stand in your own circle of two metres with one ball. Look up first: the toss needs clear air above it.',
  feed: feed('self'),
  hold: 'no racket',
  stance: 'any',
  space: space(2, 2, 4),
  kit: [each('ball', ['beanbag', 'rolled socks'])],
  players: [1, 8],
  times: [30, 15],
  checkpoints: [
    'The toss goes straight up and comes down to the same hand.',
    'One number is said for every clap, and every clap is a real one.',
    'The palms wait under the ball, soft and open.',
  ],
  faults: [
    fault(
      'The toss flies forward and the player chases it.',
      'Toss from a still arm and let go at eye height.',
    ),
    fault(
      'Claps are counted that were not made.',
      'Count aloud together, one number a clap, and begin again at one.',
      'back',
    ),
  ],
  care: [care('Under a low beam choose the step whose toss fits below it.', 'ours')],
  spices: ['other hand', 'higher', 'walking'],
  easings: ['let it bounce', 'bigger ball', 'two hands'],
  ask: ['How high did the ball have to go for your claps?'],
  home: 'Toss a pair of socks: how many claps fit before you catch it?',
  steps: [
    {
      id: 'one-clap',
      title: 'One clap',
      task: 'Toss the ball a little over your head, clap once and catch it with both hands.',
      change: 'The first step: a low toss and one clap.',
      cue: 'Eyes on the ball until it sits in your hands.',
      ...row([5, 8, 10, 10], 90, [10, 1, 'practice']),
      ...pace(2.2, 4, 0.88),
    },
    {
      id: 'three-claps',
      title: 'Three claps',
      task: 'Toss higher, clap three times and catch with both hands.',
      change: 'Two more claps, so the toss has to rise by about a metre.',
      cue: 'Toss it tall and straight, then clap.',
      ...row([3, 6, 8, 8], 120, [8, 2]),
      ...pace(2.8, 5, 0.82),
    },
    {
      id: 'five-claps',
      title: 'Five claps',
      task: 'Toss high enough for five claps and catch with both hands.',
      change: 'Five claps: the toss is as high as a basket, and the hands must be quick.',
      cue: 'Clap close to your chest, where the catch will be.',
      ...row([2, 4, 6, 6], 120, [6, 2]),
      ...pace(3.2, 6, 0.75, fiveClaps),
    },
    {
      id: 'one-hand-catch',
      title: 'Five claps, one hand',
      task: 'Five claps, and catch with the racket hand alone; next time with the other.',
      change: 'One hand catches, so the toss has to be exact.',
      cue: 'Let the hand sink with the ball as you catch it.',
      ...row([2, 3, 5, 6], 150, [6, 2]),
      ...pace(3.2, 6, 0.68, fiveClaps),
    },
    {
      id: 'other-hand-catch',
      title: 'Five claps, other hand',
      task: 'Five claps, and catch with the other hand.',
      change: 'The hand that usually rests makes the catch.',
      cue: 'Open the palm early and wait.',
      ...row([2, 3, 4, 5], 150, [5, 2]),
      ...pace(3.2, 6, 0.62, fiveClaps),
    },
    {
      id: 'one-leg',
      title: 'On one leg',
      task: 'Three claps on one leg, catch, and hold still for five seconds; then on the other leg.',
      change: 'One leg carries you, and the catch ends in stillness.',
      cue: 'Catch it, freeze, and breathe.',
      ...row([1, 2, 3, 4], 150, [4, 2]),
      ...pace(8, 6, 0.65),
    },
  ],
});
