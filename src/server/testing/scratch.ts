import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { monotonicFactory } from 'ulid';
import { plainBook } from '@/drills';
import { blockOf } from '@/session/base/plan';
import type { CountKind, EventKind, TouchEvent } from '@/core/counting/event';
import type { Outcome } from '@/core/base/outcome';
import { seededRandom } from '@/core/base/random';
import { openDatabase } from '@/data/client';
import { giveEpoch } from '@/data/epoch';
import type { Context } from '../base/context';
import { createSession, savePlan } from '../plan/sessions';
import { savePlayer } from '../players/squad';
import { emptyBook } from './empty-book';

export interface Scratch {
  readonly context: Context;
  readonly file: string;
  readonly close: () => void;
}

/** For tests: a database of its own, empty or a copy of a file, and a context on a fixed day. */
export async function scratch(copied?: string): Promise<Scratch> {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-test-'));
  const file = path.join(folder, 'test.db');
  copyFileSync(copied ?? (await emptyBook()), file);
  const db = await openDatabase(`file:${file}`);
  await giveEpoch(db);
  const newId = ids();
  const nowMs = Date.parse('2026-11-24T16:30:00Z');
  return {
    context: { db, nowMs, today: '2026-11-24', newId: () => newId(nowMs) },
    file,
    close: () => {
      db.$client.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export const ids = (seed = 1) => monotonicFactory(seededRandom(seed));

/** The value of an outcome that must be good. */
export function value<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.value;
}

/** What was wrong with an outcome that must be bad: `field: message`. */
export function problem(outcome: Outcome<unknown>): string {
  if (outcome.ok) throw new Error('It was taken.');
  return outcome.problems.map(({ field, message }) => `${field}: ${message}`).join(' | ');
}

export const ada = { name: 'Ada', birthYear: 2016, sport: 'tennis', hand: 'right', focus: 'Quiet arm' };

export const booking = {
  title: 'Thursday group',
  day: '2026-11-24',
  startTime: '16:30',
  bookedMin: 30,
  coach: '',
  placeName: '',
  placeId: null,
  airC: null,
};

/** Two players and a session of one block of twenty in a row. */
export async function oneBlockSession(context: Context) {
  const playerIds = [
    value(await savePlayer(context, { ...ada, sure: true })).id,
    value(await savePlayer(context, { ...ada, name: 'Bo', sure: true })).id,
  ];
  const sessionId = value(await createSession(context, { ...booking, playerIds })).id;
  const step = plainBook.drill('palm-up-bounce')!.steps.find((one) => one.id === 'row-20')!;
  const block = blockOf({
    id: context.newId(),
    drillId: 'palm-up-bounce',
    stepId: step.id,
    dose: step.doses['10-12'],
  });
  const plan = { ...booking, playerIds, revision: 1, blocks: [block] };
  value(await savePlan(context, sessionId, plan));
  return { sessionId, playerIds, block, plan: { ...plan, revision: 2 } };
}

/** Events from marks: `x` a touch, `-` a drop, `u` takes the newest back. */
export function eventsOf(
  marks: string,
  blockId: string,
  playerId: string | null,
  nextId: (ms: number) => string,
  fromMs = 1000,
): TouchEvent[] {
  const kinds: Record<string, EventKind> = { x: 'touch', '-': 'drop', u: 'undo' } satisfies Record<
    string,
    CountKind | 'undo'
  >;
  const events: TouchEvent[] = [];
  for (const [index, mark] of [...marks].entries()) {
    const atMs = fromMs + index * 600;
    const kind = kinds[mark]!;
    const ref = kind === 'undo' ? events.at(-1)!.id : null;
    events.push({
      id: nextId(atMs),
      blockId,
      playerId,
      kind,
      attempt: 1,
      value: null,
      ref,
      atMs,
      monoMs: atMs,
      device: 'test',
    });
  }
  return events;
}
