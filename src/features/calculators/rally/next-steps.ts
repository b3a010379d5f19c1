import type { Book } from '@/drills';
import type { Drill, Step } from '@/drills/base/types';
import type { LoggedRows } from '@/core/calculators/rally/fit';
import { setOutFor, type SetOut } from '@/core/calculators/rally/set-out';
import type { BenchesView, RallyView, RowGroup } from '@/server/views/benches';
import { floorHere, type BenchChild } from '../child';

/** How a player's rows were set out; null where no rally comes out of it. */
export function rowsAt(view: BenchesView, book: Book, child: BenchChild, group: RowGroup): LoggedRows | null {
  const rally = book.step(group.drillId, group.stepId)?.rally;
  if (!rally) return null;
  const place = view.places.find((one) => one.id === group.placeId);
  const { setting } = group;
  const out: SetOut = {
    shot: setting?.shot ?? rally.shot,
    distanceM: setting?.distanceM ?? rally.distanceM,
    markM: setting?.markM ?? rally.markM,
    spinRps: setting ? setting.spinRps : rally.spinRps,
    ball: group.ball ?? setting?.ball ?? child.ball,
    floor: floorHere(place),
    wall: 'brick',
    ceilingM: place?.ceilingM ?? null,
  };
  const made = setOutFor(out, child);
  return made && { setting: made, each: rally.each ?? null, rows: group.rows };
}

/** A step of a drill that could be next. */
export interface NextStep {
  readonly drill: Drill;
  readonly step: Step;
}

/** Steps that are rallies, for this sport; the one after where the player stands comes first. */
export function nextSteps(
  book: Book,
  child: BenchChild,
  rows: RallyView,
): { steps: NextStep[]; next: NextStep | undefined } {
  const steps = book.drills
    .filter((drill) => drill.sports.includes(child.sport))
    .flatMap((drill) =>
      drill.steps.filter((step) => step.rally && !step.rally.each).map((step) => ({ drill, step })),
    );
  const practised = [...rows.groups].sort((a, b) => b.rows.length - a.rows.length)[0];
  const drill = practised && book.drill(practised.drillId);
  const at =
    drill?.steps.findIndex((step) => step.id === (rows.standsOn[drill.id] ?? practised?.stepId)) ?? -1;
  const goesOn = (step: Step) => step.rally !== undefined && !step.rally.each;
  // The next rally up the ladder; at its top, the last one there is.
  const following = drill?.steps.slice(at + 1).find(goesOn) ?? drill?.steps.findLast(goesOn);
  return {
    steps,
    next: steps.find((one) => one.drill === drill && one.step === following) ?? steps[0],
  };
}
