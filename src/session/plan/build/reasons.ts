import { brokenBy, worthOf, type BuildAsk } from '@/core/plan/build/model';
import type { BuildOption } from '@/core/plan/build/option';
import { BuildState } from '@/core/plan/build/state';
import { counted, inMinutes } from '@/core/base/words';
import type { Book } from '@/drills/book';
import type { NeedPart, NeedWhy } from './needs';
import { spots, type Prepared, type Wish } from './options';

/** Why a block is in a session, as short lines. */
export interface BlockReason {
  /** Whom it serves and with what; empty where it is there for the session as a whole. */
  readonly serves: string;
  /** What it takes: minutes, what is carried, who has to feed. */
  readonly costs: string;
}

/** A drill that is not in, and what kept it out. */
export interface LeftOut {
  readonly drillId: string;
  readonly why: string;
}

const whyWords: Readonly<Record<NeedWhy, (names: string, one: boolean) => string>> = {
  asked: () => 'asked for',
  focus: (names, one) => `what ${names} ${one || names === 'everybody' ? 'works' : 'work'} on`,
  'mark near': (names) => `near the mark: ${names}`,
  'right hardness': (names) => `just hard enough for ${names}`,
  'not done lately': (names) => `not done lately by ${names}`,
  new: (names) => `new to ${names}`,
  train: (names) => `a less sure ball for ${names}`,
};
/** More names than this are a number. Ours. */
const mostNames = 3;
/** The reasons that weigh most are said. Ours. */
const mostWhys = 3;

const namesOf = (names: readonly string[], all: number): string =>
  names.length === all && all > 2
    ? 'everybody'
    : names.length > mostNames
      ? `${names.length} of them`
      : names.length === 1
        ? names[0]!
        : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** Why an option is worth what it is: for whom, what it moves, what it costs. */
export function reasonOf(
  option: BuildOption,
  needs: readonly (readonly NeedPart[])[],
  names: readonly string[],
  helper: string,
): BlockReason {
  const by = new Map<NeedWhy, { readonly who: string[]; worth: number }>();
  for (const [child, parts] of needs.entries()) {
    if (option.good[child] === 0) continue;
    for (const { why, worth } of parts) {
      const group = by.get(why) ?? { who: [], worth: 0 };
      by.set(why, group);
      group.who.push(names[child]!);
      group.worth += worth;
    }
  }
  const serves = [...by]
    .sort(([, a], [, b]) => b.worth - a.worth)
    .slice(0, mostWhys)
    .map(([why, { who }]) => whyWords[why](namesOf(who, names.length), who.length === 1));
  const [there, carried] = [true, false].map((is) =>
    option.things.filter((thing) => spotNames.has(thing) === is),
  ) as [string[], string[]];
  const costs = [
    inMinutes(option.seconds),
    carried.length > 0 && `carries ${carried.join(', ')}`,
    there.length > 0 && `walks to ${there.join(' and ')}`,
    helper !== 'none' && `somebody ${helper}`,
  ].filter(Boolean);
  return { serves: serves.join(' · '), costs: costs.join(' · ') };
}

const spotNames: ReadonlySet<string> = new Set(spots.map(({ name }) => name));

const limitWords: Readonly<Record<string, string>> = {
  time: 'no time for it',
  blocks: 'there are as many blocks as the time holds',
  'most of a phase': 'its part of the session has what it holds',
  care: 'a line of care would be crossed with it',
  'warm-up': 'nothing in the session warms up for it',
  together: 'care does not let it stand beside the others',
};

/** The best drills that are not in, the nearest first, and what kept each out: what it would push out, or a limit. */
export function leftOutOf(
  { ask: { options }, blocks }: Prepared,
  asked: BuildAsk,
  ids: readonly string[],
  book: Book,
  most = 5,
): LeftOut[] {
  const at = new Map(options.map(({ id }, place) => [id, place]));
  const state = new BuildState(asked);
  const chosen = ids.map((id) => at.get(id)!);
  for (const place of chosen) state.move(-1, place);
  const now = state.worth();
  const inDrills = new Set(chosen.map((place) => options[place]!.drill));
  const best = new Map<string, { place: number; out: number; worth: number }>();
  for (const [place, { drill }] of options.entries()) {
    if (inDrills.has(drill)) continue;
    for (const out of [-1, ...chosen]) {
      const worth = state.with(out, place);
      if (worth > (best.get(drill)?.worth ?? -Infinity)) best.set(drill, { place, out, worth });
    }
  }
  const titleOf = (place: number) => book.drill(blocks.get(options[place]!.id)!.drillId)?.title ?? '';
  return [...best]
    .sort(([, a], [, b]) => b.worth - a.worth)
    .slice(0, most)
    .map(([drillId, { place, out, worth }]) => {
      const alone = brokenBy(asked, [...chosen.map((one) => options[one]!), options[place]!]);
      const by = out >= 0 ? `It would push out ${titleOf(out)}` : 'It would only make the session fuller';
      const less = Math.max(0, (100 * (now - worth)) / (now - worthOf(asked, []).total));
      const limit = alone ? limitWords[alone] : undefined;
      return {
        drillId,
        why: `${by}, ${less < 0.05 ? 'for as much' : `and bring ${less.toFixed(1)} % less`}${limit ? `; beside the others ${limit}` : ''}.`,
      };
    });
}

/** Why nothing can be built, and the nearest that can. */
export function whyNothing({ ask, unfit }: Prepared, wish: Wish, book: Book): string {
  const titleOf = (drillId: string) => book.drill(drillId)?.title ?? 'A drill';
  for (const drillId of wish.must) {
    const why = unfit.find((one) => one.drillId === drillId);
    if (why)
      return `${titleOf(drillId)} was asked for and cannot be: ${why.reason}. Leave it out, or change that.`;
    if (wish.banned.includes(drillId))
      return `${titleOf(drillId)} is asked for and left out at once: choose one of the two.`;
  }
  if (ask.options.length === 0) {
    const first = unfit[0];
    return `No drill can be done here${first ? `: ${titleOf(first.drillId)}, for one, because ${first.reason}` : ''}. Choose another place, or say what kit is there.`;
  }
  const wanted = [
    ...ask.options.filter(({ id }) => ask.locked.includes(id)).map(({ seconds }) => seconds),
    ...ask.must.map((drill) =>
      Math.min(...ask.options.filter((one) => one.drill === drill).map(({ seconds }) => seconds)),
    ),
  ].reduce((sum, seconds) => sum + seconds, 0);
  if (wanted > ask.seconds)
    return `What is kept and asked for takes ${inMinutes(wanted)}, and ${inMinutes(ask.seconds)} are there: book longer, or ask for less.`;
  const shortest = Math.min(...ask.options.map(({ seconds }) => seconds));
  if (shortest > ask.seconds)
    return `The shortest drill takes ${inMinutes(shortest)}, and ${inMinutes(ask.seconds)} are there: book longer.`;
  const kept = counted(wish.kept.length + ask.must.length, 'block');
  return `The ${kept} that have to be in cross a line of care, or nothing there warms up for them: ask for one less.`;
}
