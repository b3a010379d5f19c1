/** Syllables of an English word, counted roughly: groups of vowels, a silent e at the end taken off. At least one. */
function syllables(word: string): number {
  const plain = word
    .toLowerCase()
    .replace(/[^a-z]/g, '')
    .replace(/e$/, '');
  return Math.max(1, plain.match(/[aeiouy]+/g)?.length ?? 0);
}

/**
 * The school grade a text reads at: J. P. Kincaid and others 1975, 0.39 words a sentence + 11.8 syllables a word − 15.59.
 * Short texts scatter widely, so it is asked of a drill's words together, never of one sentence.
 */
export function readingGrade(text: string): number {
  const sentences = text.split(/[.!?:;]+/).filter((part) => /\w/.test(part)).length;
  const words = text.match(/[\p{L}’'-]+/gu) ?? [];
  const all = words.reduce((sum, word) => sum + syllables(word), 0);
  return (0.39 * words.length) / sentences + (11.8 * all) / words.length - 15.59;
}
