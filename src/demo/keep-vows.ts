import { monotonicFactory } from 'ulid';
import type { TouchEvent } from '@/core/counting/event';
import { groupBy } from '@/core/base/group-by';
import { seededRandom, type Random } from '@/core/base/random';
import type { Book } from '@/drills';
import type { Context } from '@/server/base/context';
import { dayAfter } from '@/server/base/days';
import { bookFor } from '@/server/readers/book';
import { partsOfVow } from '@/server/readers/vows';
import { storeHome } from '@/server/vows/home-log';
import { endVow, makeVow, pauseVow, saveHome, thankForVow } from '@/server/vows/vows';
import { dayNumber } from '@/core/base/days';

import type { Character } from './people';
import { must, type At, type DemoOptions, type Member } from './shared';
import { atHome, homes, vowForm, vows, type DemoVow } from './vows';

/** What the children promised, and what they did of it at home, day by day. A chance of its own: the court stays as it is. */
export async function keptAtHome(
  at: At,
  { today, seed, weeks }: DemoOptions,
  members: readonly Member[],
): Promise<number> {
  const random = seededRandom(seed + 1);
  const ids = monotonicFactory(random);
  const day = (from: number) => dayAfter(today, from);
  const context = (on: number, time: string): Context => {
    const there = at(day(on), time);
    return { ...there, newId: () => ids(there.nowMs) };
  };
  let marks = 0;
  for (const { id, character } of members) {
    const home = homes[character.form.name];
    if (home) must(await saveHome(context(-7 * weeks, '09:10'), id, home));
  }
  for (const one of vows.filter(({ from }) => from > -7 * weeks)) {
    const { id: playerId, character } = members.find((member) => member.character.form.name === one.name)!;
    const begun = context(Math.min(-1, one.from), '12:00');
    const book = await bookFor(begun.db);
    const { id } = must(await makeVow(begun, playerId, vowForm(book, character.form.age, one, day)));
    if (one.pause) {
      const [from, until, why] = one.pause;
      must(await pauseVow(context(from, '08:00'), id, { from: day(from), until: day(until), why }));
    }
    marks += await keptOne(context, book, id, one, playerId, character, today, random);
    if (one.ended) must(await endVow(context(one.ended[0], '20:00'), id, true, { words: one.ended[1] }));
    if (one.thanks)
      must(await thankForVow(context(Math.min(0, one.until), '20:30'), id, { words: one.thanks }));
  }
  return marks;
}

/** The days of one vow, as they were kept. */
async function keptOne(
  context: (on: number, time: string) => Context,
  book: Book,
  vowId: string,
  one: DemoVow,
  playerId: string,
  character: Character,
  today: string,
  random: Random,
): Promise<number> {
  const signed =
    one.how === 'file' ? { by: 'Home (file)', sign: 'file-demo-' } : { by: 'Home', sign: 'home-demo-' };
  let marks = 0;
  let before = 0;
  const days = groupBy(await partsOfVow(context(0, '08:00').db, vowId), (part) => part.day);
  for (const [day, parts] of days) {
    const on = dayNumber(day) - dayNumber(today);
    const mood = random();
    const rests = one.pause && on >= one.pause[0] && on <= one.pause[1];
    const stopped = (one.ended && on > one.ended[0]) || on > -(one.stopsAgo ?? 1);
    if (rests || stopped) continue;
    const there = context(on, '17:40');
    let atMs = there.nowMs;
    const events = parts.flatMap(({ blockId, drillId, stepId, dose }) => {
      const done = atHome(book, { drillId, stepId }, dose, character, one, mood, before, random);
      const startMs = atMs;
      return done.map(({ atS, ...mark }): TouchEvent => {
        atMs = startMs + Math.round(atS * 1000);
        return {
          id: there.newId(),
          blockId,
          playerId,
          ref: null,
          device: 'phone',
          ...mark,
          atMs,
          monoMs: atMs - there.nowMs,
        };
      });
    });
    if (events.length === 0) continue;
    before += 1;
    marks += events.length;
    must(await storeHome(there, { playerId, ...signed }, events));
  }
  return marks;
}
