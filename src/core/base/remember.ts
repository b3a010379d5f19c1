/**
 * The same pure computation, with its latest answers kept: a question asked again costs only its comparison. Questions
 * are told apart by their JSON, so they are plain data and are not changed; an answer is shared and is not changed either.
 * @param compute gives the same answer to the same question, always
 * @param most answers kept; whichever was not asked for longest goes first
 */
export function remembering<Question extends readonly unknown[], Answer>(
  compute: (...question: Question) => Answer,
  most = 64,
): (...question: Question) => Answer {
  const kept = new Map<string, { readonly answer: Answer }>();
  return (...question) => {
    const key = JSON.stringify(question);
    const known = kept.get(key) ?? { answer: compute(...question) };
    // A map keeps the order of entry: who enters again stands last.
    kept.delete(key);
    kept.set(key, known);
    if (kept.size > most) kept.delete(kept.keys().next().value!);
    return known.answer;
  };
}
