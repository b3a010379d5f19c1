import { holdFor, ours, practice, repsFor, timedFor } from '../make';
import type { Drill } from '../types';

const wristAndForearm: Drill = {
  id: 'wrist-and-forearm',
  title: 'Wrist and forearm series',
  family: 'loosen',
  sports: ['tennis', 'table tennis'],
  ages: { from: 6, to: 16 },
  purpose:
    'Warms the small muscles that hold and turn the racket, so that quick hand work later in the session is safe and feels easy.',
  setUp:
    'Stand two big steps apart from your neighbour with your own racket. Lay one light stretch band per player on the floor behind them.',
  feed: { how: 'none', predictability: 'known' },
  hold: 'any',
  stance: 'ready position',
  dropRule: 'go on from the spot',
  space: { lengthM: 2, widthM: 2, ceilingM: 2.4, needs: [] },
  kit: [
    { item: 'racket', count: 1, per: 'player', standIns: ['short stick'] },
    { item: 'light stretch band', count: 1, per: 'player', standIns: ['the other hand, pushing gently'] },
  ],
  players: { min: 1, max: 8 },
  setUpS: practice(25),
  changeoverS: practice(15),
  checkpoints: [
    'The racket head draws the eight, and the elbow stays quiet beside the ribs.',
    'The grip is firm enough to hold a small bird and no firmer.',
    'The wrist moves to a gentle pull and stops there.',
  ],
  faults: [
    {
      fault: 'The whole arm swings round instead of the wrist.',
      correction: 'Rest the elbow on the other hand and draw a smaller eight.',
      stepBack: false,
    },
    {
      fault: 'The player bounces in the stretch to reach further.',
      correction: 'Breathe out slowly and stay where the pull begins.',
      stepBack: true,
    },
  ],
  care: [
    {
      text: 'This series comes before any fast-hand block, unless the player has already been hitting.',
      origin: 'practice',
    },
    { text: 'Stop at any pain in the wrist or elbow, and leave an injured arm out of it.', origin: 'ours' },
  ],
  spices: ['other hand', 'eyes up'],
  easings: ['slower', 'fewer'],
  recap: {
    questions: ['Which part of your arm feels warm now?'],
    homeChallenge: 'Draw ten slow eights with each hand before you pick up a ball.',
  },
  steps: [
    {
      id: 'eights',
      title: 'Racket figure of eight',
      task: 'Draw a lying eight in the air with the racket head, slow and round, without a pause.',
      change: 'The first step: the racket alone, no pull on the wrist.',
      measure: 'count',
      gate: { result: 15, days: 1 },
      gateOrigin: 'ours',
      doses: timedFor([1, 2, 2, 2], 20, 10),
      doseOrigin: 'practice',
      perTouchS: practice(1.3),
      dropCostS: ours(2),
      usualRate: ours(0.98),
      cue: 'Draw the eight big, round and slow.',
    },
    {
      id: 'wrist-waves',
      title: 'Wrist up and down',
      task: 'Hold the racket out in front at belt height and lift and lower its head with the wrist alone.',
      change: 'The wrist now lifts the weight of the racket instead of letting it swing.',
      measure: 'reps',
      gate: { result: 10, days: 2 },
      gateOrigin: 'ours',
      doses: repsFor([6, 8, 10, 12], 1, 2, 10),
      doseOrigin: 'ours',
      perTouchS: practice(1.5),
      dropCostS: ours(2),
      usualRate: ours(0.98),
      cue: 'Lift the head with the wrist and let it down like a feather.',
    },
    {
      id: 'band-outwards',
      title: 'Band outwards',
      task: 'Hold the band in both hands with the arms in front and turn the wrists outwards, then hold against the pull.',
      change: 'The band adds a steady pull, held still instead of moved through.',
      measure: 'hold',
      gate: { result: 20, days: 2 },
      gateOrigin: 'practice',
      doses: holdFor([5, 10, 20, 20], 3, 1, 10),
      doseOrigin: 'practice',
      perTouchS: practice(20),
      dropCostS: ours(3),
      usualRate: ours(0.9),
      cue: 'Turn both thumbs to the walls and keep them there.',
    },
  ],
};

export const loosen: readonly Drill[] = [wristAndForearm];
