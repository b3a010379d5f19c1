import { ruleOf, type TouchEvent } from '@/core/counting/event';
import { liveEvents } from '@/core/counting/live';

/** How one call was answered. */
export interface CallAnswers {
  readonly word: string;
  readonly right: number;
  readonly wrong: number;
}

/**
 * Answers by call: a touch (or a zone with points, or a grade above 0) made while a call stood is a right answer, a
 * drop a wrong one. Marks without a call are left out. Sorted by word.
 */
export function answersByCall(events: Iterable<TouchEvent>): CallAnswers[] {
  const counts = new Map<string, { right: number; wrong: number }>();
  for (const { kind, text, value } of liveEvents(events)) {
    const { count } = ruleOf(kind);
    if (!text || !count?.answersCall) continue;
    const one = counts.get(text) ?? { right: 0, wrong: 0 };
    const right = count.success === 'by value' ? (value ?? 0) > 0 : count.success === 'yes';
    one[right ? 'right' : 'wrong'] += 1;
    counts.set(text, one);
  }
  return [...counts].map(([word, one]) => ({ word, ...one })).sort((a, b) => a.word.localeCompare(b.word));
}
