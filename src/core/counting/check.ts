import { correctionKinds, countKinds, eventKinds, longestText, type TouchEvent } from './event';

/** At most this many events in one batch: ours. A player touches four times a second; this is a minute's worth. */
export const maxBatch = 250;

const ulid = /^[0-9A-HJKMNP-TV-Z]{26}$/;
const device = /^[\w-]{1,64}$/;
const isId = (value: unknown): boolean => typeof value === 'string' && ulid.test(value);
const isText = (value: unknown): boolean =>
  value === undefined || value === null || (typeof value === 'string' && value.length <= longestText);
const isWhole = (value: unknown, min: number, max: number): boolean =>
  Number.isInteger(value) && (value as number) >= min && (value as number) <= max;

/** Latest time a device's clock may claim: the end of the year 9999. */
const latestMs = 253_402_300_799_999;

/**
 * What is wrong with one event that came from outside, naming the field; null when it is sound.
 * Hand-written, because this door is passed four times a second by every player.
 */
export function eventProblem(event: unknown): string | null {
  if (typeof event !== 'object' || event === null) return 'an event must be an object';
  const e = event as Record<keyof TouchEvent, unknown>;
  if (!isId(e.id)) return 'id must be a ULID of 26 letters and digits';
  if (!isId(e.blockId)) return 'blockId must be a ULID';
  if (!eventKinds.includes(e.kind as never)) return `kind must be one of ${eventKinds.join(', ')}`;
  const corrects = correctionKinds.includes(e.kind as never);
  const counts = countKinds.includes(e.kind as never) || e.kind === 'fix';
  if (e.playerId === null ? counts : !isId(e.playerId)) return 'playerId must be the ULID of a player';
  if (!isWhole(e.attempt, 1, 1000)) return 'attempt must be a whole number from 1 to 1000';
  if (e.value !== null && !(typeof e.value === 'number' && e.value >= 0 && e.value <= 100_000))
    return 'value must be null or a number from 0 to 100000';
  if (corrects ? !isId(e.ref) : e.ref !== null)
    return 'ref must be a ULID on an undo or a fix and null on all else';
  if (e.kind === 'fix' && e.value === null) return 'value must be the right result on a fix';
  if (!isText(e.text)) return `text must be null or at most ${longestText} letters`;
  if (!isText(e.by)) return `by must be null or a name of at most ${longestText} letters`;
  if (!isWhole(e.atMs, 0, latestMs)) return 'atMs must be UTC milliseconds, a whole number';
  if (!isWhole(e.monoMs, 0, latestMs)) return 'monoMs must be milliseconds, a whole number from 0';
  if (typeof e.device !== 'string' || !device.test(e.device))
    return 'device must be 1 to 64 letters, digits or hyphens';
  return null;
}
