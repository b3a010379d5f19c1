import type { Outcome, Problem } from '@/core/outcome';
import type { PlanForm } from '@/server/schemas/session';

/** A plan in hand: what is saved, without its revision. */
export type PlanDoc = Omit<PlanForm, 'revision'>;

export interface PlanState {
  readonly doc: PlanDoc;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** `waiting`: changed and about to be saved. */
  readonly saving: 'saved' | 'waiting' | 'saving' | 'failed';
  readonly problems: readonly Problem[];
  /** Somebody else saved this plan in between. */
  readonly conflict: boolean;
}

export interface PlanPorts {
  readonly save: (plan: PlanForm) => Promise<Outcome<{ revision: number }>>;
  readonly load: () => Promise<Outcome<PlanForm>>;
  /** Runs something a little later; the newest call replaces the one before it. */
  readonly later: (work: () => void, ms: number) => void;
}

const settleMs = 350;
const retryMs = 4000;

/**
 * A plan being edited: its undo history, and saving after every change, one save at a time.
 * Nothing typed is lost when a save fails or another window was quicker.
 */
export class PlanStore {
  #doc: PlanDoc;
  #revision: number;
  #past: PlanDoc[] = [];
  #future: PlanDoc[] = [];
  #saved: PlanDoc;
  #sending: Promise<void> | null = null;
  #problems: readonly Problem[] = [];
  #conflict = false;
  #state: PlanState;
  readonly #listeners = new Set<() => void>();
  readonly #ports: PlanPorts;

  constructor({ revision, ...doc }: PlanForm, ports: PlanPorts) {
    this.#doc = this.#saved = doc;
    this.#revision = revision;
    this.#ports = ports;
    this.#state = this.#snapshot();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  readonly state = (): PlanState => this.#state;

  change(update: (doc: PlanDoc) => PlanDoc): void {
    const next = update(this.#doc);
    if (next === this.#doc) return;
    this.#past.push(this.#doc);
    this.#future = [];
    this.#show(next);
  }

  undo(): void {
    const before = this.#past.pop();
    if (!before) return;
    this.#future.push(this.#doc);
    this.#show(before);
  }

  redo(): void {
    const after = this.#future.pop();
    if (!after) return;
    this.#past.push(this.#doc);
    this.#show(after);
  }

  /** Saves now what is not saved yet. Resolves when there is nothing left to do, or it failed. */
  flush(): Promise<void> {
    this.#sending ??= this.#send().finally(() => {
      this.#sending = null;
      this.#tell();
    });
    return this.#sending;
  }

  /** On a conflict: put mine over the other one. */
  async keepMine(): Promise<void> {
    const theirs = await this.#ports.load();
    if (!theirs.ok) return this.#fail(theirs.problems);
    this.#revision = theirs.value.revision;
    this.#conflict = false;
    await this.flush();
  }

  /** On a conflict: show the other one; undo brings mine back. */
  async takeTheirs(): Promise<void> {
    const theirs = await this.#ports.load();
    if (!theirs.ok) return this.#fail(theirs.problems);
    const { revision, ...doc } = theirs.value;
    this.#past.push(this.#doc);
    this.#future = [];
    this.#revision = revision;
    this.#doc = this.#saved = doc;
    this.#conflict = false;
    this.#problems = [];
    this.#tell();
  }

  #show(doc: PlanDoc): void {
    this.#doc = doc;
    this.#problems = [];
    this.#tell();
    this.#ports.later(() => void this.flush(), settleMs);
  }

  async #send(): Promise<void> {
    while (this.#doc !== this.#saved && !this.#conflict) {
      const sent = this.#doc;
      this.#tell('saving');
      const outcome = await this.#ports.save({ ...sent, blocks: [...sent.blocks], revision: this.#revision });
      if (outcome.ok) {
        this.#revision = outcome.value.revision;
        this.#saved = sent;
        this.#problems = [];
        continue;
      }
      // Changed meanwhile: what was refused is no longer what is wanted.
      if (sent !== this.#doc && outcome.problems[0]?.field !== 'revision') continue;
      return this.#fail(outcome.problems);
    }
  }

  #fail(problems: readonly Problem[]): void {
    this.#conflict = problems[0]?.field === 'revision';
    this.#problems = problems;
    this.#tell();
    if (problems[0]?.field === 'server') this.#ports.later(() => void this.flush(), retryMs);
  }

  #tell(saving?: 'saving'): void {
    this.#state = this.#snapshot(saving);
    for (const listener of this.#listeners) listener();
  }

  #snapshot(saving?: 'saving'): PlanState {
    const dirty = this.#doc !== this.#saved;
    return {
      doc: this.#doc,
      canUndo: this.#past.length > 0,
      canRedo: this.#future.length > 0,
      saving: saving ?? (!dirty ? 'saved' : this.#problems.length > 0 ? 'failed' : 'waiting'),
      problems: this.#problems,
      conflict: this.#conflict,
    };
  }
}
