import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { circles, type Imports } from './lib/circles';

const root = path.resolve('src');

/** Every file of the source with the files it imports, types too: what is only imported as a type ties rooms as well. */
function importsOfSource(): Imports {
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file))
    .map((file) => path.join(root, file));
  const known = new Set(files);
  const fileOf = (from: string, asked: string) => {
    if (!/^(@\/|\.)/.test(asked)) return [];
    const base = asked.startsWith('@/')
      ? path.join(root, asked.slice(2))
      : path.resolve(path.dirname(from), asked);
    return ['', '.ts', '.tsx', '/index.ts'].map((end) => base + end).filter((file) => known.has(file));
  };
  return new Map(
    files.map((file) => {
      const asked = ts.preProcessFile(readFileSync(file, 'utf8')).importedFiles;
      return [file, asked.flatMap(({ fileName }) => fileOf(file, fileName))];
    }),
  );
}

test('no files import each other in a circle, not even as types', () => {
  const imports = importsOfSource();
  expect([...imports.values()].flat().length).toBeGreaterThan(imports.size);
  const found = circles(imports).map((ring) => ring.map((file) => path.relative(root, file)));
  expect(found).toEqual([]);
});

/** The folder of a topic in its layer: "core/plan"; what lies in the layer itself is one more. */
const folderOf = (file: string): string => {
  const parts = path.relative(root, file).split(path.sep);
  return parts.length <= 2 ? parts[0]! : parts.slice(0, 2).join('/');
};

test('no folders of topics import each other in a circle, not even as types', () => {
  const folders = new Map<string, Set<string>>();
  for (const [file, asked] of importsOfSource()) {
    // Tests look from outside.
    if (/\.test\.tsx?$|\/testing\//.test(file)) continue;
    const from = folderOf(file);
    const to = folders.get(from) ?? new Set<string>();
    folders.set(from, to);
    for (const one of asked) if (folderOf(one) !== from) to.add(folderOf(one));
  }
  expect(folders.size).toBeGreaterThan(60);
  expect(circles(new Map([...folders].map(([from, to]) => [from, [...to]])))).toEqual([]);
});

test('a circle is found, with what hangs on it left out', () => {
  const imports: Imports = new Map([
    ['a', ['b', 'd']],
    ['b', ['c']],
    ['c', ['a']],
    ['d', ['e']],
    ['e', []],
    ['f', ['a']],
  ]);
  expect(circles(imports)).toEqual([['a', 'b', 'c']]);
});
