import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const design = readdirSync('docs/design').map((name) => path.join('docs/design', name));
const documents = ['ARCHITECTURE.md', 'CONTRIBUTING.md', ...design];
const textOf = new Map(documents.map((file) => [file, readFileSync(file, 'utf8')]));

/** What the build makes: it is named, and not there in a fresh clone. */
const built: ReadonlySet<string> = new Set(['public/sw.js']);

/** Files and folders a document names in its code marks: with a slash, and an ending of ours or a folder of `src`. */
const pathsIn = (text: string): string[] =>
  [...text.matchAll(/`([\w.@()[\]/-]+)`/g)]
    .map(([, named]) => named!)
    .filter(
      (named) =>
        /\/.*\.(?:ts|tsx|mjs|js|json|sql|md)$/.test(named) ||
        /^(?:src|core|session|server|features|drills|data)\/[\w/-]+$/.test(named),
    );

test.each(documents)('%s names files that are there', (file) => {
  const gone = pathsIn(textOf.get(file)!).filter(
    (named) =>
      !built.has(named) &&
      !['', 'src/'].some((root) => existsSync(root + named) || existsSync(`${root}${named}.ts`)),
  );
  expect(gone).toEqual([]);
});

test('the names of files are looked for in all of them', () => {
  expect([...textOf.values()].flatMap(pathsIn).length).toBeGreaterThan(100);
});

test('ARCHITECTURE.md can be read in one sitting, and leads to every page on a topic', () => {
  const text = textOf.get('ARCHITECTURE.md')!;
  expect(text.split(/\s+/).length).toBeLessThanOrEqual(2000);
  for (const page of design) expect(text).toContain(`(${page})`);
});
