import { makeBook } from '@/drills';
import { settingFits } from '@/session/base/pace';
import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Dose } from '@/core/dose/dose';
import type { BlockSetting } from '@/core/calculators/setting';
import { getFeeder, putFeeder, setFeederRemoved } from '@/data/feeders';
import { write } from '@/data/write';
import { bookContents } from '../readers/book';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { feederSchema, settingForm } from '@/schemas/setting';
import { loadPlan, savePlan } from '../plan/sessions';

/* What the benches leave behind: settings in blocks, and settings of the feeder by name. */

/** What stood in a block before a bench wrote into it. */
export interface Written {
  readonly before: BlockSetting | null;
  readonly dose: Dose;
}

/**
 * Writes how a block is set out; null takes it off again.
 * @param dose the block’s dose from now on, where the setting has rounds of its own
 * @returns what stood there before, to take it back
 */
export async function writeSetting(
  context: Context,
  sessionId: string,
  blockId: string,
  input: unknown,
  dose?: unknown,
): Promise<Outcome<Written>> {
  const checked = check(settingForm, { setting: input });
  if (!checked.ok) return checked;
  const { setting } = checked.value;
  const plan = await loadPlan(context, sessionId);
  if (!plan.ok) return plan;
  const block = plan.value.blocks.find((one) => one.id === blockId);
  if (!block)
    return refused('block', 'This block is not in the plan (any more): reload the page and choose again.');
  const book = makeBook(await bookContents(context.db), plan.value.coach);
  const drill = book.drill(block.drillId);
  if (setting && drill && !settingFits(drill, setting))
    return refused('block', `${drill.title} ${unfit[setting.kind]}`);
  const own = dose === undefined ? {} : { dose: dose as Dose };
  const blocks = plan.value.blocks.map((one) => (one.id === blockId ? { ...one, ...own, setting } : one));
  const saved = await savePlan(context, sessionId, { ...plan.value, blocks });
  return saved.ok ? done({ before: block.setting, dose: block.dose }) : saved;
}

/** Why a setting does not hold for a drill. */
const unfit: Readonly<Record<BlockSetting['kind'], string>> = {
  wall: 'is no rally with a wall: choose a block that is.',
  feeder: 'is not fed: choose a block that is.',
  sequence: 'is not done without a ball, or is of another sport: choose a block of shadow strokes.',
};

const unknownFeeder = refused('feeder', 'These settings are not on the list (any more): reload the page.');

/** Keeps settings of the feeder by name, or changes them when an id is given. */
export async function saveFeeder(
  context: Context,
  input: unknown,
  id?: string,
): Promise<Outcome<{ id: string }>> {
  const checked = check(feederSchema, input);
  if (!checked.ok) return checked;
  const { name, drillId, settings } = checked.value;
  if (!makeBook(await bookContents(context.db)).drill(drillId))
    return refused('drillId', 'This drill is not on the list (any more): choose another.');
  return write(context.db, async (tx) => {
    if (id !== undefined && !(await getFeeder(tx, id))) return unknownFeeder;
    const feederId = id ?? context.newId();
    await putFeeder(tx, feederId, { name, drillId, settings: JSON.stringify(settings) }, context.nowMs);
    return done({ id: feederId });
  });
}

/** Takes settings off the list, or back on it. */
export async function removeFeeder(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getFeeder(tx, id))) return unknownFeeder;
    await setFeederRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
