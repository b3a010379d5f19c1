import { bodyLimitOf, bodyLimits, sizeInWords } from './body-limits';
import { Room } from './room';

/*
 * What is decided before a byte of a body is read: the framework keeps in memory what it is sent before any door of ours
 * is asked. scripts/server.mjs asks here, with what the head of a request says.
 */

/** The head of a request that brings something. */
export interface Head {
  readonly method: string;
  /** Without what stands after a `?`. */
  readonly path: string;
  /** What it says its length is, bytes; null where it says none. */
  readonly length: number | null;
  /** Whether its browser (or its link) is one that may come in; asked only where it matters. */
  readonly isKnown: () => Promise<boolean>;
}

export type Answer =
  /** It may be read; the room it takes is given back when it is answered. */
  | { readonly leave: () => void }
  | { readonly status: number; readonly field: string; readonly message: string; readonly retryS?: number };

/** In all at most 64 MB are on their way at once. A whole book has room of its own, so that it keeps no count waiting. */
const rooms = {
  book: new Room(bodyLimits.book),
  known: new Room(12 * 2 ** 20),
  small: new Room(4 * 2 ** 20),
} as const;

/** Bytes of bodies that are on their way just now. */
export const bytesUnderWay = (): number => Object.values(rooms).reduce((sum, { taken }) => sum + taken, 0);

/** Lets a body in, or says why not. */
export async function gate({ method, path, length, isKnown }: Head): Promise<Answer> {
  if (method === 'GET' || method === 'HEAD' || method === 'OPTIONS')
    return { status: 400, field: 'body', message: 'A request that only reads brings nothing along.' };
  if (length === null || !Number.isSafeInteger(length) || length < 0)
    return { status: 411, field: 'content-length', message: 'This has to say how long it is.' };
  const limit = bodyLimitOf(path);
  if (length > limit) {
    const message = `body is over ${sizeInWords(limit)}: send it in smaller ${limit < 1e6 ? 'batches' : 'parts'}. Nothing of it was stored.`;
    return { status: 413, field: 'body', message };
  }
  const small = length <= bodyLimits.stranger;
  // What is small costs less to take than to ask about, while there is room.
  if ((!small || rooms.small.crowded) && !(await isKnown()))
    return {
      status: 401,
      field: 'sign-in',
      message: 'You are signed out: sign in again in another window, then do this once more.',
    };
  const room = small ? rooms.small : length > bodyLimits.drills ? rooms.book : rooms.known;
  const leave = room.take(length);
  return leave
    ? { leave }
    : {
        status: 503,
        field: 'body',
        message: 'Much is being sent just now: try again in a moment. Counts stay on the device.',
        retryS: 5,
      };
}
