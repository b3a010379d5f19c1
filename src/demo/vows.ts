import { tally } from '@/core/counting/tally';
import type { TouchEvent } from '@/core/counting/event';
import type { VowAim } from '@/core/vows/vow';
import type { Random } from '@/core/base/random';
import type { Book } from '@/drills';
import type { Dose } from '@/core/dose/dose';
import type { HomeForm, VowForm } from '@/schemas/vow';
import { usualHome } from '@/session/vows/home';
import { usualDose } from '@/session/vows/vow';
import type { Character } from './people';
import { dropChance, playBlock } from './player-log';
import { turnedWeekday } from './week';

/*
 * What the invented children promised over the weeks, and how they kept it: by tap, typed, or from a file. All made up.
 */

/** How a vow was kept. */
export interface Kept {
  /** Chance that a day is kept, and that it is begun at least. */
  readonly keeps: number;
  readonly begins: number;
  /** Days before today from which on nothing is done any more. */
  readonly stopsAgo?: number;
  /** `tap` on the family’s page, `typed` there, or a `file` without the server. */
  readonly how: 'tap' | 'typed' | 'file';
}

export interface DemoVow extends Kept {
  readonly name: string;
  /** Drill and step of each part; steps the child may choose. */
  readonly parts: readonly {
    readonly drillId: string;
    readonly stepId: string;
    readonly choices?: readonly string[];
  }[];
  readonly aim: VowAim;
  /** First and last day, as days from today. */
  readonly from: number;
  readonly until: number;
  /** ISO weekdays where the demo is looked at on a Tuesday; on other days they are turned along (week.ts). */
  readonly weekdays: readonly number[];
  readonly minutes: number;
  readonly atTime?: string;
  readonly byEar?: boolean;
  readonly growth?: number;
  /** Days from today in which it rested. */
  readonly pause?: readonly [from: number, until: number, why: string];
  /** Ended so many days from today, and why. */
  readonly ended?: readonly [day: number, why: string];
  readonly thanks?: string;
}

const { kit: _kit, ...room } = usualHome;
const kitOf = (kit: Readonly<Record<string, number>>) =>
  Object.entries({ ...Object.fromEntries(usualHome.kit), ...kit }).map(([item, count]) => ({ item, count }));

/** A yard behind the house: sky, a wall that may be hit until eight, a parent who feeds. */
const yard: HomeForm = {
  lengthM: 9,
  widthM: 6,
  ceilingM: null,
  surface: 'rough concrete',
  wallM: 4,
  tables: 0,
  lamps: false,
  helper: true,
  quietFrom: '20:00',
  quietTo: '07:00',
  kit: kitOf({ chalk: 1, ball: 3, beanbag: 1 }),
};
const flat: HomeForm = { ...room, kit: kitOf({ balloon: 2 }) };

export const homes: Readonly<Record<string, HomeForm>> = {
  'Nessa Quillby': yard,
  'Pia Tarnbell': yard,
  'Juno Saltgarth': yard,
  'Bram Ellerwick': yard,
  'Corin Oakhaven': flat,
};

const school = [1, 2, 3, 4, 5];

export const vows: readonly DemoVow[] = [
  {
    name: 'Nessa Quillby',
    parts: [{ drillId: 'palm-up-bounce', stepId: 'row-20' }],
    aim: { kind: 'mark' },
    from: -56,
    until: -36,
    weekdays: school,
    minutes: 5,
    keeps: 0.7,
    begins: 0.9,
    how: 'tap',
    thanks: 'Three weeks, and you can hear it in the hall.',
  },
  {
    name: 'Nessa Quillby',
    aim: { kind: 'mark' },
    atTime: '17:30',
    byEar: true,
    parts: [{ drillId: 'racket-wall-rally', stepId: 'one-and-trap', choices: ['two-and-trap'] }],
    from: -12,
    until: 10,
    weekdays: [1, 3, 5, 6],
    minutes: 6,
    keeps: 0.8,
    begins: 0.9,
    how: 'tap',
  },
  {
    name: 'Corin Oakhaven',
    parts: [{ drillId: 'palm-up-bounce', stepId: 'settle' }],
    aim: { kind: 'habit' },
    from: -30,
    until: 12,
    weekdays: school,
    minutes: 3,
    keeps: 0.9,
    begins: 0.95,
    how: 'typed',
  },
  {
    name: 'Pia Tarnbell',
    parts: [{ drillId: 'soft-catch', stepId: 'rehearse' }],
    aim: { kind: 'habit' },
    from: -49,
    until: 6,
    weekdays: [2, 4, 6],
    minutes: 4,
    keeps: 0.6,
    begins: 0.85,
    how: 'tap',
    pause: [-35, -29, 'A cold'],
  },
  {
    name: 'Juno Saltgarth',
    aim: { kind: 'habit' },
    growth: 0,
    byEar: true,
    parts: [
      { drillId: 'palm-up-bounce', stepId: 'bounce-20-s' },
      { drillId: 'turn-over-bounce', stepId: 'three-and-three' },
      { drillId: 'rim-roll', stepId: 'one-way-round' },
    ],
    from: -20,
    until: 8,
    weekdays: [1, 2, 4, 7],
    minutes: 9,
    keeps: 0.7,
    begins: 0.95,
    how: 'file',
  },
  {
    name: 'Bram Ellerwick',
    parts: [{ drillId: 'shadow-forehand', stepId: 'full-and-freeze' }],
    aim: { kind: 'reps', reps: 700 },
    growth: 0.2,
    from: -40,
    until: -5,
    weekdays: [1, 3, 5],
    minutes: 8,
    keeps: 0.5,
    begins: 0.7,
    how: 'tap',
    ended: [-12, 'A wall rally came in its place'],
  },
  {
    name: 'Ravi Thornmere',
    parts: [{ drillId: 'shadow-patterns', stepId: 'two-forehands' }],
    aim: { kind: 'mark' },
    from: -16,
    until: 9,
    weekdays: school,
    minutes: 5,
    keeps: 0.75,
    begins: 0.9,
    stopsAgo: 6,
    how: 'tap',
  },
  {
    name: 'Ilse Copperby',
    parts: [{ drillId: 'knuckle-up-bounce', stepId: 'one-hand', choices: ['two-hands'] }],
    aim: { kind: 'reps', reps: 600 },
    from: -24,
    until: -3,
    weekdays: [1, 2, 3, 4, 5, 6],
    minutes: 5,
    keeps: 0.85,
    begins: 0.95,
    how: 'tap',
    thanks: 'Six hundred and more. That was all you.',
  },
  {
    name: 'Maren Drystone',
    parts: [{ drillId: 'rim-roll', stepId: 'side-to-side' }],
    aim: { kind: 'mark' },
    from: 1,
    until: 15,
    weekdays: [2, 4, 6],
    minutes: 4,
    keeps: 0,
    begins: 0,
    how: 'tap',
  },
];

/** The form of a vow, as a coach would have filled it in. @param day the local ISO day so many days from today */
export function vowForm(book: Book, age: number, one: DemoVow, day: (from: number) => string): VowForm {
  const part = ({ drillId, stepId, choices = [] }: DemoVow['parts'][number]) => ({
    drillId,
    stepId,
    dose: usualDose(book.step(drillId, stepId)!, age),
    choices: choices.map((other) => ({ stepId: other, dose: usualDose(book.step(drillId, other)!, age) })),
  });
  return {
    parts: one.parts.map(part),
    aim: one.aim,
    minutes: one.minutes,
    weekdays: one.weekdays.map((weekday) => turnedWeekday(weekday, day(0)) || 7).sort(),
    growth: one.growth ?? 0.1,
    atTime: one.atTime ?? null,
    alarm: one.atTime !== undefined,
    byEar: one.byEar ?? false,
    fromDay: day(one.from),
    untilDay: day(one.until),
  };
}

/** Words a child sends along now and then. */
const lines = ['My brother counted', 'Outside, it was windy', 'I used the old racket', ''] as const;

/** A mark at home before it has an id. */
export type HomeMark = Pick<TouchEvent, 'kind' | 'attempt' | 'value' | 'text'> & { readonly atS: number };

/**
 * What a child did at home in one part of a day; empty on a day that went by.
 * @param mood 0 to 1, drawn for the day
 * @param before days of this vow done before: they learn from it
 */
export function atHome(
  book: Book,
  { drillId, stepId }: { readonly drillId: string; readonly stepId: string },
  dose: Dose,
  character: Character,
  { keeps, begins, how }: Kept,
  mood: number,
  before: number,
  random: Random,
): HomeMark[] {
  if (mood >= Math.max(keeps, begins)) return [];
  const step = book.step(drillId, stepId)!;
  const drop = dropChance(character, step, 2 + before / 2, 1);
  const marks = playBlock(dose, step, { ...character, fudges: undefined }, drop, random).map<HomeMark>(
    (mark) => ({
      kind: mark.kind,
      attempt: mark.attempt,
      value: mark.value,
      text: mark.text ?? null,
      atS: mark.atS,
    }),
  );
  const done = mood < keeps ? marks : marks.slice(0, Math.max(1, Math.floor(marks.length / 4)));
  if (how === 'tap') return withWord(done, before, mood);
  // Counted aloud and told: whole attempts.
  const events = done.map((mark, i): TouchEvent => ({
    id: String(i).padStart(6, '0'),
    blockId: '',
    playerId: 'p',
    ref: null,
    monoMs: 0,
    device: 'd',
    ...mark,
    atMs: Math.round(mark.atS * 1000),
  }));
  const results = tally(events, step.measure).attempts.flatMap((one, i) =>
    one.result === null
      ? []
      : [
          {
            kind: 'result' as const,
            attempt: i + 1,
            value: told(one.result, dose, how),
            text: null,
            atS: one.startedMs / 1000,
          },
        ],
  );
  return withWord(results.slice(0, 6), before, mood);
}

/** Who types from memory types what was asked for. */
const told = (result: number, dose: Dose, how: Kept['how']): number =>
  how === 'typed' && dose.kind === 'row' ? dose.target : result;

function withWord(marks: HomeMark[], before: number, mood: number): HomeMark[] {
  const last = marks.at(-1);
  if (!last || before % 3 !== 0) return marks;
  const value = 1 + Math.floor(mood * 2.99);
  return [...marks, { kind: 'note', attempt: 1, value, text: lines[before % 4]!, atS: last.atS + 20 }];
}
