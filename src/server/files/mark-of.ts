import { createHash } from 'node:crypto';
import type { Entry } from '@/formats/bundle/things';

/** What an entry says, in a few letters: another mark says that it was changed. */
export const markOf = (entry: Entry): string =>
  createHash('sha256').update(JSON.stringify(entry)).digest('base64url').slice(0, 16);
