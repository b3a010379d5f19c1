import { sql } from 'drizzle-orm';
import { trouble } from '@/data/trouble';
import { keepTheLogClean } from './safe-log';
import { scratch } from '../testing/scratch';

const secret = 'Zanzibar';
const printed: string[] = [];
const target = Object.fromEntries(
  ['error', 'warn', 'log', 'info', 'debug', 'trace'].map((name) => [
    name,
    (...things: unknown[]) => void printed.push(things.map(String).join(' ')),
  ]),
) as unknown as Console;
keepTheLogClean(target);
beforeEach(() => void (printed.length = 0));

const faultOf = async (work: () => unknown): Promise<unknown> => {
  try {
    await work();
  } catch (error) {
    return error;
  }
  throw new Error('Nothing went wrong.');
};

const faults: Readonly<Record<string, () => unknown>> = {
  'a query of a table that is not there': async () => {
    const { context } = await scratch();
    await context.db.all(sql`select * from nowhere where name = ${secret}`);
  },
  'a value the database does not take': async () => {
    const { context } = await scratch();
    await context.db.run(sql`insert into player (id, name) values (${'p'}, ${secret})`);
  },
  'a file that is not there': () => {
    throw Object.assign(new Error("ENOENT: no such file, open '/srv/book.db'"), { code: 'ENOENT' });
  },
  'text that is no JSON': () => JSON.parse(`{ "name": ${secret} }`) as unknown,
  'a text that is no address': () => new URL(`${secret} of the north`),
  'a property on a text': () => {
    'use strict';
    (secret as unknown as { age: number }).age = 5;
  },
  'a number of a text': () => BigInt(secret),
  'something thrown with words in it': () => {
    throw new Error(`No plan for ${secret}.`);
  },
  'something that is no error': () => {
    // Libraries do.
    throw { message: `Bad ${secret}`, stack: `Error: Bad ${secret}\n    at here (file.js:1:1)` } as unknown;
  },
};

test.each(Object.entries(faults))('%s', async (_, work) => {
  const fault = await faultOf(work);
  // As we print it, as the framework does, and as text that was made of it.
  target.error('POST /x (request a):', fault);
  target.warn(fault);
  target.log('⨯', fault);
  expect(printed).toHaveLength(3);
  expect(printed.join('\n')).not.toContain(secret);
  // It still says where it was.
  expect(printed[0]).toContain('POST /x (request a):');
  expect(printed[0]).toMatch(/\n\s+at /);
});

test('what is wrong with the database or the disk is said in its own words, and a wrapped query that is text already is cut', async () => {
  target.error(trouble('full'));
  target.error(
    Object.assign(new Error('SQLITE_CONSTRAINT: NOT NULL constraint failed: player.sport'), {
      code: 'SQLITE_CONSTRAINT',
    }),
  );
  const fault = (await faultOf(faults['a query of a table that is not there']!)) as Error;
  target.error(`Error: ${fault.message}`);
  expect(printed[0]).toContain('The disk is full');
  expect(printed[1]).toContain('player.sport');
  expect(printed[2]).toBe('Error: A query failed.');
});
