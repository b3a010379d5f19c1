import { isSoundText } from '../base/text';
import { eventKinds, longestRecord, longestText, ruleOf, type EventKind, type TouchEvent } from './event';
import { isOrigin } from './origin';
import { textFits } from './text-of';
import { idTimeMs, isUlid } from './ulid-time';

/** At most this many events in one batch: ours. A player touches four times a second; this is a minute's worth. */
export const maxBatch = 250;

/** So far may a device's clock be ahead of the server's, milliseconds: a day, as wrong time zones make. Ours. */
export const mostAheadMs = 24 * 3600 * 1000;

const device = /^[\w-]{1,64}$/;
const isText = (value: unknown, longest = longestText): boolean =>
  value === undefined ||
  value === null ||
  (typeof value === 'string' && value.length <= longest && isSoundText(value));
const isWhole = (value: unknown, min: number, max: number): boolean =>
  Number.isInteger(value) && (value as number) >= min && (value as number) <= max;

/** Longest time a page can have been open, milliseconds: the end of the year 9999. */
const longestMs = 253_402_300_799_999;

/**
 * What is wrong with one event that came from outside, naming the field; null when it is sound.
 * Hand-written, because this door is passed four times a second by every player.
 * @param nowMs the time it is here, UTC milliseconds: an id or a time more than a day ahead of it is refused
 */
export function eventProblem(event: unknown, nowMs: number): string | null {
  if (typeof event !== 'object' || event === null) return 'an event must be an object';
  const e = event as Record<keyof TouchEvent, unknown>;
  if (!isUlid(e.id)) return 'id must be a ULID of 26 letters and digits';
  if (!isUlid(e.blockId)) return 'blockId must be a ULID';
  if (!eventKinds.includes(e.kind as never)) return `kind must be one of ${eventKinds.join(', ')}`;
  const rule = ruleOf(e.kind as EventKind);
  if (e.playerId === null ? rule.isFor === 'player' : !isUlid(e.playerId))
    return 'playerId must be the ULID of a player';
  if (e.playerId !== null && rule.isFor === 'block')
    return `playerId must be null on a ${String(e.kind)}: it is for the whole block`;
  if (!isWhole(e.attempt, 1, 1000)) return 'attempt must be a whole number from 1 to 1000';
  if (e.value !== null && !(typeof e.value === 'number' && e.value >= 0 && e.value <= 100_000))
    return 'value must be null or a number from 0 to 100000';
  if (rule.namesEvent ? !isUlid(e.ref) : e.ref !== null)
    return 'ref must be a ULID on an undo, a fix or an answer beside a mark and null on all else';
  if (e.kind === 'beside' && !e.text)
    return 'playerId and text must say whose answer it is and what it is beside a mark';
  if (e.kind === 'fix' && e.value === null) return 'value must be the right result on a fix';
  const records = rule.text === 'record';
  const longest = records ? longestRecord : longestText;
  if (!isText(e.text, longest)) return `text must be null or at most ${longest} whole letters`;
  if (!textFits(e.kind as EventKind, e.text as string | null))
    return `text must be empty on a ${String(e.kind)}, or what it names`;
  if (records && !e.text) return `text must say what the block is on a ${String(e.kind)}`;
  if (!isText(e.under)) return 'under must be null or a fingerprint';
  if (!isText(e.by)) return `by must be null or a name of at most ${longestText} whole letters`;
  if (e.origin !== undefined && e.origin !== null && !isOrigin(e.origin))
    return 'origin must be null, “felt”, or “ear” or “clip” with the number of its version';
  if (!isWhole(e.atMs, 0, nowMs + mostAheadMs)) return `atMs must be UTC milliseconds, ${notAhead}`;
  if (idTimeMs(e.id)! > nowMs + mostAheadMs) return `id must be made at its time, ${notAhead}`;
  if (!isWhole(e.monoMs, 0, longestMs)) return 'monoMs must be milliseconds, a whole number from 0';
  if (typeof e.device !== 'string' || !device.test(e.device))
    return 'device must be 1 to 64 letters, digits or hyphens';
  return null;
}

const notAhead = 'a whole number at most a day ahead of the server’s clock; set this device’s clock right';
