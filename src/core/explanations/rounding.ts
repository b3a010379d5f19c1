import type { ExplainedInput } from '../base/explain';
import { inMinutes } from '../base/words';

/** How far rounded parts are off their rounded whole. */
function off(whole: number, parts: readonly number[]): number {
  return asShown(whole) - parts.reduce((sum, part) => sum + asShown(part), 0);
}

/** Rounded as it is shown: what is taken off is shown without its sign. */
const asShown = (n: number): number => Math.sign(n) * Math.round(Math.abs(n));

/** The line that makes whole seconds add up to what is shown; none where they do. */
export function partsOfASecond(wholeS: number, partsS: readonly number[]): ExplainedInput[] {
  const seconds = off(wholeS, partsS);
  return seconds === 0 ? [] : [{ label: 'Parts of a second, together', value: inMinutes(seconds) }];
}

/** The line that makes whole touches add up to what is shown; none where they do. */
export function partsOfATouch(whole: number, parts: readonly number[]): ExplainedInput[] {
  const touches = off(whole, parts);
  return touches === 0 ? [] : [{ label: 'Parts of a touch, together', value: String(touches) }];
}

/** The line that makes tenths (of a second, where nothing else is said) add up to what is shown; none where they do. */
export function partsOfATenth(wholeS: number, partsS: readonly number[], unit = 's'): ExplainedInput[] {
  const tenths = off(
    10 * wholeS,
    partsS.map((part) => 10 * part),
  );
  return tenths === 0
    ? []
    : [{ label: 'Parts of a tenth, together', value: `${(tenths / 10).toFixed(1)} ${unit}` }];
}
