import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import satisfies from 'spdx-satisfies';

/** Licences that let a club use, change and pass on the application without conditions on its own work. */
const permissive = [
  '0BSD',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'BlueOak-1.0.0',
  // Tables of browser versions: data, with the author named.
  'CC-BY-4.0',
  'CC0-1.0',
  'ISC',
  'MIT',
  // The two typefaces.
  'OFL-1.1',
  'Unlicense',
  'Zlib',
];

interface Locked {
  license?: string;
  dev?: boolean;
  link?: boolean;
  resolved?: string;
}

const root = path.join(import.meta.dirname, '..');
const lock = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8')) as {
  packages: Record<string, Locked>;
};
const production = Object.entries(lock.packages).filter(([where, { dev }]) => where !== '' && !dev);

/** The MIT licence by its own words, where a package brings only the text of it. */
const mitText =
  /Permission is hereby granted, free of charge, to any person obtaining a copy[\s\S]*WITHOUT WARRANTY/;

/** What the lock file says; else the package's own package.json, or the text of its licence. */
function licenceOf(where: string, locked: Locked) {
  if (locked.license !== undefined) return locked.license;
  const folder = path.join(root, locked.link ? (locked.resolved ?? where) : where);
  const own = path.join(folder, 'package.json');
  if (!existsSync(own)) return undefined;
  const said = (JSON.parse(readFileSync(own, 'utf8')) as { license?: string }).license;
  const text = path.join(folder, 'LICENSE');
  if (said !== undefined || !existsSync(text)) return said;
  return mitText.test(readFileSync(text, 'utf8')) ? 'MIT' : undefined;
}

const isPermissive = (licence: string | undefined) => licence !== undefined && satisfies(licence, permissive);

it('ships only what comes under a permissive licence', () => {
  expect(production.length).toBeGreaterThan(50);
  const others = production
    .map(([where, locked]) => [where, licenceOf(where, locked)] as const)
    .filter(([, licence]) => !isPermissive(licence));
  expect(others).toEqual([]);
});

it('would notice one that is not', () => {
  expect(isPermissive('LGPL-3.0-or-later')).toBe(false);
  expect(isPermissive('Apache-2.0 AND LGPL-3.0-or-later')).toBe(false);
  expect(isPermissive('(MIT OR GPL-3.0-only)')).toBe(true);
  expect(isPermissive(undefined)).toBe(false);
});

it('ships no native image library', () => {
  const names = production.map(([where]) => where.split('node_modules/').at(-1)!);
  expect(names.filter((name) => name.startsWith('@img/'))).toEqual([]);
  expect(createRequire(path.join(root, 'node_modules/next/')).resolve('sharp')).toBe(
    path.join(root, 'stand-ins/sharp/index.js'),
  );
});

test('the lock names no address: after an npm install, take each `funding` out of it again', () => {
  const text = readFileSync(path.join(root, 'package-lock.json'), 'utf8');
  expect(text.match(/https?:\/\/[^"]+/g)).toBeNull();
  // What is kept in the repository is named by its folder.
  const kept = Object.values(lock.packages).flatMap(({ resolved, link }) =>
    resolved && !link ? [resolved] : [],
  );
  expect(kept).toEqual([]);
});
