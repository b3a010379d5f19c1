import { yearsBetween } from '@/core/base/aged';
import { agedBlock } from './age-block';
import type { Book } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import { matesOf } from '@/core/plan/circuit/circuit';
import { moveSlot, settled, shortenCircuit, stationsOf } from './settled';
import { settingFits } from '../base/pace';
import { newBlock, type StandsOn } from './place-block';
import { ownWorkFor, workOf, type OwnWork, type PlanBlock, type PlanPlayer } from '../base/plan';
import type { Change } from '@/drills/base/types';
import { amountOf } from '@/core/dose/amount';
import type { Dose } from '@/core/dose/dose';
import { scaled, scaledAmount } from '@/core/dose/scale';
import type { Mend } from '@/core/care/care';

/** What edits change of a plan; whatever else it holds stays. */
export interface PlanParts {
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
}

/** What an edit needs to know besides the plan: the drills, who there is, and where they stand. */
export interface Knows {
  readonly book: Book;
  readonly squad: readonly PlanPlayer[];
  readonly standsOn: (drillId: string) => StandsOn;
}

const withBlocks = <D extends PlanParts>(doc: D, blocks: readonly PlanBlock[]): D => ({
  ...doc,
  blocks: settled(blocks, doc.playerIds),
});

const coming = ({ squad }: Knows, doc: PlanParts): PlanPlayer[] =>
  squad.filter((player) => doc.playerIds.includes(player.id));

function changed<D extends PlanParts>(doc: D, id: string, change: (block: PlanBlock) => PlanBlock): D {
  return withBlocks(
    doc,
    doc.blocks.map((block) => (block.id === id ? change(block) : block)),
  );
}

/**
 * Changes the booking of a plan. Moved into another year, what is not yet held takes the doses of the ages everybody has then.
 * @param knows the squad at the ages of the plan's day
 */
export function rebooked<D extends PlanParts & { readonly day: string }>(
  knows: Knows,
  doc: D,
  fields: Partial<D>,
  held: readonly string[],
): D {
  const years = yearsBetween(doc.day, fields.day ?? doc.day);
  const players = coming(knows, doc);
  const blocks = doc.blocks.map((block) =>
    held.includes(block.id) ? block : agedBlock(knows.book, block, players, years),
  );
  return { ...doc, ...fields, blocks };
}

/** Puts a new block in, at the end or before another one (of a circuit: before all of it); each player on the step they stand on. */
export function addBlock<D extends PlanParts>(
  knows: Knows,
  doc: D,
  drillId: string,
  id: string,
  before: string | null = null,
): D {
  const block = newBlock(knows.book, drillId, coming(knows, doc), knows.standsOn(drillId), id);
  const first = before === null ? undefined : matesOf(doc.blocks, before)[0];
  const at = first ? doc.blocks.indexOf(first) : -1;
  const blocks = [...doc.blocks];
  blocks.splice(at < 0 ? blocks.length : at, 0, block);
  return withBlocks(doc, blocks);
}

/** Opens the plan with a block of an earlier session, as it was: a retest. */
export function addRetest<D extends PlanParts>(knows: Knows, doc: D, earlier: PlanBlock, id: string): D {
  const { drillId, stepId, dose } = earlier;
  const fresh = newBlock(knows.book, drillId, coming(knows, doc), knows.standsOn(drillId), id, stepId);
  return withBlocks(doc, [{ ...fresh, dose, retest: true }, ...doc.blocks]);
}

/** Another step brings its own dose, and each player their own part in it. */
export function setStep<D extends PlanParts>(knows: Knows, doc: D, id: string, stepId: string): D {
  return changed(doc, id, (block) => {
    const { book, standsOn } = knows;
    const fresh = newBlock(book, block.drillId, coming(knows, doc), standsOn(block.drillId), id, stepId);
    const { setting } = block;
    const drill = book.drill(block.drillId)!;
    const kept = setting && settingFits(drill, setting) ? setting : null;
    return { ...block, stepId: fresh.stepId, dose: fresh.dose, own: fresh.own, setting: kept };
  });
}

/** Takes off what a bench wrote into a block: it is done in the drill's own way again. */
export function clearSetting<D extends PlanParts>(doc: D, id: string): D {
  return changed(doc, id, (block) => ({ ...block, setting: null }));
}

/** Do the children of a block have amounts of their own that differ, by age or by hand? */
export function amountsDiffer({ own }: PlanBlock): boolean {
  return new Set(own.flatMap(({ amount, out }) => (out ? [] : [amount]))).size > 1;
}

/**
 * A dose of the coach's own. The amount that was typed holds for everybody who did the same; where children have amounts
 * of their own, those stay until the coach says otherwise (see {@link sameForAll}).
 */
export function setDose<D extends PlanParts>(doc: D, id: string, dose: Dose): D {
  return changed(doc, id, (block) => {
    const amount = amountOf(dose);
    const typed = amount !== amountOf(block.dose) && !amountsDiffer(block);
    return { ...block, dose, own: typed ? block.own.map((one) => ({ ...one, amount })) : block.own };
  });
}

/** One amount for every child of a block, whatever their age. */
export function sameForAll<D extends PlanParts>(doc: D, id: string): D {
  return changed(doc, id, (block) => {
    const amount = amountOf(block.dose);
    return { ...block, own: block.own.map((one) => ({ ...one, amount })) };
  });
}

/** Puts another block in the place of one, as a tool has worked it out. */
export function putBlock<D extends PlanParts>(doc: D, id: string, block: PlanBlock): D {
  return changed(doc, id, () => block);
}

/** One player's own step, amount, or sitting out. Another step brings the amount of their age. */
export function setOwn<D extends PlanParts>(
  knows: Knows,
  doc: D,
  id: string,
  playerId: string,
  own: Partial<OwnWork>,
): D {
  const player = knows.squad.find((one) => one.id === playerId);
  if (!player) return doc;
  return changed(doc, id, (block) => {
    const now =
      block.own.find((one) => one.playerId === playerId) ??
      ownWorkFor(knows.book, block, player, block.stepId);
    const step = own.stepId && knows.book.step(block.drillId, own.stepId, playerId);
    const amount = step ? amountOf(step.doses[ageBandOf(player.age)]) : now.amount;
    const next = { ...now, amount, ...own };
    return { ...block, own: [...block.own.filter((one) => one.playerId !== playerId), next] };
  });
}

/** Puts a spice or an easing on a block, or takes it off. */
export function toggleChange<D extends PlanParts>(doc: D, id: string, change: Change): D {
  return changed(doc, id, (block) => ({
    ...block,
    changes: block.changes.includes(change)
      ? block.changes.filter((one) => one !== change)
      : [...block.changes, change],
  }));
}

export const setStations = <D extends PlanParts>(doc: D, id: string, stations: number): D =>
  changed(doc, id, (block) => ({ ...block, stations }));

/** A drink after a block, or after the whole circuit it is a station of. */
export function setBreak<D extends PlanParts>(doc: D, id: string, breakS: number): D {
  const mates = matesOf(doc.blocks, id);
  return withBlocks(
    doc,
    doc.blocks.map((block) => (mates.includes(block) ? { ...block, breakS } : block)),
  );
}

/** A share of the block's dose, each player's amount with it; of a circuit, of its visits too. */
export function scaleBlock<D extends PlanParts>(doc: D, id: string, share: number): D {
  const circuit = doc.blocks.find((block) => block.id === id)?.circuit;
  if (circuit)
    return stationsOf(doc.blocks, circuit.id).reduce<D>(
      (plan, station) => scaledAlone(plan, station.id, share),
      shortenCircuit(doc, circuit.id, share),
    );
  return scaledAlone(doc, id, share);
}

function scaledAlone<D extends PlanParts>(doc: D, id: string, share: number): D {
  return changed(doc, id, (block) => {
    const dose = scaled(block.dose, share);
    const own = block.own.map((one) =>
      one.amount === null ? one : { ...one, amount: scaledAmount(block.dose, one.amount, share) },
    );
    return { ...block, dose, own };
  });
}

/** A share of one player's own amount; of the block where it is a time everybody shares. */
function scaleOwn<D extends PlanParts>(knows: Knows, doc: D, id: string, playerId: string, share: number): D {
  const block = doc.blocks.find((one) => one.id === id);
  const dose = block && workOf(knows.book, { ...block, changes: [] }, playerId)?.dose;
  if (!dose || amountOf(dose) === null) return scaleBlock(doc, id, share);
  return setOwn(knows, doc, id, playerId, { amount: amountOf(scaled(dose, share)) });
}

export function removeBlock<D extends PlanParts>(doc: D, id: string): D {
  return withBlocks(
    doc,
    doc.blocks.filter((block) => block.id !== id),
  );
}

/** Puts a block, or the circuit it is a station of, at a place in the order; places outside are clamped to the ends. */
export function moveBlock<D extends PlanParts>(doc: D, id: string, to: number): D {
  const blocks = moveSlot(doc.blocks, id, to);
  return blocks === doc.blocks ? doc : withBlocks(doc, blocks);
}

/** Ticks a player on or off the list. The last one stays: a session is for somebody. Who comes gets a part in every block. */
export function togglePlayer<D extends PlanParts>(knows: Knows, doc: D, id: string): D {
  const leaves = doc.playerIds.includes(id);
  if (leaves && doc.playerIds.length === 1) return doc;
  const player = knows.squad.find((one) => one.id === id);
  const blocks = doc.blocks.map((block) => {
    const others = block.own.filter((one) => one.playerId !== id);
    if (leaves || !player || !knows.book.drill(block.drillId)) return { ...block, own: others };
    return {
      ...block,
      own: [...others, ownWorkFor(knows.book, block, player, knows.standsOn(block.drillId)(id))],
    };
  });
  const playerIds = leaves ? doc.playerIds.filter((player) => player !== id) : [...doc.playerIds, id];
  return { ...doc, playerIds, blocks: settled(blocks, playerIds) };
}

/** Does what a warning offers. */
export function applyMend<D extends PlanParts>(knows: Knows, doc: D, mend: Mend, newId: string): D {
  switch (mend.kind) {
    case 'insert':
      return addBlock(knows, doc, mend.drillId, newId, mend.before);
    case 'move': {
      const rest = doc.blocks.filter((block) => block.id !== mend.blockId);
      return moveBlock(
        doc,
        mend.blockId,
        rest.findIndex((block) => block.id === mend.before),
      );
    }
    case 'scale':
      return mend.playerId === undefined
        ? scaleBlock(doc, mend.blockId, mend.share)
        : scaleOwn(knows, doc, mend.blockId, mend.playerId, mend.share);
    case 'break':
      return setBreak(doc, mend.blockId, mend.seconds);
    case 'remove':
      return removeBlock(doc, mend.blockId);
    case 'sit-out':
      return setOwn(knows, doc, mend.blockId, mend.playerId, { out: true });
    case 'other hand':
      return toggleChange(doc, mend.blockId, 'other hand');
  }
}
