const grouped = new Intl.NumberFormat('en-GB');

/** "12,345". Looking up a language costs more than most pages do: it is done once, and not for small numbers. */
export const inThousands = (n: number): string =>
  Number.isInteger(n) && n >= 0 && n < 1000 ? String(n) : grouped.format(n);

/** "1 touch", "3 touches": a whole number with its noun. The plural adds an s unless it is given. */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${inThousands(n)} ${n === 1 ? one : many}`;
}

/** Seconds as a person reads them on a plan: "45 s", "2:30 min", "45 min". Rounded to the whole second. */
export function inMinutes(seconds: number): string {
  const whole = Math.round(seconds);
  if (Math.abs(whole) < 60) return `${whole} s`;
  return whole % 60 === 0 ? `${whole / 60} min` : `${clockTime(whole)} min`;
}

/** Shorter times of a dose stay seconds, as they are counted: 90 s and less. Ours. */
const longestInSeconds = 90;

/** The time of a dose: "20 s", "90 s", "2 min", "1:48 min". */
export const doseTimeInWords = (seconds: number): string =>
  seconds <= longestInSeconds ? `${seconds} s` : inMinutes(seconds);

/** Seconds to the half minute, as a plan is read: 1,150 s is "19½". */
export function inHalfMinutes(seconds: number): string {
  const halves = Math.round(seconds / 30);
  const whole = Math.floor(halves / 2);
  if (halves % 2 === 0) return String(whole);
  return whole === 0 ? '½' : `${whole}½`;
}

/** Seconds as a stopwatch shows them: "0:07", "12:30". Negative values carry a minus. */
export function clockTime(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  const text = `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
  return seconds < 0 && whole > 0 ? `-${text}` : text;
}

/**
 * A share as a percentage with no more digits than it deserves: 0.874 is "87 %". What is nearly sure or nearly
 * nothing is not rounded to it: "over 99 %", "under 1 %". Number and sign never part at a line's end.
 */
export function percent(share: number): string {
  if (share > 0.995 && share < 1) return 'over 99\u00a0%';
  if (share > 0 && share < 0.005) return 'under 1\u00a0%';
  return `${Math.round(share * 100)}\u00a0%`;
}
