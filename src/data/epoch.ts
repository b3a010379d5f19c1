import { randomUUID } from 'node:crypto';
import type { Executor } from './database';
import { factOf, giveFact } from './facts';

/*
 * The epoch of a database is made up once and goes wherever the file goes. A restore, and a fresh copy of the demo, take
 * it off, so that the next start makes up another one: devices then look again at what is here.
 */

export const giveEpoch = (db: Executor): Promise<void> => giveFact(db, 'epoch', randomUUID());

export const epochOf = async (db: Executor): Promise<string> => (await factOf(db, 'epoch')) ?? '';
