import type { Client } from '@libsql/client';
import type { LibSQLDatabase } from 'drizzle-orm/libsql';
import type * as schema from './schema';

/** A file as it was when it was opened. */
export interface OpenedFile {
  readonly path: string;
  readonly identity: string | null;
}

export interface Database extends LibSQLDatabase<typeof schema> {
  readonly $client: Client;
  /**
   * The side of it that writes: connections of its own, because those that met a lock are given up, and nothing else may
   * be under way on them. Left out where there is only one side.
   */
  readonly $writer?: Database;
  /** To be called after every write: what was read before is asked again. Left out where no answers are kept. */
  readonly $written?: () => void;
  /** The same sign until anybody writes (see data/reads); null where it cannot be told. */
  readonly $stands?: () => Promise<object | null>;
  /** A libSQL server without anything between: every call is a request. Left out for a file. */
  readonly $direct?: Client;
  /** The file it was opened on. It hangs on the database itself: Next gives each route modules of its own. */
  readonly $file?: OpenedFile;
}
/** A database or an open transaction on it. */
export type Executor = Pick<
  Database,
  'select' | 'selectDistinct' | 'insert' | 'update' | 'delete' | 'all' | 'run' | 'get'
>;
