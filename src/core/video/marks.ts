/** What is marked in a clip: moments of a stroke, of the feet, and of the ball. */
export const markKinds = [
  'fed',
  'bounce',
  'racket back',
  'split',
  'first step',
  'foot down',
  'foot across',
  'contact',
  'catch',
  'finish',
] as const;
export type MarkKind = (typeof markKinds)[number];

/** What each is, where it is chosen, and the key that sets it. */
export const markWords: Readonly<Record<MarkKind, { readonly title: string; readonly key: string }>> = {
  fed: { title: 'Fed', key: 'f' },
  bounce: { title: 'Bounce', key: 'b' },
  'racket back': { title: 'Racket back', key: 'r' },
  split: { title: 'Split', key: 's' },
  'first step': { title: 'First step', key: 't' },
  'foot down': { title: 'Foot down', key: 'd' },
  'foot across': { title: 'Foot across', key: 'x' },
  contact: { title: 'Contact', key: 'c' },
  catch: { title: 'Catch', key: 'k' },
  finish: { title: 'Finish', key: 'e' },
};

/** A moment somebody marked: on the first frame that shows it. */
export interface ClipMark {
  readonly kind: MarkKind;
  /** Time of the frame in the clip, seconds. */
  readonly atS: number;
  /** Seconds since the frame before it: it happened somewhere in between. */
  readonly frameS: number;
}

export const byTime = (a: ClipMark, b: ClipMark): number => a.atS - b.atS;

/** With a mark more; one of the same kind on the same frame is taken off instead. */
export function toggled(marks: readonly ClipMark[], mark: ClipMark): ClipMark[] {
  const same = marks.find(
    ({ kind, atS }) => kind === mark.kind && Math.abs(atS - mark.atS) < mark.frameS / 2,
  );
  return same ? marks.filter((one) => one !== same) : [...marks, mark].sort(byTime);
}
