/** Who imports whom, by name. */
export type Imports = ReadonlyMap<string, readonly string[]>;

/** The circles among imports (strongly connected components of more than one, Tarjan 1972), each in alphabetical order. */
export function circles(imports: Imports): string[][] {
  const order = new Map<string, number>();
  const lowest = new Map<string, number>();
  const open: string[] = [];
  const found: string[][] = [];
  const visit = (name: string): void => {
    order.set(name, order.size);
    lowest.set(name, order.get(name)!);
    open.push(name);
    for (const other of imports.get(name) ?? []) {
      if (!order.has(other)) visit(other);
      if (open.includes(other)) lowest.set(name, Math.min(lowest.get(name)!, lowest.get(other)!));
    }
    if (lowest.get(name) !== order.get(name)) return;
    const ring = open.splice(open.indexOf(name));
    if (ring.length > 1) found.push(ring.sort());
  };
  for (const name of imports.keys()) if (!order.has(name)) visit(name);
  return found;
}
