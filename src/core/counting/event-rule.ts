import type { Measure } from './measure';

/**
 * What a kind of event means, everywhere. Every list of kinds is made from these rules (see `event-rules`), so that a
 * new kind is one entry here, and the compiler asks each question about it.
 */
export interface EventRule {
  /**
   * Which part of the program reads it:
   * - `count`: what a player's count is made of
   * - `adjust`: changes what is counted, from the next attempt on
   * - `remark`: what was seen of a checkpoint, or said
   * - `clock`: the block's own clock
   * - `court`: a decision on court about a block's time
   * - `record`: what a block is when it is begun, and what it was corrected to
   * - `correction`: takes an event back, or gives its attempt another result
   * - `none`: nothing reads it: a kind this version does not know
   */
  readonly group: 'count' | 'adjust' | 'remark' | 'clock' | 'court' | 'record' | 'correction' | 'none';
  /** Whom it is for: one player, the whole block, or either. */
  readonly isFor: 'player' | 'block' | 'either';
  /** Does `ref` name another event? */
  readonly namesEvent: boolean;
  /** What its text is (see `text-of`). */
  readonly text: TextRule;
  /** Does it say under which step and changes it was made? An undo does where what it takes back does. */
  readonly underPlan: boolean | 'as the event it names';
  /** Is a block begun with it, when nothing was logged there before? */
  readonly beginsBlock: boolean;
  /** Who may log it besides the coaches. */
  readonly alsoLoggedBy: readonly ('helper' | 'home')[];
  /** Which of those about the children they count a helper sees; `own` means those of their own link. */
  readonly helperSeesOfPlayer: 'all' | 'own' | 'none';
  /** Does a helper see it where it is for the whole block? */
  readonly helperSeesOfBlock: boolean;
  /** What Undo calls it; null where Undo leaves it alone, because it has buttons of its own or is no entry. */
  readonly undoName: string | null;
  /** What it does to the block's clock: `forward` and `backward` by `value` seconds. */
  readonly clock: 'runs' | 'stops' | 'ends' | 'forward' | 'backward' | null;
  /** Is one that is for a block said of every station of its circuit? They go by one clock. */
  readonly forAllStations: boolean;
  /** How it is counted; null where it is no count. */
  readonly count: CountRule | null;
}

/**
 * What an event's text is, by its kind:
 * - `none`: nothing
 * - `call`: a part of a routine, "2/4", the call it answers, "left", or nothing
 * - `name`: what something is called in the drills or the plan, such as "row-20", or nothing
 * - `phrase`: a change by its name, such as "eyes up", or nothing
 * - `words`: what a person wrote or answered
 * - `record`: what a block is
 */
export type TextRule = 'none' | 'call' | 'name' | 'phrase' | 'words' | 'record';

export interface CountRule {
  /**
   * What one of them stands for: one try, a whole attempt that somebody counted aloud and typed in, or the whole dose, done
   * and not counted (its `value` is the tries it asked of the body).
   */
  readonly of: 'try' | 'attempt' | 'dose';
  /** Did the try succeed? A miss ends a row and the gap between touches; `by value`: it did with more than 0 points. */
  readonly success: 'yes' | 'no' | 'by value';
  /** Where points are not counted: do they add up to the result, or is their value the result? */
  readonly result: 'adds up' | 'its value';
  /** Does it answer the call that its text names? */
  readonly answersCall: boolean;
  /** Is it pressed with a finger at the time it happens, so that its rhythm tells something? */
  readonly isTapped: boolean;
  /** The ways of measuring it can be counted in; null: all of them. */
  readonly measures: readonly Measure[] | null;
  /** One of them and many, in a sentence that sums up. */
  readonly words: readonly [one: string, many: string];
}
