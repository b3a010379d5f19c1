import { readFileSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { backup } from '@/data/backup';
import { putIntoOneFile } from '@/data/client';
import { nameOfErased as nameless } from '@/schemas/player-fields';
import { takenOff } from '@/data/taken-off';
import { ingestTouches } from '../court/ingest';
import { addNote } from '../notes/notes';
import { planAgain } from '../plan/again';
import { finishSession, loadPlan } from '../plan/sessions';
import { ada, eventsOf, oneBlockSession, problem, scratch, value } from '../testing/scratch';
import { everythingView } from '../views/everything';
import { playerView } from '../views/player';
import { sessionReviewView } from '../views/session-review';
import { eraseForGood } from './erase';
import { removePlayer, savePlayer } from './squad';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const secret = 'Zanzibar Quillfeather';

/** A child with a little of everything: counts, notes, a focus, a session to come. */
async function child() {
  const { context } = box;
  const { sessionId, playerIds, block } = await oneBlockSession(context);
  const [id, other] = playerIds as [string, string];
  value(await savePlayer(context, { ...ada, name: secret, careNote: 'Zanzibar’s wrist', sure: true }, id));
  const events = eventsOf('xxx-xx', block.id, id, () => context.newId());
  value(await ingestTouches(context, { events }));
  value(await addNote(context, { playerId: id, text: 'Zanzibar likes red' }));
  value(await finishSession(context, sessionId));
  const { ids } = value(await planAgain(context, sessionId, { days: ['2026-12-03'] }));
  return { context, id, other, sessionId, next: ids[0]! };
}

test('everything about one child, and nothing about another', async () => {
  const { context, id } = await child();
  const all = (await everythingView(context, id))!;
  expect(all.player.name).toBe(secret);
  expect(all.attempts.map(({ result }) => result)).toEqual([3, 2]);
  expect(all.events).toHaveLength(6);
  expect(all.sessions.map(({ day }) => day)).toEqual(['2026-11-24', '2026-12-03']);
  expect(all.notes.map(({ text }) => text)).toEqual(['Zanzibar likes red']);
  const text = JSON.stringify(all);
  expect(text).not.toContain('Bo');
  expect(await everythingView(context, 'nobody')).toBeNull();
});

test('removed for good: nothing says who it was, in the book or on the disk, and the counts stay', async () => {
  const { context, id, other, sessionId, next } = await child();
  expect(problem(await eraseForGood(context, id, { name: '' }))).toMatch(/^name: Name is empty/);
  expect(problem(await eraseForGood(context, id, { name: 'Bo' }))).toMatch(/^name: That is not the name/);
  expect((await playerView(context, id))!.facts.name).toBe(secret);

  value(await eraseForGood(context, id, { name: secret.toLowerCase() }));
  expect(await playerView(context, id)).toBeNull();
  expect(await everythingView(context, id)).toBeNull();
  expect(await takenOff(context.db, 'player')).toEqual([]);
  expect(value(await loadPlan(context, next)).playerIds).toEqual([other]);
  const review = (await sessionReviewView(context, sessionId))!;
  expect(review.players.map(({ name }) => name)).toEqual([nameless, 'Bo']);
  expect(review.blocks[0]!.lines[0]!.tally).toMatchObject({ best: 3, touches: 5 });

  await putIntoOneFile(context.db);
  expect(readFileSync(box.file).includes('Zanzibar')).toBe(false);

  for (const again of [
    await removePlayer(context, id, false),
    await savePlayer(context, { ...ada, name: 'Back', sure: true }, id),
    await eraseForGood(context, id, { name: nameless }),
  ])
    expect(problem(again)).toMatch(/not on record/);
});

test('copies made before still hold the child, and are named; one made after does not', async () => {
  const { context, id } = await child();
  const copy = (name: string) => path.join(path.dirname(box.file), 'backups', name);
  value(await backup(box.file, copy('before.db')));
  expect(value(await eraseForGood(context, id, { name: secret })).copies).toEqual(['before.db']);
  value(await backup(box.file, copy('later.db')));
  expect(readFileSync(copy('later.db')).includes('Zanzibar')).toBe(false);
});

test('texts that are nobody’s own and may name the child are shown to a person', async () => {
  const { context, id, sessionId } = await child();
  value(await addNote(context, { sessionId, text: 'Ask Zanzibar’s mother' }));
  expect(value(await eraseForGood(context, id, { name: secret })).texts).toEqual(['Ask Zanzibar’s mother']);
});

test('marks of the child that come late are refused by their own name, in old sessions and in plans to come', async () => {
  const { context, id, other, sessionId, next } = await child();
  const blocks = async (of: string) => value(await loadPlan(context, of)).blocks.map((block) => block.id);
  const [[old], [coming]] = await Promise.all([blocks(sessionId), blocks(next)]);
  value(await eraseForGood(context, id, { name: secret }));
  for (const block of [old!, coming!]) {
    const [late, fine] = [
      eventsOf('x', block, id, () => context.newId())[0]!,
      eventsOf('x', block, other, () => context.newId())[0]!,
    ];
    const outcome = await ingestTouches(context, { events: [late, fine] });
    expect([outcome.ok, outcome.refused?.map((one) => [one.id, one.why])]).toEqual([
      false,
      [[late.id, 'removed']],
    ]);
    expect((await ingestTouches(context, { events: [fine] })).ok).toBe(true);
  }
});

const everyEvent = ({ db }: { db: Awaited<ReturnType<typeof scratch>>['context']['db'] }) =>
  db.all<{ player_id: string; kind: string; text: string | null }>(
    sql`select player_id, kind, text from touch_event`,
  );

test('what a person wrote goes from every kind of event, and what is needed to count stays', async () => {
  const { context, id } = await child();
  const text = async (kind: string) =>
    (await everyEvent(context))
      .filter((event) => event.player_id === id && event.kind === kind)
      .map((one) => one.text);
  const put = (kind: string, words: string) =>
    context.db.run(
      sql`insert into touch_event (id, block_id, player_id, kind, attempt, text, at_ms, mono_ms, device)
          select ${context.newId()}, block_id, player_id, ${kind}, 1, ${words}, 0, 0, 'd' from touch_event where player_id = ${id} limit 1`,
    );
  for (const [kind, words] of [
    ['note', 'Zanzibar fell'],
    ['broke', 'Zanzibar’s elbow'],
    ['beside', 'Ready: Zanzibar'],
    ['touch', 'Zanzibar again'],
    ['change', 'Zanzibar again'],
    ['touch', '2/4'],
    ['step', 'row-20'],
    ['change', 'eyes up'],
  ] as const)
    await put(kind, words);
  value(await eraseForGood(context, id, { name: secret }));
  await putIntoOneFile(context.db);
  expect(readFileSync(box.file).includes('Zanzibar')).toBe(false);
  expect(await text('beside')).toEqual(['Not kept: –']);
  expect(await text('step')).toEqual(['row-20']);
  expect(await text('change')).toEqual(expect.arrayContaining(['', 'eyes up']));
  expect((await text('touch')).filter(Boolean)).toEqual(['2/4']);
});
