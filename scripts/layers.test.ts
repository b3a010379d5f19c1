import { execFileSync } from 'node:child_process';

/*
 * The import directions of ARCHITECTURE.md are only worth something if breaking them fails. Each line here is
 * linted as if it stood in that folder; all in one run of the linter, in a process of its own.
 */
const path = 'import-x/no-restricted-paths';

const refused: [file: string, code: string, rule: string][] = [
  ['src/core/probe.ts', `export { plainBook } from '@/drills';`, path],
  ['src/core/probe.ts', `export { default } from 'react';`, 'no-restricted-imports'],
  ['src/core/probe.ts', `export { readFile } from 'node:fs';`, 'no-restricted-imports'],
  ['src/core/probe.ts', `export const x = Math.random();`, 'no-restricted-properties'],
  ['src/core/probe.ts', `export const x = Date.now();`, 'no-restricted-properties'],
  ['src/core/probe.ts', `export const x = new Date();`, 'no-restricted-syntax'],
  ['src/core/probe.ts', `export const x = (word: string) => new RegExp(word);`, 'no-restricted-syntax'],
  ['src/server/probe.ts', `export const x = (word: string) => RegExp(word);`, 'no-restricted-syntax'],
  ['src/schemas/probe.ts', `export const x = /^(a+)+$/;`, 'regexp/no-super-linear-backtracking'],
  ['src/features/probe.tsx', `export const x = /a+$/;`, 'regexp/no-super-linear-move'],
  ['src/core/probe.ts', `export const x = window;`, 'no-restricted-globals'],
  ['src/drills/probe.ts', `export { getPlayer } from '@/data/squad';`, path],
  ['src/drills/probe.ts', `export { workOf } from '@/session/base/plan';`, path],
  ['src/session/probe.ts', `export { getPlayer } from '@/data/squad';`, path],
  ['src/session/probe.ts', `export { PlanStore } from '@/features/plan/plan-store';`, path],
  ['src/session/probe.ts', `export const x = Date.now();`, 'no-restricted-properties'],
  ['src/data/probe.ts', `export { plainBook } from '@/drills';`, path],
  ['src/data/probe.ts', `export { workOf } from '@/session/base/plan';`, path],
  ['src/data/probe.ts', `export { savePlan } from '@/server/plan/sessions';`, path],
  ['src/server/probe.ts', `export { Button } from '@/ui/button';`, path],
  ['src/ui/probe.ts', `export { Squad } from '@/features/players/squad';`, path],
  ['src/ui/probe.ts', `export { savePlan } from '@/server/plan/sessions';`, path],
  ['src/features/probe.ts', `export { getPlayer } from '@/data/squad';`, path],
  ['src/features/probe.ts', `export { savePlan } from '@/server/plan/sessions';`, path],
  ['src/features/probe.tsx', `export { default } from 'next/link';`, 'no-restricted-imports'],
  ['src/app/probe.ts', `export { getPlayer } from '@/data/squad';`, path],
  ['src/demo/probe.ts', `export { getPlayer } from '@/data/squad';`, path],
  ['src/court/probe.ts', `export { Button } from '@/ui/button';`, path],
  ['src/court/probe.ts', `export { savePlan } from '@/server/plan/sessions';`, path],
  ['src/schemas/probe.ts', `export { savePlan } from '@/server/plan/sessions';`, path],
  ['src/workers/probe.ts', `export { plainBook } from '@/drills';`, path],
  ['src/server/plan/probe.ts', `export { squadView } from '@/server/views/squad';`, path],
  ['src/server/court/probe.ts', `export { squadView } from '@/server/views/squad';`, path],
  ['src/server/vows/probe.ts', `export { squadView } from '@/server/views/squad';`, path],
  ['src/server/readers/probe.ts', `export { decide } from '@/server/plan/decisions';`, path],
  ['src/server/probe.ts', `export { RunLog } from '@/court/run-log';`, path],
];
const fine: [file: string, code: string][] = [
  ['src/data/probe.ts', `export { check } from '@/schemas/check';`],
  ['src/drills/probe.ts', `export { tally } from '@/core/counting/tally';`],
  ['src/session/probe.ts', `export { plainBook } from '@/drills';`],
  ['src/workers/probe.ts', `export { workOf } from '@/session/base/plan';`],
  ['src/server/probe.ts', `export { getPlayer } from '@/data/squad';`],
  ['src/features/probe.ts', `export { savePlanAction } from '@/server/actions';`],
  ['src/features/probe.ts', `export { sessionSchema } from '@/schemas/session';`],
  ['src/features/probe.ts', `export { Button } from '@/ui/button';`],
  ['src/features/probe.tsx', `export { Link } from '@/ui/link';`],
  ['src/app/probe.ts', `export { squadView } from '@/server/views/squad';`],
];

const script = `
  import { ESLint } from 'eslint';
  const eslint = new ESLint();
  const answers = [];
  for (const [filePath, code] of JSON.parse(process.argv[1])) {
    const [result] = await eslint.lintText(code + '\\n', { filePath });
    answers.push(result.messages.map((message) => message.ruleId ?? message.message));
  }
  console.log(JSON.stringify(answers));
`;

let answers: string[][];
beforeAll(() => {
  const asked = JSON.stringify([...refused, ...fine].map(([file, code]) => [file, code]));
  answers = JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', script, asked], { encoding: 'utf8' }),
  ) as string[][];
}, 60_000);

test.each(refused.map((one, n) => [n, ...one] as const))('%d %s: %s is refused', (n, _file, _code, rule) => {
  expect(answers[n]).toContain(rule);
});

test.each(fine.map((one, n) => [refused.length + n, ...one] as const))('%d %s: %s is fine', (n) => {
  expect(answers[n]).toEqual([]);
});
