import { hmac } from '@noble/hashes/hmac.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { isFiniteNumber, isText } from '@/core/base/guards';
import { isUlid } from '@/core/counting/ulid-time';

/*
 * What a file without a server gives back: a short text that is sent by any messenger and pasted by the coach. It says
 * which file it is of, what was done, and carries a keyed signature (HMAC-SHA-256, FIPS 198-1), so that one that was cut,
 * changed or made up is refused. A file from a phone's downloads is no secure context: nothing of the browser's own
 * cryptography is used.
 */

/** One thing done at home: a whole attempt, a step chosen, or how it felt. */
export interface Reported {
  readonly id: string;
  readonly blockId: string;
  readonly kind: 'result' | 'done' | 'step' | 'note';
  readonly attempt: number;
  readonly value: number | null;
  readonly text: string | null;
  readonly atMs: number;
  /** How it was counted, where not by finger. */
  readonly origin: string | null;
}

const head = 'VOWSTEP1';
const kinds = ['result', 'done', 'step', 'note'] as const;
/** Letters a line of the text has, so that messengers leave it whole. */
const lineLength = 60;
/** 96 bits of the signature: nobody guesses that, and the text stays short. */
const signLetters = 24;
/** Longest text that is looked at. */
export const longestHomeText = 100_000;

/** The last is left out where there is none. */
type Row = readonly [string, string, number, number, number | null, string | null, number, string?];

const encode = (bytes: Uint8Array): string => {
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
};
const decode = (text: string): Uint8Array => {
  const plain = atob(text.replaceAll('-', '+').replaceAll('_', '/'));
  return Uint8Array.from(plain, (letter) => letter.charCodeAt(0));
};

const signOf = (keyHex: string, said: string): string =>
  bytesToHex(hmac(sha256, hexToBytes(keyHex), utf8ToBytes(said))).slice(0, signLetters);

/**
 * The text for what was done.
 * @param key 256 bits, hexadecimal
 */
export function writeHomeText(fileId: string, key: string, done: readonly Reported[]): string {
  const rows = done.map<Row>(({ id, blockId, kind, attempt, value, text, atMs, origin }) => [
    ...([id, blockId, kinds.indexOf(kind), attempt] as const),
    ...([value, text, atMs] as const),
    ...(origin === null ? ([] as const) : ([origin] as const)),
  ]);
  const said = `${fileId}.${encode(utf8ToBytes(JSON.stringify(rows)))}`;
  const whole = `${head}.${said}.${signOf(key, said)}`;
  const lines = [];
  for (let at = 0; at < whole.length; at += lineLength) lines.push(whole.slice(at, at + lineLength));
  return lines.join('\n');
}

/** A text taken apart, before anybody knows whether it is genuine. */
export interface HomeText {
  readonly fileId: string;
  readonly said: string;
  readonly sign: string;
}

/** Takes a pasted text apart: words of a messenger before and after it are passed over. */
export function openHomeText(pasted: string): Outcome<HomeText> {
  if (pasted.length > longestHomeText)
    return refused(
      'text',
      'This text is far longer than any from a vow: paste only the part that begins with VOWSTEP1.',
    );
  const from = pasted.indexOf(`${head}.`);
  if (from < 0)
    return refused('text', 'This is no text from a vow: paste the part that begins with VOWSTEP1.');
  const [, fileId, data, rest = ''] = pasted
    .slice(from)
    .replace(/[\s\u200b\u00ad]+/g, '')
    .split('.');
  const sign = /^[0-9a-f]*/.exec(rest)![0].slice(0, signLetters);
  if (!isUlid(fileId) || !data || sign.length < signLetters)
    return refused('text', 'This text is cut off: copy all of it, to the last line, and paste it again.');
  return done({ fileId, said: `${fileId}.${data}`, sign });
}

/** What a text says, where its signature is that of its file. */
export function readHomeText({ said, sign }: HomeText, key: string): Outcome<readonly Reported[]> {
  const changed = refused(
    'text',
    'This text was changed on its way, or a part of it is missing: ask for it once more.',
  );
  if (signOf(key, said) !== sign) return changed;
  let rows: unknown;
  try {
    rows = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(decode(said.split('.')[1]!)));
  } catch {
    return changed;
  }
  if (!Array.isArray(rows) || !rows.every(isRow)) return changed;
  return done(
    rows.map(([id, blockId, kind, attempt, value, text, atMs, origin = null]) => ({
      id,
      blockId,
      kind: kinds[kind]!,
      attempt,
      value,
      text,
      atMs,
      origin,
    })),
  );
}

const isRow = (row: unknown): row is Row => {
  if (!Array.isArray(row) || row.length < 7 || row.length > 8) return false;
  const [id, blockId, kind, attempt, value, text, atMs, origin] = row as unknown[];
  return (
    isUlid(id) &&
    isUlid(blockId) &&
    isFiniteNumber(kind) &&
    kinds[kind] !== undefined &&
    isFiniteNumber(attempt) &&
    (value === null || isFiniteNumber(value)) &&
    (text === null || isText(text)) &&
    isFiniteNumber(atMs) &&
    (origin === undefined || isText(origin))
  );
};
