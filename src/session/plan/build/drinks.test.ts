import { drinkEveryS, drinkS } from '@/core/care/limits';
import { brokenBy, worthOf, type BuildAsk } from '@/core/plan/build/model';
import { buildQuickly } from '@/core/plan/build/search';
import { inStretches } from '@/core/plan/build/stretches';
import { buildCase } from '@/demo/build-cases';
import { plainBook } from '@/drills';
import { newBlock } from '../place-block';
import { built, quickly, type Answer, type Solve } from './build';
import { evenDials, prepare, spots, type Wish } from './options';
import { reasonOf } from './reasons';

const noWish: Wish = { must: [], banned: [], dials: evenDials, kept: [], begun: [], retest: null };
const preparedFor = (n: number, wish: Partial<Wish> = {}) => {
  const { setting, facts, standsOn } = buildCase(n);
  return { setting, standsOn, prepared: prepare(setting, facts, standsOn, { ...noWish, ...wish }) };
};
const took = (ask: BuildAsk, ids: readonly string[]) =>
  ask.options.filter(({ id }) => ids.includes(id)).reduce((sum, { seconds }) => sum + seconds, 0);

describe('drinks that were not reckoned with', () => {
  /** Fifteen children, an hour: the quick answer needs a drink more than its question left room for. */
  const thirsty = 28;

  test('are asked for twice: with their minute less, and in as few stretches as were reckoned with', () => {
    const { setting, prepared } = preparedFor(thirsty);
    const asks: BuildAsk[] = [];
    const { session } = built(prepared, setting, (ask) => {
      asks.push(ask);
      return quickly(20)(ask);
    });
    const [whole, looser] = asks;
    const tight = asks.find(({ stretches }) => stretches !== null)!;
    expect(whole!.stretches).toBeNull();
    expect(looser!.seconds).toBeLessThan(whole!.seconds);
    // The minutes between so many drinks as the first question has time for.
    expect(tight.stretches).toEqual({
      count: 1 + Math.floor((prepared.mostS - tight.seconds) / drinkS),
      seconds: drinkEveryS(setting.airC),
    });
    expect(session!.evaluation.time.totalS).toBeLessThanOrEqual(prepared.mostS);
    expect(session!.evaluation.warnings.map(({ rule }) => rule)).not.toContain('drink break');
  });

  test('the better of the two stands, and the bound is what neither can beat', () => {
    const { setting, prepared } = preparedFor(thirsty);
    /** Answers stretches with the quick answer to the looser question, so that both ways have one. */
    const solve =
      (tightBound: number, looseBound: number): Solve =>
      (ask): Answer => {
        if (ask === prepared.ask) return { built: buildQuickly(ask, 20), bound: 99 };
        if (!ask.stretches) return { built: buildQuickly(ask, 20), bound: looseBound };
        const fewer = { ...ask, stretches: null, seconds: ask.seconds - 5 * drinkS };
        return { built: buildQuickly(fewer, 20), bound: tightBound };
      };
    expect(built(prepared, setting, solve(7, 3)).bound).toBe(7);
    expect(built(prepared, setting, solve(3, 7)).bound).toBe(7);
    // Nothing fits into the stretches: the other way is all there is.
    expect(built(prepared, setting, solve(-Infinity, 4)).bound).toBe(4);
    // Never more than the question allowed before any drink took from it.
    expect(built(prepared, setting, solve(500, 4)).bound).toBe(99);
    const { session } = built(prepared, setting, solve(7, 3));
    const loose = buildQuickly({ ...prepared.ask, seconds: session!.ask.seconds }, 20)!;
    expect(session!.worth).toBeGreaterThanOrEqual(loose.worth - 1e-9);
  });

  test('where the first answer fits, nothing more is asked, and its bound stands', () => {
    // Twenty minutes: nobody has to drink in between.
    const { setting, prepared } = preparedFor(8);
    let asked = 0;
    const { session, bound } = built(prepared, setting, (ask) => {
      asked += 1;
      return { built: buildQuickly(ask, 20), bound: 42 };
    });
    expect(session).not.toBeNull();
    expect([asked, bound]).toEqual([1, 42]);
  });

  test('nothing that keeps the limits is no session, and a bound nobody is above', () => {
    const { setting, prepared } = preparedFor(4);
    expect(built(prepared, setting, () => ({ built: null, bound: -Infinity }))).toEqual({
      session: null,
      bound: -Infinity,
    });
  });

  test('kept drinks and kept circuits leave drinks to the rule: they are not planned round', () => {
    const { setting, standsOn } = preparedFor(4);
    const block = newBlock(plainBook, 'palm-up-bounce', setting.players, standsOn('palm-up-bounce'), 'mine')!;
    expect(preparedFor(4, { kept: [block] }).prepared.stretchS).toBe(drinkEveryS(setting.airC));
    expect(preparedFor(4, { kept: [{ ...block, breakS: 60 }] }).prepared.stretchS).toBeNull();
  });

  test('a quick search does not look at stretches, and says so by having no answer', () => {
    const { prepared } = preparedFor(4);
    const stretches = { count: 1, seconds: 1200 };
    expect(quickly(20)({ ...prepared.ask, stretches })).toEqual({ built: null, bound: null });
    expect(quickly(20)(prepared.ask).bound).toBeNull();
  });
});

test('every session that is built drinks no oftener than an order of its blocks has to', () => {
  for (const n of [3, 6, 9]) {
    const { setting, prepared } = preparedFor(n);
    const { session } = built(prepared, setting, quickly(20));
    const chosen = session!.ids.map((id) => prepared.ask.options.find((one) => one.id === id)!);
    const drinks = session!.blocks.filter(({ breakS }) => breakS > 0).length;
    const stretches = { count: drinks, seconds: drinkEveryS(setting.airC) };
    // With a drink less there is no order for them, or the usual order is as good.
    if (drinks > 0 && inStretches(chosen, stretches))
      expect(session!.evaluation.time.totalS).toBeLessThanOrEqual(prepared.mostS);
    expect(took(prepared.ask, session!.ids) + drinks * drinkS).toBeLessThanOrEqual(
      prepared.mostS + chosen.length,
    );
    expect(brokenBy({ ...session!.ask, stretches: null }, chosen)).toBeNull();
    expect(worthOf(session!.ask, chosen).total).toBeCloseTo(session!.worth, 9);
  }
});

describe('walks and helpers', () => {
  test('a drill at the wall or the table is walked to, any other is not', () => {
    const { prepared } = preparedFor(0);
    let there = 0;
    for (const one of prepared.ask.options) {
      const { needs } = plainBook.drill(one.drill)!.space;
      for (const { need, name } of spots) {
        expect([one.id, one.things.includes(name)]).toEqual([one.id, needs.includes(need)]);
        if (needs.includes(need)) there += 1;
      }
    }
    expect(there).toBeGreaterThan(0);
  });

  test('the reason says where to walk, apart from what is carried', () => {
    const { prepared } = preparedFor(0);
    const option = prepared.ask.options.find(({ things }) => things.includes('the wall'))!;
    const costs = (things: readonly string[]) => reasonOf({ ...option, things }, [], [], 'none').costs;
    expect(costs(['chalk', 'the wall'])).toMatch(/ · carries chalk · walks to the wall$/);
    expect(costs(['the wall', 'the table'])).toMatch(/ · walks to the wall and the table$/);
    expect(costs(['chalk'])).not.toContain('walks');
    expect(reasonOf({ ...option, things: [] }, [], [], 'feeds').costs).toMatch(/ · somebody feeds$/);
  });

  test('somebody who feeds costs by the minute: a longer block of a fed drill costs more', () => {
    const { prepared } = preparedFor(0);
    const sizes = new Map<string, { seconds: number; cost: number }[]>();
    for (const { drill, seconds, cost } of prepared.ask.options)
      sizes.set(drill, [...(sizes.get(drill) ?? []), { seconds, cost }]);
    let fed = 0;
    for (const [drill, all] of sizes) {
      const helped = plainBook.drill(drill)!.helper !== 'none';
      for (const { seconds, cost } of all) expect(cost).toBeCloseTo(helped ? (0.03 * seconds) / 240 : 0, 9);
      if (helped && all.length > 1) fed += 1;
    }
    expect(fed).toBeGreaterThan(0);
  });
});
