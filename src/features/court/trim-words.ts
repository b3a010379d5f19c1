import { shortShare, type TrimOffer } from '@/core/court/late';
import { clockTime } from '@/core/base/words';

const list = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** "Leave out Ring target, shorten Carry to 60 %: saves 6:30, ends on time." */
export function trimOffersInWords(
  { leaveOut, shorten, savesS, overS }: TrimOffer,
  titleOf: (blockId: string) => string,
): string {
  const parts = [
    leaveOut.length > 0 && `leave out ${list(leaveOut.map(titleOf))}`,
    shorten.length > 0 && `shorten ${list(shorten.map(titleOf))} to ${100 * shortShare} %`,
  ].filter((part) => part !== false);
  const text = parts.join(', ');
  const end = overS > 0 ? `still ${clockTime(Math.ceil(overS))} over` : 'ends on time';
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}: saves ${clockTime(Math.round(savesS))}, ${end}.`;
}
