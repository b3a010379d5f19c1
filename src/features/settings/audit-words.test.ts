import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { inWords, said } from './audit-words';

/** Everything the server names when it does something, read from its own text. */
const named = ['src/server', 'src/app'].flatMap((folder) =>
  (readdirSync(folder, { recursive: true }) as string[])
    .filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'))
    .flatMap((file) => {
      const text = readFileSync(path.join(folder, file), 'utf8');
      return [
        ...text.matchAll(
          /\bact\(\s*'(?:write|rule|rule-anew|see|take-away)',\s*(?:\w+ \? )?'([\w.-]+)'(?: : '([\w.-]+)')?/g,
        ),
        ...text.matchAll(/\b(?:sayTaken|doing|said)\(context, (?:[\w.?' ]+, )?'([\w.-]+)'/g),
        ...text.matchAll(/^ +'([a-z]+\.[a-z]+)',\n +\);$/gm),
      ].flatMap((found) => found.slice(1).filter(Boolean));
    }),
);

test('whatever is done has words an owner can read, and no words are for nothing', () => {
  // What only reads writes nothing down.
  const reading = new Set(['session.read', 'copy.read', 'audit.read', 'vow.look', 'book.may-take']);
  const done = new Set(named.filter((one) => !reading.has(one)));
  expect(done.size).toBeGreaterThan(40);
  expect([...done].filter((one) => inWords(one) === one)).toEqual([]);
  expect(said.filter((one) => !done.has(one))).toEqual([]);
});
