/**
 * A thing of which there is one in the whole process. Routes, pages and actions are bundled separately, and each bundle has
 * its own copy of a module: what they share hangs on the global object.
 */
export function oneInProcess<T>(name: string, make: () => T): T {
  const all = globalThis as unknown as Record<symbol, T | undefined>;
  return (all[Symbol.for(`vowstep.${name}`)] ??= make());
}
