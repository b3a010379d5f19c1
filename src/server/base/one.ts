const key = Symbol.for('vowstep.one');
const shared = globalThis as unknown as Record<symbol, Map<string, unknown> | undefined>;

/**
 * A thing of which there is one in the whole process. Routes, pages and actions are bundled separately, and each bundle has
 * its own copy of a module: what they share hangs on the global object. (In a map, so that nobody who looks through that
 * object's properties walks into it.)
 */
export function oneInProcess<T>(name: string, make: () => T): T {
  const all = (shared[key] ??= new Map());
  if (!all.has(name)) all.set(name, make());
  return all.get(name) as T;
}
