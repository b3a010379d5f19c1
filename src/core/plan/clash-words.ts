import { shortDay } from '../base/day-words';

/** A collision as it is said to the coach. */
export interface ClashSaid {
  /** Of the session that is booked already, local ISO. */
  readonly day: string;
  readonly title: string;
  readonly startTime: string;
  readonly endTime: string;
  /** Players both have. */
  readonly names: readonly string[];
  readonly coach: boolean;
  readonly place: boolean;
}

/** Names said one by one; of more the rest is counted. Ours. */
const mostNames = 3;

/** "Ada, Ben and the coach" */
const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)!}`;

/** "Thu 3 Dec, 16:30 to 17:30: Thursday group already has Ada, Ben and the coach." */
export function clashText({ day, title, startTime, endTime, names, coach, place }: ClashSaid): string {
  const more = names.length - mostNames;
  const who = more > 1 ? [...names.slice(0, mostNames), `${more} more players`] : names;
  const what = listed([...who, ...(coach ? ['the coach'] : []), ...(place ? ['the place'] : [])]);
  return `${shortDay(day)}, ${startTime} to ${endTime}: ${title} already has ${what}.`;
}
