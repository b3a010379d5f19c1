/** Half of a surrogate pair (an emoji cut in two), or the letter U+0000: neither can be written as UTF-8 and read back. */
const unsound = /[\p{Surrogate}\0]/u;

/** Can a text be stored and read again as it is? */
export const isSoundText = (text: string): boolean => !unsound.test(text);

/** A text with what cannot be stored put right: half characters become U+FFFD, U+0000 goes. */
export const soundText = (text: string): string =>
  isSoundText(text) ? text : text.replace(/\p{Surrogate}/gu, '\uFFFD').replaceAll('\0', '');

/**
 * The beginning of a text, at most so many UTF-16 units long; a character that would be cut in two is left out.
 * @param longest >= 0
 */
export function cutText(text: string, longest: number): string {
  if (text.length <= longest) return text;
  const cut = text.slice(0, longest);
  return /[\uD800-\uDBFF]$/.test(cut) ? cut.slice(0, -1) : cut;
}

/** A text as the name of a file on any computer: letters, digits, blanks, points and dashes. Empty where nothing of it is left. */
export const asFileName = (text: string): string => text.replace(/[^\p{L}\p{N}.-]+/gu, ' ').trim();
