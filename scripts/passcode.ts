import { createInterface } from 'node:readline';
import { Writable } from 'node:stream';
import { coachNamed, forgetAllTries } from '@/data/coaches';
import { database } from '@/data/open-book';
import { write } from '@/data/write';
import { sessionsCoach } from '../src/server/base/actor';
import { contextIn } from '../src/server/base/context';
import { addCoach, changePasscode, giveRole } from '../src/server/access/coaches';

/**
 * Asks for a name and a passcode, and makes that coach an owner with it: a new one, or one there is. Whoever can type
 * this can read the book's file anyway. Lines come from the keyboard (the passcode is not shown), or from a pipe.
 */
const hidden = { now: false };
const output = new Writable({
  write(chunk: Buffer, _encoding, callback) {
    if (!hidden.now) process.stdout.write(chunk);
    callback();
  },
});
const lines = createInterface({ input: process.stdin, output, terminal: process.stdin.isTTY === true });
const reading = lines[Symbol.asyncIterator]();

async function ask(question: string, secret = false): Promise<string> {
  // Through a pipe nobody reads the question.
  if (process.stdin.isTTY) process.stdout.write(question);
  hidden.now = secret;
  const { value = '' } = (await reading.next()) as { value?: string };
  hidden.now = false;
  if (secret && process.stdin.isTTY) process.stdout.write('\n');
  return value.trim();
}

const context = { ...(await contextIn()), actor: sessionsCoach };
const name = await ask('Name: ');
const passcode = await ask('Passcode (not shown): ', true);
const known = await coachNamed(context.db, name);
const outcome = known
  ? await changePasscode(context, known.id, { passcode }, { address: '' })
  : await addCoach(context, { name, passcode, role: 'owner' });
if (!outcome.ok) {
  console.error(outcome.problems.map(({ message }) => message).join('\n'));
  process.exit(1);
}
if (known) await giveRole(context, known.id, 'owner');
// Whoever was kept out by somebody's wrong tries comes in again.
await write(context.db, forgetAllTries);
console.log(`${name} is an owner, and signs in with that passcode.`);
(await database()).$client.close();
process.exit(0);
