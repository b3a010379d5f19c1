import { ruleOf, type TouchEvent } from './event';
import { liveEvents } from './live';

/*
 * What is noted beside marks: "Ready before the bounce: yes". It counts for nothing; it is kept as it was asked, so that
 * it can be read whatever becomes of the step.
 */

/** An answer as it stands in the log. */
export const besideText = (question: string, answer: string): string => `${question}: ${answer}`;

/** A player's last mark that stands, and what was answered beside it; null while there is no mark. */
export function lastBeside(
  events: Iterable<TouchEvent>,
): { readonly mark: TouchEvent; readonly text: string | null } | null {
  const live = liveEvents(events);
  const mark = live.findLast(({ kind }) => ruleOf(kind).count !== null);
  if (!mark) return null;
  return { mark, text: live.findLast(({ kind, ref }) => kind === 'beside' && ref === mark.id)?.text ?? null };
}

/**
 * The answers of each question, counted: "Ready before the bounce: yes 7, no 2". The last answer beside a mark counts;
 * one beside a mark that was taken back does not.
 * @param events answers and undos of one player in one block, at least
 */
export function besideInWords(events: readonly TouchEvent[]): string[] {
  const byMark = new Map<string, string>();
  for (const { kind, ref, text } of standing(events))
    if (kind === 'beside' && ref && text) byMark.set(ref, text);
  const counted = new Map<string, Map<string, number>>();
  for (const text of byMark.values()) {
    const cut = text.lastIndexOf(': ');
    const [question, answer] = [text.slice(0, Math.max(0, cut)), text.slice(cut + 2)];
    const answers = counted.get(question) ?? new Map<string, number>();
    counted.set(question, answers.set(answer, (answers.get(answer) ?? 0) + 1));
  }
  return [...counted].map(
    ([question, answers]) => `${question}: ${[...answers].map(([answer, n]) => `${answer} ${n}`).join(', ')}`,
  );
}

/** Events that were not taken back, where what is taken back may be missing from them. */
function standing(events: readonly TouchEvent[]): TouchEvent[] {
  const ordered = [...events].sort((a, b) => (a.id < b.id ? -1 : 1));
  const gone = new Set<string>();
  for (const { id, kind, ref } of ordered.toReversed())
    if (kind === 'undo' && ref && !gone.has(id)) gone.add(ref);
  return ordered.filter(({ id, ref, kind }) => !gone.has(id) && !(kind === 'beside' && ref && gone.has(ref)));
}
