import { inspect } from 'node:util';
import { DatabaseTrouble } from '@/data/trouble';

/*
 * What this process prints is read by whoever runs the computer, and kept. Nothing that people wrote may stand in it: no
 * name, no note, no word that was looked for. So everything printed passes here: ours, the framework's, a library's.
 */

/** Codes of the database and of the system: what such an error says is made of tables, columns and files. */
const speaks = (error: Error): boolean => {
  const { code } = error as { code?: unknown };
  return (
    error instanceof DatabaseTrouble ||
    (typeof code === 'string' && /^(?:SQLITE_[A-Z_]+|E[A-Z]+)$/.test(code))
  );
};

/** An error as text: what kind it is and where it came from. Its words only where they cannot be somebody's. */
export function faultInWords(error: Error): string {
  // A failed query says in its message what was asked, with all that was asked for: what lies under it is enough.
  const own = 'params' in error && error.cause instanceof Error ? error.cause : error;
  const frames = (own.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  const { code, digest } = own as { code?: unknown; digest?: unknown };
  const said = speaks(own)
    ? `: ${own.message.split('\n')[0]}`
    : typeof code === 'string'
      ? ` (${code.slice(0, 60)})`
      : '';
  const kept = typeof digest === 'string' && /^\d{1,12}$/.test(digest) ? `, digest ${digest}` : '';
  return [`${own.name}${said}${kept}`, ...frames].join('\n');
}

/** A text that was made of an error before it came here. */
const textWithout = (text: string): string =>
  text.includes('Failed query:') ? `${text.slice(0, text.indexOf('Failed query:'))}A query failed.` : text;

/** What may be printed of a thing. */
export function printable(thing: unknown): unknown {
  if (thing instanceof Error) return faultInWords(thing);
  if (typeof thing === 'string') return textWithout(thing);
  if (typeof thing !== 'object' || thing === null) return thing;
  // An error of another realm, or one that was wrapped: its shape tells.
  if ('stack' in thing && 'message' in thing) return faultInWords(Object.assign(new Error(), thing));
  return textWithout(inspect(thing, { depth: 0 }));
}

const methods = ['error', 'warn', 'log', 'info', 'debug', 'trace'] as const;

/** From now on whatever is printed in this process is {@link printable}. */
export function keepTheLogClean(target: Pick<Console, (typeof methods)[number]> = console): void {
  for (const method of methods) {
    const print = target[method].bind(target) as (...things: unknown[]) => void;
    target[method] = (...things: unknown[]) => print(...things.map(printable));
  }
}
