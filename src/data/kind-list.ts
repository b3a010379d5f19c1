import { sql, type SQL } from 'drizzle-orm';
import { kindsWhere, type EventRule } from '@/core/counting/event';

/** The kinds of events whose rule says yes to a question, for `kind in (...)`: the names are our own, and bound as values. */
export const kindList = (isOne: (rule: EventRule) => boolean): SQL =>
  sql.join(
    [...kindsWhere(isOne)].map((kind) => sql`${kind}`),
    sql`, `,
  );
