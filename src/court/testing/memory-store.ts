import { nameless, type EventStore, type HeldBack, type KeptEvent } from '../held-back';

/** For tests and benches: a device's store in memory, which outlives the pages that use it. */
export function memoryStore() {
  const waiting = new Map<string, KeptEvent>();
  const settled = new Map<string, KeptEvent>();
  const heldBack = new Map<string, HeldBack>();
  const state = { fails: false };
  const sound = () => {
    if (state.fails) throw new Error('The store is full or closed.');
  };
  const store: EventStore = {
    waiting: async () => {
      sound();
      return [...waiting.values()];
    },
    put: async (event, where) => {
      sound();
      waiting.set(event.id, { event, where });
    },
    settle: async (events) =>
      events.forEach((event) => {
        const where = (waiting.get(event.id) ?? settled.get(event.id))?.where ?? null;
        waiting.delete(event.id);
        settled.set(event.id, { event, where });
      }),
    settled: async (blockIds, sessionId) =>
      [...settled.values()].filter(
        ({ event, where }) => blockIds.includes(event.blockId) || where?.sessionId === sessionId,
      ),
    holdBack: async (events) =>
      events.forEach((one) => {
        waiting.delete(one.event.id);
        settled.delete(one.event.id);
        heldBack.set(one.event.id, one);
      }),
    heldBack: async () => [...heldBack.values()],
    forget: async (ids) => {
      for (const map of [waiting, settled, heldBack]) for (const id of ids) map.delete(id);
    },
    forgetSafe: async () => {
      settled.clear();
      for (const map of [waiting, heldBack] as Map<string, KeptEvent>[])
        for (const [id, one] of map) map.set(id, { ...one, where: one.where && nameless(one.where) });
    },
  };
  return { store, waiting, settled, heldBack, state };
}
