import { readLine } from '@/core/movement/sequence/line';
import { takesSequence } from '../base/pace';
import { foresee } from '@/core/skill/expect/forecast';
import { normalBelow } from '@/core/skill/expect/normal';
import { shortDay } from '@/core/base/day-words';
import { longestVowDays, planVow, type VowPlan } from '@/core/vows/plan';
import { weekdayOf, type Booked, type VowLimit } from '@/core/vows/vow';
import { counted, percent } from '@/core/base/words';
import { seededRandom } from '@/core/base/random';
import type { Dose } from '@/core/dose/dose';
import type { LoadSum } from '@/core/dose/load';
import type { Problem } from '@/core/base/outcome';
import type { Book } from '@/drills/book';
import type { PlanPlayer, Records } from '../base/plan';
import { recordOf } from '../base/plan';
import { rateOn } from '../base/pace';
import { attemptsADay, doneOn, levelOn, waysOf, type Skill } from '../skill/judging';
import { dayNumber, isoDay } from '@/core/base/days';
import { goalOf } from '../skill/levels';
import { goalsOf } from '../base/goals';
import { notAtHome, type Home } from './home';
import { daySizes, type DaySize, type Vow } from './vow';

/** One day of a vow, as it would be. */
export interface ProposedDay {
  readonly day: string;
  /** One for each part. */
  readonly doses: readonly Dose[];
  readonly seconds: number;
  readonly good: number;
  readonly load: LoadSum;
}

/** What a vow would be, and what is in its way. */
export interface Proposal {
  readonly days: readonly ProposedDay[];
  /** Days that are not promised and can be done all the same: none where the drill loads anything that is counted. */
  readonly free: readonly ProposedDay[];
  readonly good: number;
  /** Ticked days that get none, because a line of care is full. */
  readonly rested: readonly string[];
  /** Chance to reach the aim by its last day, 0 to 1; null where too little is known. */
  readonly chance: number | null;
  /** One sentence on the chance. */
  readonly chanceText: string;
  /** One sentence on what is in the way, and what could be changed: by one press each. */
  readonly short: { readonly text: string; readonly mends: readonly VowMend[] } | null;
  /** What to mend before it can be a vow at all. */
  readonly problems: readonly Problem[];
}

/** What makes a vow possible. */
export type VowMend =
  | { readonly kind: 'until'; readonly untilDay: string; readonly text: string }
  | { readonly kind: 'minutes'; readonly minutes: number; readonly text: string }
  | { readonly kind: 'step'; readonly stepId: string; readonly text: string };

export interface VowSetting {
  readonly book: Book;
  readonly player: PlanPlayer & { readonly name: string };
  readonly records: Records;
  readonly skill: Skill;
  readonly home: Home;
  /** Local ISO. */
  readonly today: string;
  readonly fromDay: string;
  readonly untilDay: string;
  /** Days on which it rests. */
  readonly rests: (day: number) => boolean;
  /** What else the player does, by day number. */
  readonly booked: ReadonlyMap<number, Booked>;
  /** Days on which a limited step of it is done elsewhere. */
  readonly limitedOn: readonly number[];
  /** On how many court days the mark was reached of late. */
  readonly reachedDays: number;
}

const limitWords: Readonly<Record<VowLimit, string>> = {
  minutes: 'the minutes a day are',
  growth: 'how slowly the dose may grow is',
  forearm: 'the line for fast forearm actions is',
  contacts: 'the line for landings is',
  overheads: 'the line for overhead actions is',
  'days apart': 'the days wanted between are',
  'home minutes': 'fifteen minutes at home a day, with the other vows, are',
  days: 'the number of days until then is',
};

/** The ticked days of a span on which a vow does not rest, as numbers. */
export function vowDays(fromDay: string, untilDay: string, weekdays: readonly number[]): number[] {
  const days: number[] = [];
  for (let day = dayNumber(fromDay); day <= dayNumber(untilDay); day++)
    if (weekdays.includes(weekdayOf(day))) days.push(day);
  return days;
}

/** A vow on its days, with what is in its way. Deterministic. */
export function proposeVow(vow: Vow, setting: VowSetting): Proposal {
  const { book, player, records, fromDay, untilDay, booked, limitedOn } = setting;
  const problems = problemsOf(vow, setting);
  const nothing = { days: [], free: [], good: 0, rested: [], chance: null, chanceText: '', short: null };
  if (problems.length > 0) return { ...nothing, problems };
  const { sizes, usual } = daySizes(book, player, vow.parts, records);
  if (sizes.length === 0)
    return {
      ...nothing,
      problems: [{ field: 'parts', message: 'This dose has no size to plan with: choose another dose.' }],
    };
  const days = vowDays(fromDay, untilDay, vow.weekdays).filter((day) => !setting.rests(day));
  if (days.length === 0)
    return {
      ...nothing,
      problems: [
        {
          field: 'weekdays',
          message:
            'None of the days you ticked lies between its first and its last day: tick another, or choose a later date.',
        },
      ],
    };
  const limit = limitOf(vow, setting);
  const plan = planVow({
    days,
    sizes,
    usual,
    growth: vow.growth,
    minutes: vow.minutes,
    aim: vow.aim,
    age: player.age,
    booked,
    limit,
    limitedOn,
  });
  const proposed = plan.days.map(({ day, size }) => ({
    day: isoDay(day),
    doses: sizes[size]!.doses,
    seconds: sizes[size]!.seconds,
    good: sizes[size]!.good,
    load: sizes[size]!.load,
  }));
  return {
    days: proposed,
    free: freeDays(setting, proposed, sizes, limit !== null),
    good: plan.good,
    rested: plan.rested.map(isoDay),
    ...chanceOf(vow, setting, plan, sizes),
    short: shortOf(vow, setting, plan),
    problems: [],
  };
}

/** The days in between, each with the dose of the promised day before it (of the first one, before that). */
function freeDays(
  { fromDay, untilDay }: VowSetting,
  promised: readonly ProposedDay[],
  sizes: readonly DaySize[],
  limited: boolean,
): ProposedDay[] {
  const { contacts, overheads, forearm } = sizes.at(-1)!.load;
  if (promised.length === 0 || limited || contacts + overheads + forearm > 0) return [];
  const taken = new Set(promised.map(({ day }) => day));
  const free: ProposedDay[] = [];
  let like = promised[0]!;
  let next = 0;
  for (let number = dayNumber(fromDay); number <= dayNumber(untilDay); number++) {
    const day = isoDay(number);
    if (taken.has(day)) like = promised[next++]!;
    else free.push({ ...like, day });
  }
  return free;
}

function limitOf({ parts }: Vow, { book, player }: VowSetting) {
  const limits = parts.flatMap(({ drillId, stepId }) => book.step(drillId, stepId, player.id)?.limit ?? []);
  if (limits.length === 0) return null;
  return {
    tries: Math.min(...limits.map(({ triesASession }) => triesASession)),
    daysApart: Math.max(...limits.map(({ daysApart }) => daysApart)),
  };
}

/** What keeps it from being a vow: each a sentence with its mend. */
function problemsOf(vow: Vow, { book, player, home, today, fromDay, untilDay }: VowSetting): Problem[] {
  const problems: Problem[] = [];
  const say = (field: string, message: string) => problems.push({ field, message });
  if (vow.weekdays.length === 0) say('weekdays', 'No day is ticked: tick the days it is done on.');
  if (fromDay < today) say('fromDay', `The first day is over: begin on ${shortDay(today)} or later.`);
  if (untilDay < fromDay) say('untilDay', 'The last day lies before the first: choose a later one.');
  else if (dayNumber(untilDay) - dayNumber(fromDay) > longestVowDays)
    say('untilDay', 'It would last more than half a year: choose an earlier last day, and renew it then.');
  if (vow.parts.length === 0) say('parts', 'No drill is chosen: choose one.');
  const seen = new Set<string>();
  for (const { drillId, stepId, choices, strokes } of vow.parts) {
    const drill = book.drill(drillId, player.id);
    const step = drill?.steps.find(({ id }) => id === stepId);
    if (!drill) {
      say('parts', 'A drill is not on the list (any more): choose another.');
      continue;
    }
    if (!step || choices.some((one) => !drill.steps.some(({ id }) => id === one.stepId))) {
      say('parts', `A step is not on the ladder of ${drill.title} (any more): choose another.`);
      continue;
    }
    const read = strokes ? readLine(strokes, drill.sports[0]!) : null;
    if (read && !read.ok) say('parts', read.problems[0]!.message);
    if (strokes && !takesSequence(step))
      say('parts', `${drill.title}: this step has no strokes of its own. Leave them out.`);
    if (seen.has(`${drillId} ${stepId}`))
      say('parts', `${drill.title}: this step is in it twice. Take one out.`);
    seen.add(`${drillId} ${stepId}`);
    if (step.limit && player.age < step.limit.fromAge)
      say(
        'parts',
        `${drill.title}: this step is from ${step.limit.fromAge} years on, and ${player.name} is ${player.age}.`,
      );
    const why = notAtHome(drill, home, vow.atTime);
    if (why.length > 0)
      say(
        'parts',
        `${drill.title} does not fit at home: ${why.join('; ')}. Choose another drill, or change what is at home.`,
      );
  }
  return problems;
}

function shortOf(
  vow: Vow,
  { book, player, fromDay, untilDay }: VowSetting,
  plan: VowPlan,
): Proposal['short'] {
  const { short } = plan;
  if (!short) return null;
  const mends: VowMend[] = [];
  // What is offered must be taken: a vow's length counts from its first day, which need not be ticked.
  if (short.later !== null && short.later - dayNumber(fromDay) <= longestVowDays)
    mends.push({
      kind: 'until',
      untilDay: isoDay(short.later),
      text: `Until ${shortDay(isoDay(short.later))}`,
    });
  if (short.longer !== null)
    mends.push({ kind: 'minutes', minutes: short.longer, text: `${short.longer} minutes a day` });
  const [part] = vow.parts;
  const steps = part ? (book.drill(part.drillId, player.id)?.steps ?? []) : [];
  const below = steps[steps.findIndex(({ id }) => id === part?.stepId) - 1];
  if (vow.parts.length === 1 && below)
    mends.push({ kind: 'step', stepId: below.id, text: `The step below: ${below.title}` });
  const what =
    vow.aim.kind === 'reps'
      ? `${Math.round(plan.good)} of ${vow.aim.reps} good ones until ${shortDay(untilDay)}`
      : `No day of it can be done until ${shortDay(untilDay)}`;
  return { text: `${what}: ${limitWords[short.limit]} what is in the way.`, mends };
}

/** Nobody knows yet how this player does it. */
const littleKnown = 'Nothing was counted on this step of late, so nobody can say how likely it is.';

function chanceOf(
  vow: Vow,
  setting: VowSetting,
  plan: VowPlan,
  sizes: readonly DaySize[],
): Pick<Proposal, 'chance' | 'chanceText'> {
  const { book, player, records, skill, untilDay, reachedDays, booked } = setting;
  const until = shortDay(untilDay);
  const [part] = vow.parts;
  const step = part && book.step(part.drillId, part.stepId, player.id);
  if (!part || !step || plan.days.length === 0) return { chance: null, chanceText: '' };
  if (vow.aim.kind === 'habit')
    return { chance: null, chanceText: `${counted(plan.days.length, 'day')} of the same small dose.` };
  if (vow.aim.kind === 'reps') {
    const { value, tries } = rateOn(step, recordOf(records, player.id, part.drillId, part.stepId));
    // The mean of a beta posterior, and how far it may be off; the tries themselves scatter besides.
    const all = plan.days.reduce((sum, { size }) => sum + sizes[size]!.load.tries, 0);
    const spread = Math.sqrt(value * (1 - value) * (all + all ** 2 / (tries + 11)));
    const chance =
      spread === 0
        ? plan.good >= vow.aim.reps
          ? 1
          : 0
        : 1 - normalBelow((vow.aim.reps - 0.5 - plan.good) / spread);
    return {
      chance,
      chanceText: `If every day is kept, about ${Math.round(plan.good)} good ones until ${until}; ${vow.aim.reps} or more: ${percent(chance)}.`,
    };
  }
  const level = levelOn(skill, player.id, part.drillId, part.stepId);
  if (!level) return { chance: null, chanceText: littleKnown };
  const { dose, mark } = goalsOf({ step, dose: part.dose }, player.age);
  const done = doneOn(skill, player.id, part.drillId, part.stepId);
  const onCourt = [...booked].filter(([, { courtS }]) => courtS > 0).map(([day]) => day);
  const days = [...new Set([...plan.days.map(({ day }) => day), ...onCourt])]
    .filter((day) => day > dayNumber(setting.today) && day <= dayNumber(untilDay))
    .sort((a, b) => a - b);
  if (days.length === 0) return { chance: null, chanceText: '' };
  const missingDays = Math.max(1, mark.days - reachedDays);
  const chance = foresee(
    waysOf(level),
    level.dated.at(-1)!.day,
    goalOf(step, dose, mark),
    { days, attempts: attemptsADay(dose, done), missingDays },
    seededRandom(dayNumber(untilDay)),
  ).byTheEnd;
  const times = missingDays === 1 ? 'once' : `on ${missingDays} days`;
  return {
    chance,
    chanceText: `The mark ${times} until ${until}, on court or at home: ${percent(chance)}.`,
  };
}
