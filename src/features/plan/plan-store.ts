import type { Outcome, Problem } from '@/core/base/outcome';
import type { PlanForm, PlanSave } from '@/schemas/session';
import { maxUnanswered } from '@/schemas/unanswered';

/** A plan in hand: what is saved, without its revision. */
export type PlanDoc = Omit<PlanForm, 'revision'>;

/** A plan that is not saved yet, with the revision it was made from: it outlives its page. */
export interface PlanDraft {
  readonly doc: PlanDoc;
  readonly revision: number;
}

export interface PlanState {
  readonly doc: PlanDoc;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** `typing`: something stands in a field that cannot be taken; `waiting`: changed and about to be saved. */
  readonly saving: 'saved' | 'typing' | 'waiting' | 'saving' | 'failed';
  readonly problems: readonly Problem[];
  /** Somebody else saved this plan in between. */
  readonly conflict: boolean;
}

export interface PlanPorts {
  readonly save: (plan: PlanSave) => Promise<Outcome<{ revision: number }>>;
  readonly load: () => Promise<Outcome<PlanForm>>;
  /** Runs something a little later; the newest call replaces the one before it. */
  readonly later: (work: () => void, ms: number) => void;
  /** A name for a save, so that one whose answer was lost is known again. */
  readonly newId: () => string;
  /** Keeps what is not saved, for a page that goes; null when all is saved. */
  readonly keep?: (draft: PlanDraft | null) => void;
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
  /** What the last change was part of: the keys of one number are one step to undo. */
  #merging: string | null = null;
  readonly #typing = new Map<string, string>();
  /** Saves whose answer never came: one of them may be what stands on record. */
  #unanswered: string[] = [];
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

  /** @param part what the change is part of; changes of one part after another are undone together */
  change(update: (doc: PlanDoc) => PlanDoc, part: string | null = null): void {
    const next = update(this.#doc);
    if (next === this.#doc) return;
    if (part === null || part !== this.#merging) this.#past.push(this.#doc);
    this.#merging = part;
    this.#future = [];
    this.#show(next);
  }

  undo(): void {
    const before = this.#past.pop();
    if (!before) return;
    this.#merging = null;
    this.#future.push(this.#doc);
    this.#show(before);
  }

  redo(): void {
    const after = this.#future.pop();
    if (!after) return;
    this.#merging = null;
    this.#past.push(this.#doc);
    this.#show(after);
  }

  /** Told what is typed in a field and cannot be taken; null once it is. */
  readonly typing = (field: string, trouble: string | null): void => {
    if (trouble === null ? !this.#typing.delete(field) : this.#typing.get(field) === trouble) return;
    if (trouble !== null) this.#typing.set(field, trouble);
    this.#tell();
  };

  /** Saves now what is not saved yet. Resolves when there is nothing left to do, or it failed. */
  flush(): Promise<void> {
    this.#sending ??= this.#send().finally(() => {
      this.#sending = null;
      this.#tell();
    });
    return this.#sending;
  }

  /** Shows the plan as it stands on record now, where nothing here is waiting to be saved. */
  async present(): Promise<void> {
    const there = await this.#ports.load();
    if (!there.ok || there.value.revision <= this.#revision || this.#dirty() || this.#conflict) return;
    this.#take(there.value);
    // What could be undone was made from another plan.
    this.#past = [];
    this.#tell();
  }

  /** Takes up what an earlier page could not save: a change like any other, which undo takes back. */
  takeUp({ doc }: PlanDraft): void {
    this.change(() => doc);
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
    this.#past.push(this.#doc);
    this.#take(theirs.value);
    this.#conflict = false;
    this.#problems = [];
    this.#tell();
  }

  #take({ revision, ...doc }: PlanForm): void {
    this.#future = [];
    this.#merging = null;
    this.#revision = revision;
    this.#doc = this.#saved = doc;
  }

  #dirty(): boolean {
    return this.#doc !== this.#saved;
  }

  #show(doc: PlanDoc): void {
    this.#doc = doc;
    this.#problems = [];
    this.#tell();
    this.#ports.later(() => void this.flush(), settleMs);
  }

  async #send(): Promise<void> {
    while (this.#dirty() && !this.#conflict) {
      const sent = this.#doc;
      const saveId = this.#ports.newId();
      this.#tell('saving');
      const outcome = await this.#ports.save({
        ...sent,
        blocks: [...sent.blocks],
        revision: this.#revision,
        saveId,
        unanswered: this.#unanswered,
      });
      if (outcome.ok) {
        this.#revision = outcome.value.revision;
        this.#saved = sent;
        this.#problems = [];
        this.#unanswered = [];
        continue;
      }
      const lost = outcome.problems[0]?.field === 'server';
      if (lost) this.#unanswered = [...this.#unanswered, saveId].slice(-maxUnanswered);
      // Changed meanwhile: what was refused is no longer what is wanted.
      if (sent !== this.#doc && !lost && outcome.problems[0]?.field !== 'revision') continue;
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
    this.#ports.keep?.(this.#dirty() ? { doc: this.#doc, revision: this.#revision } : null);
    for (const listener of this.#listeners) listener();
  }

  #snapshot(saving?: 'saving'): PlanState {
    const failed = this.#problems.length > 0;
    const rest = this.#dirty() ? (failed ? 'failed' : 'waiting') : this.#typing.size > 0 ? 'typing' : 'saved';
    return {
      doc: this.#doc,
      canUndo: this.#past.length > 0,
      canRedo: this.#future.length > 0,
      saving: saving ?? rest,
      problems: this.#problems,
      conflict: this.#conflict,
    };
  }
}
