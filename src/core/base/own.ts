/** What a record holds under a key from outside: nothing for a name every object inherits (`constructor`, `__proto__`). */
export const ownOf = <T>(record: Readonly<Record<string, T>>, key: unknown): T | undefined =>
  typeof key === 'string' && Object.hasOwn(record, key) ? record[key] : undefined;
