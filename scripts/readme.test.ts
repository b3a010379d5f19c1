import { existsSync, readFileSync } from 'node:fs';
import { catalogue } from '../src/drills';

const readme = readFileSync('README.md', 'utf8');

test('the README counts the drills and steps that are there', () => {
  const steps = catalogue.flatMap((drill) => drill.steps).length;
  expect(readme).toContain(`${catalogue.length} drills and ${steps} steps`);
  const drills = [...readme.matchAll(/(\d+) drills/g)].map(([, n]) => Number(n));
  expect(new Set(drills)).toEqual(new Set([catalogue.length]));
});

test('every file and picture the README links to is there', () => {
  const links = [...readme.matchAll(/\]\((?!https?:)([^)#]+)/g)].map(([, link]) => link!);
  expect(links.length).toBeGreaterThan(10);
  expect(links.filter((link) => !existsSync(link))).toEqual([]);
});

test('every command the README names is there', () => {
  const { scripts } = JSON.parse(readFileSync('package.json', 'utf8')) as { scripts: Record<string, string> };
  const named = [...readme.matchAll(/`npm run (?:-s )?([\w:]+)/g)].map(([, name]) => name!);
  expect(named.length).toBeGreaterThan(3);
  expect(named.filter((name) => !(name in scripts))).toEqual([]);
});
