'use client';

import { useEffect, useState, useSyncExternalStore } from 'react';
import { loadPlanAction, savePlanAction } from '@/server/actions';
import type { SessionPlanView } from '@/server/views/session-plan';
import { ask } from '@/ui/ask';
import { PlanStore, type PlanState } from './plan-store';

/** The newest of a run of calls, a little later. */
function latest(): (work: () => void, ms: number) => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  return (work, ms) => {
    clearTimeout(timer);
    timer = setTimeout(work, ms);
  };
}

export function usePlan(view: SessionPlanView): { state: PlanState; store: PlanStore } {
  const [store] = useState(() => {
    const { id, title, day, startTime, bookedMin, coach, placeName, placeId, airC, revision } = view.session;
    const fields = { title, day, startTime, bookedMin, coach, placeName, placeId, airC, revision };
    return new PlanStore(
      { ...fields, playerIds: [...view.playerIds], blocks: [...view.blocks] },
      {
        save: (plan) => ask(() => savePlanAction(id, plan)),
        load: () => ask(() => loadPlanAction(id)),
        later: latest(),
      },
    );
  });
  const state = useSyncExternalStore(store.subscribe, store.state, store.state);

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (store.state().saving !== 'saved') event.preventDefault();
    };
    const keys = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      if (event.shiftKey) store.redo();
      else store.undo();
    };
    window.addEventListener('beforeunload', warn);
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('beforeunload', warn);
      window.removeEventListener('keydown', keys);
      // Leaving for another page of ours: what is waiting goes now.
      void store.flush();
    };
  }, [store]);
  return { state, store };
}
