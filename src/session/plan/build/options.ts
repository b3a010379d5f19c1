import { cappedKinds, drinkEveryS, drinkS, sessionCap, sessionMinutes, weekCaps } from '@/core/care/limits';
import { needsWarm, warmed } from '@/core/care/rules/warm-up';
import { usualWeights, type BuildAsk } from '@/core/plan/build/model';
import type { BuildOption } from '@/core/plan/build/option';
import type { BlockTime } from '@/core/plan/block-time';
import { sessionPhases } from '@/core/plan/phases';
import { isQuietIn } from '@/core/venues/place';
import type { Drill } from '@/drills/base/types';
import { isEverywhere } from '@/drills/base/kit';
import { evaluatePlan, isHitting, phaseOf, type PlanSetting } from '../evaluate';
import { atShare } from '../fit-time';
import { newBlock, type StandsOn } from '../place-block';
import { workOf, type PlanBlock } from '@/session/base/plan';
import { timePlan } from '../time-plan';
import { needOf, plainWorth, type ChildFacts, type NeedPart, type NeedWeights } from './needs';

/** What a coach can turn: each is off or on. */
export interface Dials {
  readonly touches: boolean;
  readonly fresh: boolean;
  readonly calm: boolean;
}
export const evenDials: Dials = { touches: false, fresh: false, calm: false };

/** What is asked of the builder, besides who comes, where and how long. */
export interface Wish {
  readonly must: readonly string[];
  readonly banned: readonly string[];
  readonly dials: Dials;
  /** Blocks that stay as they are: those that were begun first, in their order. */
  readonly kept: readonly PlanBlock[];
  /** Ids of kept blocks that were begun: they stand before everything else. */
  readonly begun: readonly string[];
  /** A block of the last session that it may open with; null for none. */
  readonly retest: PlanBlock | null;
}

const keptId = ({ id }: PlanBlock): string => `kept ${id}`;

/** A drill that cannot be in this session, and why. */
export interface Unfit {
  readonly drillId: string;
  readonly reason: string;
}

export interface Prepared {
  readonly ask: BuildAsk;
  /** The block of each option, before it is put into its place. */
  readonly blocks: ReadonlyMap<string, PlanBlock>;
  /** Why a drill is worth something to each child, in the order of the players. */
  readonly needs: ReadonlyMap<string, readonly (readonly NeedPart[])[]>;
  readonly unfit: readonly Unfit[];
  /** Seconds there are, drinks and all: the booking, or what the youngest can do well. */
  readonly mostS: number;
  /**
   * Seconds to the next drink; null where kept blocks have drinks of their own or are stations: then drinks are not looked
   * at before a session is there.
   */
  readonly stretchS: number | null;
}

/** Sizes a drill is offered in, as shares of its usual dose. Ours: enough to fill half a minute, few enough to be quick. */
const shares = [0.6, 1, 1.5, 2, 3] as const;
/** A block of a drill is not longer than this, seconds: children want something else then. Ours. */
const longestS = 12 * 60;
/**
 * Four minutes of somebody who feeds, and cannot look at the others meanwhile; on a calm day that, hard landings and every
 * block cost more. Ours, in the unit of {@link usualWeights}.
 */
const [helped, calmHelped, calmHard, calmBlock] = [0.03, 0.06, 0.15, 0.06];
const helpedS = 4 * 60;
/** A hundred touches are worth this to a child, beside what they are touches of; more where they are asked for. Ours. */
const [touchesWorth, moreTouches] = [0.08, 0.3];
/** Where a group has to walk to: once there, what else is done there costs no more. */
export const spots = [
  { need: 'wall', name: 'the wall' },
  { need: 'table', name: 'the table' },
] as const;
/** Twice the dose is not twice the good: its worth grows as 1 - exp(-1.2 x). Ours. */
const bend = 1.2;
const goodOf = (doses: number): number => (1 - Math.exp(-bend * doses)) / (1 - Math.exp(-bend));

/** Warnings that say nothing against one drill: the whole session is looked at for these. */
const ofTheWhole: ReadonlySet<string> = new Set([
  'warm-up first',
  'care note',
  'total minutes',
  'heat',
  'drink break',
  'load caps',
]);

/** A new drill every few minutes is more telling than doing. Minutes; ours. */
const minutesABlock = 4;

/** One game of an hour ends a session; a long one has room for two. Ours. */
const mostGames = (bookedMin: number): number => (bookedMin >= 75 ? 2 : 1);

/** What drills there are for these children here, at which sizes, what each is worth to whom, and what has to hold. */
export function prepare(
  setting: PlanSetting,
  facts: readonly ChildFacts[],
  standsOn: (drillId: string) => StandsOn,
  wish: Wish,
): Prepared {
  const { players, bookedMin, airC } = setting;
  const factsOf = new Map(facts.map((one) => [one.playerId, one]));
  const weights: NeedWeights = wish.dials.fresh ? { new: 3, 'not done lately': 2 } : {};
  const options: BuildOption[] = [];
  const blocks = new Map<string, PlanBlock>();
  const needs = new Map<string, readonly (readonly NeedPart[])[]>();
  const unfit: Unfit[] = [];
  const keptDrills = new Set(wish.kept.map(({ drillId }) => drillId));

  const add = (block: PlanBlock, drill: Drill, id: string, usualWork: Readonly<Record<string, number>>) => {
    blocks.set(id, block);
    options.push(optionOf(setting, block, usualWork, drill, id, needs.get(drill.id)!, wish.dials));
  };
  for (const drill of setting.book.drills) {
    if (keptDrills.has(drill.id) || wish.banned.includes(drill.id)) continue;
    const reason = misfit(setting, drill);
    const block = reason
      ? null
      : newBlock(setting.book, drill.id, players, standsOn(drill.id), `new ${drill.id}`);
    const stopped = block && stopOf(setting, block);
    if (!block || stopped) {
      unfit.push({ drillId: drill.id, reason: reason ?? stopped! });
      continue;
    }
    needs.set(
      drill.id,
      players.map(({ id }) => needOf(drill, factsOf.get(id), wish.must.includes(drill.id), weights)),
    );
    const usual = timedAlone(setting, block)?.workOf ?? {};
    const sizes = new Map(shares.map((share) => [JSON.stringify(atShare(block, share).dose), share]));
    for (const share of sizes.values()) {
      const sized = atShare(block, share);
      if (!isOverLimit(setting, sized, drill)) add(sized, drill, `${drill.id}@${share}`, usual);
    }
    if (wish.retest?.drillId === drill.id)
      add({ ...wish.retest, id: `retest ${drill.id}`, retest: true }, drill, `${drill.id}@retest`, usual);
  }
  for (const block of wish.kept) {
    const drill = setting.book.drill(block.drillId);
    if (!drill) continue;
    needs.set(
      drill.id,
      players.map(({ id }) => needOf(drill, factsOf.get(id), false, weights)),
    );
    add(block, drill, keptId(block), timedAlone(setting, block)?.workOf ?? {});
    const option = options.pop()!;
    // What the coach keeps is the coach's word: care says what it thinks of it on the plan, and asks for nothing before it.
    options.push({ ...option, drill: option.id, asks: [], begun: wish.begun.includes(block.id) });
  }

  const kept = wish.kept.filter(({ drillId }) => setting.book.drill(drillId)).map(keptId);
  const keptOptions = options.filter(({ id }) => kept.includes(id));
  const fitting = options.filter(({ id, seconds }) => kept.includes(id) || seconds <= longestS);
  const there = sessionPhases.map((_, phase) => fitting.some((one) => one.phase === phase));
  const sum = sessionPhases.reduce((all, { share }, phase) => all + (there[phase] ? share : 0), 0);
  const youngest = Math.min(...players.map(({ age }) => age));
  const minutes = Math.min(bookedMin, sessionMinutes(youngest));
  const everyS = drinkEveryS(airC);
  const drinks = Math.max(0, Math.ceil((60 * minutes) / everyS) - 1);
  return {
    ask: {
      children: players.length,
      options: fitting,
      seconds: 60 * minutes - drinks * drinkS,
      wholeS: 60 * minutes - drinks * drinkS,
      shares: sessionPhases.map(({ share }, phase) => (there[phase] ? share / sum : 0)),
      most: sessionPhases.map(({ id }, phase) => {
        const there = keptOptions.filter((one) => one.phase === phase).length;
        return id === 'retest'
          ? Math.max(1, there)
          : id === 'game'
            ? Math.max(mostGames(bookedMin), there)
            : null;
      }),
      mostBlocks: Math.max(kept.length, Math.ceil(minutes / minutesABlock)),
      caps: cappedKinds.map((kind, at) =>
        players.map(({ age, dayLoad, weekLoad }, child) => {
          const cap = sessionCap(age, kind);
          const there = keptOptions.reduce((sum, { loads }) => sum + loads[at]![child]!, 0);
          return Math.max(there, Math.min(cap - dayLoad[kind], weekCaps * cap - weekLoad[kind]));
        }),
      ),
      locked: kept,
      must: wish.must.filter((drill) => !keptDrills.has(drill)),
      limits: [],
      stretches: null,
      weights: wish.dials.calm ? { ...usualWeights, thing: 3 * usualWeights.thing } : usualWeights,
    },
    blocks,
    needs,
    unfit,
    mostS: 60 * minutes,
    stretchS: wish.kept.some(({ circuit, breakS }) => circuit || breakS > 0) ? null : everyS,
  };
}

/** Why a drill cannot be in this session at all; null where it can. */
function misfit({ players, ground, startTime, bookedMin }: PlanSetting, drill: Drill): string | null {
  const young = players.find(({ age }) => age < drill.ages.from);
  if (young) return `${young.name} is ${young.age}, and it is usually done from ${drill.ages.from} years on`;
  const wall = drill.space.needs.includes('wall');
  if (wall && ground.place && isQuietIn(ground.place, startTime, bookedMin))
    return `the wall is inside the quiet hours of ${ground.place.name}`;
  return null;
}

/** What stands against a block by itself: it does not fit here, or a rule of care says stop or care. */
function stopOf(setting: PlanSetting, block: PlanBlock): string | null {
  const { fits, warnings } = evaluatePlan([block], setting);
  const fit = fits.get(block.id);
  if (!fit) return 'nobody can do it here';
  if (fit.verdict === 'no') return fit.reasons.join('; ');
  const stop = warnings.find(({ rule, severity }) => severity !== 'note' && !ofTheWhole.has(rule));
  return stop ? stop.text : null;
}

/** Is a step with a limit of its own done more often than it allows, by anybody? */
const isOverLimit = (setting: PlanSetting, block: PlanBlock, { steps }: Drill): boolean =>
  steps.some(({ limit }) => limit) &&
  evaluatePlan([block], setting).warnings.some(
    ({ rule, severity }) => rule === 'load caps' && severity === 'stop',
  );

/** A block's time with one after it, so that its changeover is counted; undefined where nobody does it. */
const timedAlone = (
  { book, players, records, bookedMin, ground }: PlanSetting,
  block: PlanBlock,
): BlockTime | undefined =>
  // Of a kept circuit every station has its share of the time.
  timePlan(
    book,
    [block, { ...block, id: `${block.id} next`, circuit: null }],
    players,
    records,
    bookedMin,
    ground,
  ).blocks[0];

function optionOf(
  setting: PlanSetting,
  block: PlanBlock,
  usualWork: Readonly<Record<string, number>>,
  drill: Drill,
  id: string,
  needs: readonly (readonly NeedPart[])[],
  dials: Dials,
): BuildOption {
  const { book, players } = setting;
  const time = timedAlone(setting, { ...block, breakS: 0 });
  const phase = sessionPhases.findIndex((one) => one.id === phaseOf(drill, block));
  const of = (playerId: string, what: 'touchesOf' | 'workOf' | 'waitOf') => time?.[what][playerId] ?? 0;
  const loads = cappedKinds.map((kind) => players.map((player) => time?.loadOf[player.id]?.[kind] ?? 0));
  const moves = new Set(players.flatMap((player) => workOf(book, block, player.id)?.step.moves ?? []));
  const warmth = {
    warms: drill.warms,
    moves: [...moves],
    hitting: isHitting(drill),
    players: players.flatMap(({ id: playerId }) =>
      time?.loadOf[playerId] ? [{ load: time.loadOf[playerId] }] : [],
    ),
  };
  const hard = loads.some((own, kind) =>
    own.some((load, child) => load > 0.4 * sessionCap(players[child]!.age, cappedKinds[kind]!)),
  );
  const seconds = Math.max(1, Math.ceil((time?.ownS ?? 1) + block.breakS / (block.circuit?.of ?? 1)));
  return {
    id,
    drill: drill.id,
    family: drill.family,
    phase,
    seconds,
    good: players.map((player, child) => {
      if (!time || !(player.id in time.touchesOf)) return 0;
      const [work, wait] = [of(player.id, 'workOf'), of(player.id, 'waitOf')];
      const usual = usualWork[player.id] ?? work;
      const need = needs[child]!.reduce((sum, { worth }) => sum + worth, plainWorth);
      const busy = work + wait > 0 ? work / (work + wait) : 1;
      const touches = (of(player.id, 'touchesOf') / 100) * (dials.touches ? moreTouches : touchesWorth);
      return need * goodOf(usual > 0 ? work / usual : 1) * (0.6 + 0.4 * busy) + touches;
    }),
    loads,
    things: [
      ...drill.kit.map(({ item }) => item).filter((item) => !isEverywhere(item)),
      ...spots.filter(({ need }) => drill.space.needs.includes(need)).map(({ name }) => name),
    ],
    warms: warmed(warmth),
    asks: needsWarm(warmth),
    cost:
      (drill.helper === 'none' ? 0 : ((dials.calm ? calmHelped : helped) * seconds) / helpedS) +
      (dials.calm ? calmBlock + (hard ? calmHard : 0) : 0),
  };
}
