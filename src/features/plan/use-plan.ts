'use client';

import { useEffect, useState, useSyncExternalStore } from 'react';
import { ulid } from 'ulid';
import { loadPlanAction, savePlanAction } from '@/server/actions';
import type { SessionPlanView } from '@/server/views/session-plan';
import { ask } from '@/ui/ask';
import { dropDraft, keepDraft, readDraft } from '@/ui/drafts';
import { PlanStore, type PlanDraft, type PlanState } from './plan-store';

/** The newest of a run of calls, a little later. */
function latest(): (work: () => void, ms: number) => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  return (work, ms) => {
    clearTimeout(timer);
    timer = setTimeout(work, ms);
  };
}

export interface PlanInHand {
  readonly state: PlanState;
  readonly store: PlanStore;
  /** What an earlier page of this browser could not save; null when there is nothing, or it was answered. */
  readonly left: { readonly atMs: number; readonly takeUp: () => void; readonly drop: () => void } | null;
}

export function usePlan(view: SessionPlanView): PlanInHand {
  const draftKey = `plan-${view.session.id}`;
  const [store] = useState(() => {
    const { id, title, day, startTime, bookedMin, coach, placeName, placeId, airC, revision } = view.session;
    const fields = { title, day, startTime, bookedMin, coach, placeName, placeId, airC, revision };
    return new PlanStore(
      { ...fields, playerIds: [...view.playerIds], blocks: view.blocks },
      {
        save: (plan) => ask(() => savePlanAction(id, plan)),
        load: () => ask(() => loadPlanAction(id)),
        later: latest(),
        newId: () => ulid(),
        keep: (draft) => (draft ? keepDraft(draftKey, draft) : dropDraft(draftKey)),
      },
    );
  });
  const state = useSyncExternalStore(store.subscribe, store.state, store.state);
  const [left, setLeft] = useState<{ readonly atMs: number; readonly value: PlanDraft } | null>(null);

  useEffect(() => {
    // Read before the first save drops it: a page that went away could not save this.
    const kept = readDraft<PlanDraft>(draftKey);
    const differs = kept && JSON.stringify(kept.value.doc) !== JSON.stringify(store.state().doc);
    if (!differs) dropDraft(draftKey);
    const shown = setTimeout(() => differs && setLeft(kept));
    // A page that is come back to may be drawn from what was fetched before: the plan may have changed since.
    const present = () => {
      if (document.visibilityState === 'visible') void store.present();
    };
    present();
    window.addEventListener('pageshow', present);
    document.addEventListener('visibilitychange', present);
    return () => {
      clearTimeout(shown);
      window.removeEventListener('pageshow', present);
      document.removeEventListener('visibilitychange', present);
    };
  }, [store, draftKey]);

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
  return {
    state,
    store,
    left: left && {
      atMs: left.atMs,
      takeUp: () => {
        store.takeUp(left.value);
        setLeft(null);
      },
      drop: () => {
        dropDraft(draftKey);
        setLeft(null);
      },
    },
  };
}
