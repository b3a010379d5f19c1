import { breathlessShare } from '../dose/scale';
import { lateAfterS } from './late-after';

/** A block still to come, as far as its time goes. All times in seconds. */
export interface BlockToCome {
  readonly blockId: string;
  readonly seconds: number;
  /** The same block with its dose cut to {@link breathlessShare}. */
  readonly shortS: number;
  /** Warm-ups and retests stay whole: what follows leans on them. */
  readonly keep: boolean;
}

/** One way to end on time. */
export interface TrimOffer {
  readonly shorten: readonly string[];
  readonly leaveOut: readonly string[];
  readonly savesS: number;
  /** Seconds still over the end of the booking; 0 when it ends on time. */
  readonly overS: number;
}

/** How much of a dose is left when a block is shortened. */
export const shortShare = breathlessShare;

/** Seconds by which the session overruns; under 0 when time is left. */
export const overrunS = (runningLeftS: number, toCome: readonly BlockToCome[], leftS: number): number =>
  toCome.reduce((sum, block) => sum + block.seconds, runningLeftS) - leftS;

/**
 * What could be done to end on time, by stated rules; nothing is imposed. All rules are ours.
 * 1. Nothing is offered while the overrun is within {@link lateAfterS}.
 * 2. Warm-ups and retests stay whole.
 * 3. Shorten: as few blocks as do, those that save most first.
 * 4. Leave out: the one block that is enough and costs least; if none is enough, the longest ones until it is.
 * 5. Where shortening everything is not enough, what is left out comes first and the rest is shortened.
 * @param runningLeftS seconds the running block still takes
 * @param leftS seconds until the booking ends
 */
export function trimOffers(runningLeftS: number, toCome: readonly BlockToCome[], leftS: number): TrimOffer[] {
  const over = overrunS(runningLeftS, toCome, leftS);
  if (over <= lateAfterS) return [];
  const free = toCome.filter((block) => !block.keep);
  const shorten = shortened(free, over);
  const leaveOut = leftOut(free, over);
  const offers = [
    offer(shorten, [], over),
    offer([], leaveOut, over),
    // Both: one block goes, and what is left of the overrun is shortened away.
    ...(shorten.length > 0 && offer(shorten, [], over).overS > 0 ? [both(free, over)] : []),
  ].filter((one) => one.savesS > 0);
  const seen = new Set<string>();
  return offers.filter((one) => {
    const key = `${names(one.shorten)}|${names(one.leaveOut)}`;
    return !seen.has(key) && seen.add(key);
  });

  function offer(short: readonly BlockToCome[], out: readonly BlockToCome[], overS: number): TrimOffer {
    const savesS = sum(short, (one) => one.seconds - one.shortS) + sum(out, (one) => one.seconds);
    return {
      shorten: short.map((one) => one.blockId),
      leaveOut: out.map((one) => one.blockId),
      savesS,
      overS: Math.max(0, overS - savesS),
    };
  }
  function both(blocks: readonly BlockToCome[], overS: number): TrimOffer {
    const longest = [...blocks].sort((a, b) => b.seconds - a.seconds);
    const out: BlockToCome[] = [];
    const rest = () => longest.filter((one) => !out.includes(one));
    const need = () => overS - sum(out, (one) => one.seconds);
    while (need() > sum(rest(), (one) => one.seconds - one.shortS) && rest().length > 0) out.push(rest()[0]!);
    return offer(shortened(rest(), need()), out, overS);
  }
}

const sum = (blocks: readonly BlockToCome[], of: (block: BlockToCome) => number) =>
  blocks.reduce((all, block) => all + of(block), 0);
const names = (ids: readonly string[]) => [...ids].sort().join(' ');

/** As few blocks as save enough when shortened, the greatest savers first; all of them if that is not enough. */
function shortened(blocks: readonly BlockToCome[], needS: number): BlockToCome[] {
  const chosen: BlockToCome[] = [];
  for (const block of [...blocks].sort((a, b) => b.seconds - b.shortS - (a.seconds - a.shortS))) {
    if (sum(chosen, (one) => one.seconds - one.shortS) >= needS) break;
    if (block.seconds > block.shortS) chosen.push(block);
  }
  return chosen;
}

/** The cheapest block that is enough, or the longest ones until it is. */
function leftOut(blocks: readonly BlockToCome[], needS: number): BlockToCome[] {
  const enough = blocks.filter((block) => block.seconds >= needS).sort((a, b) => a.seconds - b.seconds)[0];
  if (enough) return [enough];
  const chosen: BlockToCome[] = [];
  for (const block of [...blocks].sort((a, b) => b.seconds - a.seconds)) {
    if (sum(chosen, (one) => one.seconds) >= needS) break;
    chosen.push(block);
  }
  return chosen;
}

/**
 * When the booking ends, UTC milliseconds: at its booked end, if the session began between half an hour before its
 * booked start and that end; else the booked minutes after it really began.
 * @param bookedStartMs when it was booked to begin
 * @param startedMs when its first block was started
 */
export function bookingEndMs(bookedStartMs: number, bookedMin: number, startedMs: number): number {
  const bookedEndMs = bookedStartMs + bookedMin * 60_000;
  const inTime = startedMs >= bookedStartMs - 30 * 60_000 && startedMs < bookedEndMs;
  return inTime ? bookedEndMs : startedMs + bookedMin * 60_000;
}
