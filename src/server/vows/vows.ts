import { done, refused, type Outcome } from '@/core/base/outcome';
import { tooMuch } from '@/core/vows/together';
import { rests } from '@/core/vows/keeping';
import { shortDay } from '@/core/base/day-words';
import { dayNumber, isoDay } from '@/core/base/days';
import { proposeVow, type Proposal, type ProposedDay } from '@/session/vows/propose';
import type { Vow } from '@/session/vows/vow';
import type { Executor } from '@/data/database';
import { getPlayer } from '@/data/squad';
import {
  dropDays,
  countedBlocks,
  daysOfVows,
  getVow,
  insertVow,
  putDays,
  putHome,
  updateVow,
  vowsOfPlayer,
  type VowDayRow,
} from '@/data/vows';
import { asOne, write } from '@/data/write';
import { check } from '@/schemas/check';
import { homeSchema, pauseSchema, vowSchema, wordsSchema, type VowForm } from '@/schemas/vow';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { bookFor } from '../readers/book';
import { playerFacts } from '../readers/player-facts';
import { readVow, runs, titleOf, writePauses, type KeptVow } from '../readers/vows';
import { vowSetting } from '../readers/vow-setting';

/** A plan of a vow before it is one: its days, and what all vows of the child would come to with it. */
export interface VowPreview extends Proposal {
  /** Where all vows together would go over a line, and which gives way. */
  readonly tooMuch: readonly string[];
}

const gone = 'This vow is not on record (any more): go back to the vows.';
const noPlayer = 'This player is not on the squad (any more): go back to the squad.';

const asVow = ({ fromDay: _from, untilDay: _until, ...vow }: VowForm): Vow => ({
  ...vow,
  weekdays: [...new Set(vow.weekdays)].sort((a, b) => a - b),
});

interface Planned {
  readonly form: VowForm;
  readonly preview: VowPreview;
}

/** Looks at a vow: whether it can be, on which days, with which dose, and how likely its aim is. */
async function planned(
  context: Context,
  tx: Executor,
  playerId: string,
  form: VowForm,
  exceptId?: string,
): Promise<Outcome<Planned>> {
  const row = await getPlayer(tx, playerId);
  if (!row || row.removedAtMs !== null) return refused('playerId', noPlayer);
  const book = await bookFor(tx);
  // A vow that runs goes on from today.
  const fromDay = exceptId && form.fromDay < context.today ? context.today : form.fromDay;
  const { age, name } = playerFacts(row, fromDay);
  const player = { id: playerId, age, name };
  const vow = asVow(form);
  const setting = await vowSetting({ db: tx as Context['db'], today: context.today }, book, player, {
    parts: vow.parts,
    fromDay,
    untilDay: form.untilDay,
    ...(exceptId && { exceptId }),
  });
  const twice = await promisedAlready(tx, context.today, playerId, vow, exceptId);
  const proposal = proposeVow(vow, setting);
  const problems = twice
    ? [
        ...proposal.problems,
        {
          field: 'parts',
          message: `${titleOf(book, vow)}: this step is promised already until ${shortDay(twice.untilDay)}. Change that vow, or choose another step.`,
        },
      ]
    : proposal.problems;
  const mine = proposal.days.map(({ day, seconds, good, load }) => ({
    vowId: 'new',
    madeAtMs: context.nowMs,
    title: titleOf(book, vow),
    day: dayNumber(day),
    seconds,
    good,
    load,
  }));
  const over = tooMuch([...setting.promised, ...mine], setting.sessions, player, (day) =>
    shortDay(isoDay(day)),
  );
  return done({
    form: { ...form, fromDay },
    preview: { ...proposal, problems, tooMuch: over.map(({ text }) => text) },
  });
}

/** Another vow of the player that promises one of the same steps. */
async function promisedAlready(
  tx: Executor,
  today: string,
  playerId: string,
  vow: Vow,
  exceptId: string | undefined,
): Promise<KeptVow | undefined> {
  const steps = new Set(vow.parts.map(({ drillId, stepId }) => `${drillId} ${stepId}`));
  return (await vowsOfPlayer(tx, playerId))
    .map(readVow)
    .find(
      (one) =>
        one.id !== exceptId &&
        runs(one, today) &&
        one.vow.parts.some(({ drillId, stepId }) => steps.has(`${drillId} ${stepId}`)),
    );
}

/** What a vow would be; nothing is written. */
export async function previewVow(
  context: Context,
  playerId: string,
  input: unknown,
  exceptId?: string,
): Promise<Outcome<VowPreview>> {
  const checked = check(vowSchema, input);
  if (!checked.ok) return checked;
  const outcome = await planned(context, context.db, playerId, checked.value, exceptId);
  return outcome.ok ? done(outcome.value.preview) : outcome;
}

const rowsOf = (
  context: Context,
  vowId: string,
  vow: Vow,
  days: readonly ProposedDay[],
  state: VowDayRow['state'] = 'asked',
): VowDayRow[] =>
  days.flatMap(({ day, doses }) => {
    const sessionId = context.newId();
    return doses.map((dose, part) => ({
      vowId,
      day,
      part,
      drillId: vow.parts[part]!.drillId,
      stepId: vow.parts[part]!.stepId,
      dose: JSON.stringify(dose),
      sessionId,
      blockId: context.newId(),
      state,
    }));
  });

/** A plan with days, or why there is none. */
function plannable({ preview }: Planned): Outcome<null> {
  if (preview.problems.length > 0) return { ok: false, problems: preview.problems };
  if (preview.days.length === 0)
    return refused(
      'days',
      preview.short?.text ?? 'No day of it can be done: choose other days, or a smaller dose.',
    );
  return done(null);
}

/** Makes a vow. */
export async function makeVow(
  context: Context,
  playerId: string,
  input: unknown,
  renews: string | null = null,
): Promise<Outcome<{ id: string }>> {
  const checked = check(vowSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    const outcome = await planned(context, tx, playerId, checked.value);
    if (!outcome.ok) return outcome;
    const able = plannable(outcome.value);
    if (!able.ok) return able;
    const { form, preview } = outcome.value;
    const id = context.newId();
    const vow = asVow(form);
    await insertVow(tx, {
      id,
      playerId,
      promise: JSON.stringify(vow),
      fromDay: form.fromDay,
      untilDay: form.untilDay,
      createdAtMs: context.nowMs,
      changedAtMs: context.nowMs,
      renews,
      by: signatureOf(context),
    });
    await putDays(tx, [
      ...rowsOf(context, id, vow, preview.days),
      ...rowsOf(context, id, vow, preview.free, 'free'),
    ]);
    return done({ id });
  });
}

/** Changes a vow from today on: days that have counts stay as they were. */
export async function changeVow(context: Context, id: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(vowSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    const row = await getVow(tx, id);
    if (!row || row.removedAtMs !== null) return refused('vow', gone);
    if (row.endedOn !== null) return refused('vow', 'This vow was ended: renew it, or make another.');
    const outcome = await planned(context, tx, row.playerId, checked.value, id);
    if (!outcome.ok) return outcome;
    const able = plannable(outcome.value);
    if (!able.ok) return able;
    const { form, preview } = outcome.value;
    const vow = asVow(form);
    const counted = await countedBlocks(tx, id);
    const kept = new Set(
      (await daysOfVows(tx, [id])).filter(({ blockId }) => counted.has(blockId)).map(({ day }) => day),
    );
    await dropDays(tx, id, context.today);
    // A day that was begun stays what it was.
    const others = (days: readonly ProposedDay[]) => days.filter(({ day }) => !kept.has(day));
    await putDays(tx, [
      ...rowsOf(context, id, vow, others(preview.days)),
      ...rowsOf(context, id, vow, others(preview.free), 'free'),
    ]);
    const fromDay = row.fromDay < context.today ? row.fromDay : form.fromDay;
    await updateVow(
      tx,
      id,
      { promise: JSON.stringify(vow), fromDay, untilDay: form.untilDay },
      context.nowMs,
    );
    return done(null);
  });
}

/** Changes one vow by what is known of it. */
async function withVow(
  context: Context,
  id: string,
  change: (tx: Executor, kept: KeptVow) => Promise<Outcome<null>>,
): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    const row = await getVow(tx, id);
    return row ? change(tx, readVow(row)) : refused('vow', gone);
  });
}

/** Lets a vow rest: holidays, a sick day. */
export async function pauseVow(context: Context, id: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(pauseSchema, input);
  if (!checked.ok) return checked;
  const { from, until, why } = checked.value;
  return withVow(context, id, async (tx, kept) => {
    if (kept.endedOn !== null) return refused('vow', 'This vow was ended: there is nothing to pause.');
    const pause = { from: dayNumber(from), until: until === null ? null : dayNumber(until), why };
    if (kept.pauses.some((one) => rests([one], pause.from)))
      return refused(
        'from',
        'It rests on that day already: choose another first day, or let it go on first.',
      );
    await updateVow(tx, id, { pauses: writePauses([...kept.pauses, pause]) }, context.nowMs);
    return done(null);
  });
}

/** Lets a vow go on from today: a pause that runs ends yesterday, one that began today is taken out. */
export async function resumeVow(context: Context, id: string): Promise<Outcome<null>> {
  const today = dayNumber(context.today);
  return withVow(context, id, async (tx, kept) => {
    const pauses = kept.pauses.flatMap((one) => {
      if (!rests([one], today)) return [one];
      return one.from === today ? [] : [{ ...one, until: today - 1 }];
    });
    await updateVow(tx, id, { pauses: writePauses(pauses) }, context.nowMs);
    return done(null);
  });
}

/** Ends a vow before its time, or lets it go on. What was done stays. */
export async function endVow(
  context: Context,
  id: string,
  ended: boolean,
  input: unknown = {},
): Promise<Outcome<null>> {
  const checked = check(wordsSchema, input);
  if (!checked.ok) return checked;
  return withVow(context, id, async (tx) => {
    await updateVow(
      tx,
      id,
      ended ? { endedOn: context.today, endedWhy: checked.value.words } : { endedOn: null, endedWhy: '' },
      context.nowMs,
    );
    return done(null);
  });
}

/** Says thank you: the child sees it on their page. */
export async function thankForVow(context: Context, id: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(wordsSchema, input);
  if (!checked.ok) return checked;
  const words = checked.value.words || 'Thank you: you kept your vow.';
  return withVow(context, id, async (tx) => {
    await updateVow(tx, id, { thankedAtMs: context.nowMs, thanks: words }, context.nowMs);
    return done(null);
  });
}

/** Takes a vow away, or brings it back. What was counted for it stays. */
export async function removeVow(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return withVow(context, id, async (tx) => {
    await updateVow(tx, id, { removedAtMs: removed ? context.nowMs : null }, context.nowMs);
    return done(null);
  });
}

/** The same vow once more, for as long as it was, from today or the day after it ends. */
export async function renewVow(
  context: Context,
  id: string,
  smaller = false,
): Promise<Outcome<{ id: string }>> {
  const row = await getVow(context.db, id);
  if (!row || row.removedAtMs !== null) return refused('vow', gone);
  const { vow } = readVow(row);
  const lasts = dayNumber(row.untilDay) - dayNumber(row.fromDay);
  const running = row.endedOn === null && row.untilDay >= context.today;
  if (running && !smaller)
    return refused(
      'vow',
      `It runs until ${shortDay(row.untilDay)}: change its last day to let it go on for longer.`,
    );
  const minutes = smaller ? Math.max(1, Math.floor(vow.minutes / 2)) : vow.minutes;
  const form = { ...vow, minutes, fromDay: context.today, untilDay: dayAfter(context.today, lasts) };
  return asOne(context, async (one) => {
    const ended = running
      ? await endVow(one, id, true, { words: 'A smaller one took its place.' })
      : done(null);
    return ended.ok ? makeVow(one, row.playerId, form, id) : ended;
  });
}

/** Writes down what a player has at home. */
export async function saveHome(context: Context, playerId: string, input: unknown): Promise<Outcome<null>> {
  const checked = check(homeSchema, input);
  if (!checked.ok) return checked;
  const { kit, surface, ...fields } = checked.value;
  return write(context.db, async (tx) => {
    if (!(await getPlayer(tx, playerId))) return refused('playerId', noPlayer);
    await putHome(tx, {
      playerId,
      ...fields,
      surface: surface as 'wood',
      kit: JSON.stringify(kit.filter(({ count }) => count > 0).map(({ item, count }) => [item, count])),
    });
    return done(null);
  });
}
