/** What can be wrong with the database as a whole. */
export type TroubleKind =
  | 'locked'
  | 'read-only'
  | 'full'
  | 'damaged'
  | 'unreadable'
  | 'gone'
  | 'replaced'
  | 'newer'
  | 'trial'
  | 'folder'
  | 'strange'
  | 'away'
  | 'no-entry';

/** The database cannot be used as it is: one sentence says why, and the mend. */
export class DatabaseTrouble extends Error {
  constructor(
    readonly kind: TroubleKind,
    message: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
    this.name = 'DatabaseTrouble';
  }
}

const sentences: Readonly<Record<TroubleKind, string>> = {
  locked:
    'The database is locked by another program: close it there, then try again. Devices keep their counts.',
  'read-only':
    'The database cannot be written to: let this user write the file and its folder, then start again.',
  full: 'The disk is full, so nothing more can be stored: make room. Devices keep their counts and send them again by themselves.',
  damaged:
    'The database is damaged, or is no database: stop, and put a backup back with npm run restore FILE.',
  unreadable: 'The database cannot be opened or read: check the disk, and that its folder is there.',
  gone: 'The database file was deleted while Vow Step was running: stop, and put a backup back with npm run restore FILE.',
  replaced:
    'The database file was replaced while Vow Step was running: stop and start again, so that nothing goes into the old one.',
  folder: 'The database is a folder: name a file in VOWSTEP_DATABASE_URL, such as file:data/vowstep.db.',
  strange:
    'This database belongs to another program, and was left as it is: name another file in VOWSTEP_DATABASE_URL.',
  newer:
    'This database was kept by a newer Vow Step: start that version, or put back a backup of this one with npm run restore FILE.',
  trial:
    'This database was kept by a trial version from before the first release: export everything there, and import the file here into a new database.',
  away: 'The database server cannot be reached: Vow Step goes on by itself when it is back. Devices keep their counts.',
  'no-entry':
    'The database server does not let Vow Step in: set VOWSTEP_DATABASE_TOKEN to a token it takes, then start again.',
};

export const trouble = (kind: TroubleKind, cause?: unknown): DatabaseTrouble =>
  new DatabaseTrouble(kind, sentences[kind], { cause });

/** Base codes of SQLite that mean the database itself is in trouble. */
const kinds: Readonly<Record<string, TroubleKind>> = {
  SQLITE_BUSY: 'locked',
  SQLITE_LOCKED: 'locked',
  SQLITE_PROTOCOL: 'locked',
  SQLITE_READONLY: 'read-only',
  SQLITE_PERM: 'read-only',
  SQLITE_FULL: 'full',
  SQLITE_CORRUPT: 'damaged',
  SQLITE_NOTADB: 'damaged',
  SQLITE_FORMAT: 'damaged',
  SQLITE_CANTOPEN: 'unreadable',
  SQLITE_IOERR: 'unreadable',
  // What the client of a server says when the way there, or a stream on it, is lost.
  ECONNREFUSED: 'away',
  ECONNRESET: 'away',
  EPIPE: 'away',
  ETIMEDOUT: 'away',
  ENOTFOUND: 'away',
  EAI_AGAIN: 'away',
  UND_ERR_SOCKET: 'away',
  UND_ERR_CONNECT_TIMEOUT: 'away',
  UND_ERR_HEADERS_TIMEOUT: 'away',
  STREAM_EXPIRED: 'away',
  HRANA_WEBSOCKET_ERROR: 'away',
  HRANA_CLOSED_ERROR: 'away',
};

/** What a server answers by its number, where it is no answer of the database. */
const statuses: Readonly<Record<number, TroubleKind>> = {
  401: 'no-entry',
  403: 'no-entry',
  429: 'away',
  500: 'away',
  502: 'away',
  503: 'away',
  504: 'away',
};

/** The trouble behind an error, however often it was wrapped; null for one that is about something else. */
export function troubleOf(error: unknown): DatabaseTrouble | null {
  // Not every error is one of this realm's: the network's own are not, under a test runner.
  for (let at = error as Error | null | undefined; typeof at === 'object' && at; at = at.cause as Error) {
    if (at instanceof DatabaseTrouble) return at;
    const code = (at as { code?: unknown }).code;
    const kind = typeof code === 'string' && Object.hasOwn(kinds, code) ? kinds[code] : undefined;
    if (kind) return trouble(kind, error);
    const { status } = at as { status?: unknown };
    if (typeof status === 'number' && statuses[status]) return trouble(statuses[status], error);
  }
  return null;
}
