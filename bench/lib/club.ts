import { ulid } from 'ulid';
import { plainBook } from '@/drills';
import { blockOf } from '../../src/session/base/plan';
import type { Outcome } from '../../src/core/base/outcome';
import { openDatabase } from '../../src/data/client';
import type { Database } from '../../src/data/database';
import type { PlanForm } from '../../src/schemas/session';
import type { Context } from '../../src/server/base/context';
import { createSession, loadPlan, savePlan } from '../../src/server/plan/sessions';
import { savePlayer } from '../../src/server/players/squad';
import { now, serverZone } from '../../src/server/base/zone';
import { sessionRunView, type SessionRunView } from '../../src/server/views/session-run';

/** Steps of one drill that are counted the same way: what a plan changes between. */
export const [firstStep, otherStep] = ['row-20', 'row-50'] as const;
const drillId = 'palm-up-bounce';

/** The desk of a club: it plans sessions in the very database a server is running on. */
export class Club {
  readonly #file: string;
  #db: Database | null = null;
  /** The players of every session: the second one is counted on a page in a browser. */
  playerIds: string[] = [];

  constructor(file: string) {
    this.#file = file;
  }

  async open(): Promise<void> {
    this.#db = await openDatabase(`file:${this.#file}`);
    for (const name of this.playerIds.length > 0 ? [] : ['Mika', 'Robin']) {
      const player = { name, birthYear: 2016, sport: 'tennis', hand: 'right', focus: '' };
      this.playerIds.push(must(await savePlayer(this.#context(), player)).id);
    }
  }

  /** Lets go of the database: it is about to be replaced. */
  close(): void {
    this.#db?.$client.close();
    this.#db = null;
  }

  /** Books a session with one block; the ids of both. */
  async book(): Promise<{ sessionId: string; blockId: string }> {
    const context = this.#context();
    const booking = { title: 'Under fire', day: context.today, startTime: '16:30', bookedMin: 60 };
    const where = { coach: '', placeName: '', placeId: null, airC: null };
    const sessionId = must(
      await createSession(context, { ...booking, ...where, playerIds: this.playerIds }),
    ).id;
    return { sessionId, blockId: await this.addBlock(sessionId) };
  }

  async addBlock(sessionId: string): Promise<string> {
    const id = ulid();
    await this.#replan(sessionId, (blocks) => [...blocks, blockAt(id, firstStep)]);
    return id;
  }

  async removeBlock(sessionId: string, blockId: string): Promise<void> {
    await this.#replan(sessionId, (blocks) => blocks.filter((block) => block.id !== blockId));
  }

  async setStep(sessionId: string, blockId: string, stepId: string): Promise<void> {
    await this.#replan(sessionId, (blocks) =>
      blocks.map((block) => (block.id === blockId ? blockAt(blockId, stepId) : block)),
    );
  }

  /** What a run screen is drawn from. */
  async view(sessionId: string): Promise<SessionRunView> {
    const view = await sessionRunView(this.#context(), sessionId);
    if (!view) throw new Error(`There is no session ${sessionId}.`);
    return view;
  }

  async #replan(sessionId: string, change: (blocks: PlanForm['blocks']) => unknown[]): Promise<void> {
    const plan = must(await loadPlan(this.#context(), sessionId));
    must(await savePlan(this.#context(), sessionId, { ...plan, blocks: change(plan.blocks) }));
  }

  #context(): Context {
    if (!this.#db) throw new Error('The club has let go of its book.');
    return { db: this.#db, ...now(serverZone()), newId: () => ulid() };
  }
}

const blockAt = (id: string, stepId: string) =>
  blockOf({ id, drillId, stepId, dose: plainBook.step(drillId, stepId)!.doses['10-12'] });

function must<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.value;
}
