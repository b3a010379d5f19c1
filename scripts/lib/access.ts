import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { deeds, type Deed } from '../../src/server/access/may';

/*
 * Who may come in where, read from the doors' own text: each page, route and action there is. Printed into
 * docs/security.md by scripts/access.ts, and held to it by a test; doors.test.ts knocks at every one of them.
 */

/** Nobody in particular, whoever has the link, or somebody who may do a deed. */
export type Access = 'anybody' | 'link' | Deed;
export interface Door {
  readonly kind: 'page' | 'route' | 'action';
  readonly name: string;
  /** One; several where what is asked for decides. */
  readonly access: readonly Access[];
}

const filesIn = (folder: string, name: RegExp): string[] =>
  (readdirSync(folder, { recursive: true }) as string[])
    .filter((file) => name.test(file))
    .sort()
    .map((file) => path.join(folder, file));

/** The address of a page or route, from its file. */
const addressOf = (file: string): string =>
  `/${path.dirname(path.relative('src/app', file)).replace(/\(desk\)\/?/, '')}`.replace(/\/\.?$/, '') || '/';

/** The text of each function a file exports, by its name. */
function exportsOf(text: string): [string, string][] {
  const found = [...text.matchAll(/^export (?:default )?async function (\w+)/gm)];
  return found.map(({ 1: name, index }, at) => [name!, text.slice(index, found[at + 1]?.index)]);
}

function accessIn(text: string): Access[] {
  const asked = /(?:throughRoute|pageContext|act)\(\s*([^,)]*)/.exec(text);
  if (asked) {
    const named = deeds.filter((deed) => asked[1]!.includes(`'${deed}'`));
    return named.length > 0 ? named : ['see'];
  }
  if (/throughLink|linkContext/.test(text) && !/signInCoach/.test(text)) return ['link'];
  return /\b(?:look|lookAt)\(/.test(text) ? ['see'] : ['anybody'];
}

export function allDoors(): Door[] {
  const read = (file: string) => readFileSync(file, 'utf8');
  const pages = filesIn('src/app', /(^|\/)page\.tsx$/).map<Door>((file) => {
    const own = accessIn(read(file));
    // The desk's own layout asks before any page of it does.
    const access: Access[] = own[0] === 'anybody' && file.includes('(desk)') ? ['see'] : own;
    return { kind: 'page', name: addressOf(file), access };
  });
  const routes = filesIn('src/app', /(^|\/)route\.ts$/).flatMap((file) =>
    exportsOf(read(file))
      .filter(([name]) => /^(?:GET|POST|PUT|PATCH|DELETE)$/.test(name))
      .map<Door>(([method, text]) => ({
        kind: 'route',
        name: `${method} ${addressOf(file)}`,
        access: accessIn(text),
      })),
  );
  const actions = filesIn('src/server/actions', /^(?!changed|ids)[\w-]+\.ts$/).flatMap((file) =>
    exportsOf(read(file)).map<Door>(([name, text]) => ({ kind: 'action', name, access: accessIn(text) })),
  );
  return [...pages, ...routes, ...actions];
}

const yes = (may: boolean, word = 'yes') => (may ? word : '');

/** The table, a line for each door. */
export function accessTable(doors: readonly Door[]): string {
  const rows = doors.map(({ kind, name, access }) => {
    const has = (...some: Access[]) => some.some((one) => access.includes(one));
    const anybody = has('anybody');
    const link = has('link');
    return [
      kind,
      `\`${name}\``,
      yes(anybody),
      yes(link || anybody, link ? 'what it opens' : 'yes'),
      yes(anybody || has('see', 'write', 'take-away')),
      yes(
        !link,
        has('rule-anew') ? (access.length > 1 ? 'yes; all of it: typed anew' : 'typed anew') : 'yes',
      ),
    ];
  });
  const head = ['', 'door', 'a stranger', 'a link', 'a coach', 'an owner'];
  return [head, head.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');
}

export const [tableBegins, tableEnds] = ['<!-- doors: npm run -s access -->', '<!-- /doors -->'];

/** A text with the table in its place. */
export function withTable(text: string, table: string): string {
  const [from, to] = [text.indexOf(tableBegins), text.indexOf(tableEnds)];
  if (from === -1 || to < from) throw new Error('docs/security.md has no place for the table of doors.');
  return `${text.slice(0, from + tableBegins.length)}\n\n${table}\n\n${text.slice(to)}`;
}
