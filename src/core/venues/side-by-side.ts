import { fitsHere, kitTaken, type Fit } from './fits';
import type { KitAtHand, Needs } from './needs';
import { layOut, type Beside as OnceBeside, type OnFloor } from './on-floor';
import type { Place } from './place';

/** A drill that is done beside others: what it needs, and how many come to it at a time. */
export interface Beside extends OnceBeside {
  readonly needs: Needs;
  readonly players: number;
}

/** Whether each of several drills can be done here while the others are. */
export interface SideBySide {
  readonly fits: readonly Fit[];
  /** Where each lies; null without a place, or where something does not fit here. */
  readonly layout: OnFloor | null;
}

/**
 * Answers "can we do these here at the same time?": what one takes of the kit the others have not, and every one has its
 * own floor, with the clear space its drill needs. Where the floor is short, those who work at once become fewer, so that
 * a group takes turns; where even one of each is too many, the last ones do not fit.
 */
export function fitSideBySide(list: readonly Beside[], place: Place | null, atHand: KitAtHand): SideBySide {
  const taken = new Map<string, number>();
  const fits = list.map((one) => {
    const alone = fitsHere(one.needs, one.players, one.stations, place, atHand);
    const left: KitAtHand = (item) => Math.max(0, atHand(item) - (taken.get(item) ?? 0));
    const beside = fitsHere(one.needs, one.players, one.stations, place, left);
    if (alone.verdict === 'no') return alone;
    if (beside.verdict === 'no')
      return refused(beside.reasons.map((reason) => `${reason}, because the other stations have theirs`));
    for (const [item, count] of kitTaken(one.needs, beside.atOnce, one.stations, left))
      taken.set(item, (taken.get(item) ?? 0) + count);
    return beside;
  });
  if (!place) return { fits, layout: null };
  return onFloor(list, fits, place);
}

const refused = (reasons: readonly string[]): Fit => ({
  verdict: 'no',
  text: `does not fit: ${reasons.join('; ')}`,
  reasons,
  standIns: [],
  atOnce: 0,
});

function onFloor(list: readonly Beside[], alone: readonly Fit[], place: Place): SideBySide {
  const fits = [...alone];
  const atOnce = fits.map((fit) => fit.atOnce);
  for (;;) {
    const there = fits.flatMap((fit, index) => (fit.verdict === 'no' ? [] : [index]));
    const layout = layOut(
      there.map((index) => ({ one: list[index]!, atOnce: atOnce[index]! })),
      place,
    );
    if (layout) {
      const all = fits.map((fit, index) => (fit.verdict === 'no' ? fit : { ...fit, atOnce: atOnce[index]! }));
      return { fits: all, layout: there.length === list.length ? layout : null };
    }
    // The one with the most at once gives way first: its group takes turns.
    const gives = there
      .filter((index) => atOnce[index]! > Math.max(1, list[index]!.needs.players.min))
      .reduce<number | null>(
        (most, index) => (most === null || atOnce[index]! > atOnce[most]! ? index : most),
        null,
      );
    if (gives !== null) atOnce[gives]! -= 1;
    else
      fits[there.at(-1)!] = refused([`there is no room for it in ${place.name} beside the other stations`]);
  }
}
