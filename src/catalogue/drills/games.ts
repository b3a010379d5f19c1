import { ours, practice, shotsFor } from '../make';
import type { Drill, Zone } from '../types';

const rings: readonly Zone[] = [
  { label: 'Inner ring', points: 10 },
  { label: 'Middle ring', points: 5 },
  { label: 'Outer ring', points: 1 },
  { label: 'Out', points: 0 },
];

const ringTarget: Drill = {
  id: 'ring-target',
  title: 'Ring target',
  family: 'games',
  sports: ['tennis', 'table tennis'],
  ages: { from: 5, to: 16 },
  purpose:
    'Ends the session with a score to beat: aim, touch and nerve in ten shots, and the adding up is done for you.',
  setUp:
    'Chalk three rings inside one another on the floor, 0.4, 0.8 and 1.2 m across the radius. Mark the throwing line two to three metres away, nearer for the small ones.',
  feed: { how: 'self', predictability: 'known' },
  hold: 'any',
  stance: 'any',
  dropRule: 'go on from the spot',
  bounceRule: 'first bounce counts',
  space: { lengthM: 5, widthM: 3, ceilingM: 2.6, needs: [] },
  kit: [
    { item: 'ball', count: 5, per: 'station', standIns: ['rolled socks'] },
    {
      item: 'chalk',
      count: 1,
      per: 'station',
      standIns: ['hoops of three sizes', 'a folded towel as the middle'],
    },
    { item: 'racket', count: 1, per: 'player', standIns: ['an open hand'] },
  ],
  players: { min: 1, max: 6 },
  setUpS: practice(60),
  changeoverS: practice(30),
  checkpoints: [
    'The swing starts low and travels towards the target.',
    'The body stays balanced after the ball has gone.',
    'The same routine comes before every shot.',
  ],
  faults: [
    {
      fault: 'The player leans after the ball.',
      correction: 'Finish, stay, and watch it land from where you stand.',
      stepBack: false,
    },
    {
      fault: 'Shots are rushed one after another.',
      correction: 'Bounce the ball twice, look at the ring, then shoot.',
      stepBack: false,
    },
  ],
  care: [{ text: 'Everybody collects together: nobody walks to the rings while balls fly.', origin: 'ours' }],
  spices: ['other hand', 'further', 'eyes up'],
  easings: ['closer', 'bigger ball', 'two hands'],
  recap: {
    questions: ['What did you do the same before your best shots?'],
    homeChallenge: 'Ten socks into a ring of string: beat your own score.',
  },
  steps: [
    {
      id: 'underarm-throw',
      title: 'Underarm throw',
      task: 'Throw ten balls underarm at the rings; where it first lands counts.',
      change: 'The first step: the hand alone aims.',
      measure: 'points',
      gate: { result: 40, days: 2 },
      gateOrigin: 'ours',
      doses: shotsFor([6, 10, 10, 10], 5, 20),
      doseOrigin: 'practice',
      perTouchS: practice(5),
      dropCostS: ours(0),
      usualRate: ours(0.7),
      cue: 'Swing your arm to the ring and let it point there.',
      zones: rings,
    },
    {
      id: 'racket-lob',
      title: 'Racket lob',
      task: 'Lob ten balls from the racket into the rings; where it first lands counts.',
      change: 'The racket lofts the ball instead of the hand.',
      measure: 'points',
      gate: { result: 35, days: 2 },
      gateOrigin: 'ours',
      doses: shotsFor([6, 10, 10, 10], 5, 20),
      doseOrigin: 'practice',
      perTouchS: practice(6),
      dropCostS: ours(0),
      usualRate: ours(0.6),
      cue: 'Start low and push up to the target.',
      zones: rings,
    },
    {
      id: 'long-lob',
      title: 'Long lob',
      task: 'The same from four metres.',
      change: 'The line is a metre and more further away.',
      measure: 'points',
      gate: { result: 30, days: 2 },
      gateOrigin: 'ours',
      doses: shotsFor([6, 10, 10, 10], 5, 25),
      doseOrigin: 'practice',
      perTouchS: practice(6),
      dropCostS: ours(0),
      usualRate: ours(0.5),
      cue: 'Give it a high arch and hold your finish.',
      zones: rings,
    },
  ],
};

export const games: readonly Drill[] = [ringTarget];
