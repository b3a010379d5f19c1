import { findDrill, findStep } from '@/catalogue';
import { ageBandOf } from '@/catalogue/age-band';
import type { PlanBlock } from '@/catalogue/plan';
import type { Drill } from '@/catalogue/types';
import type { Dose } from '@/core/dose/dose';
import type { SessionPlanView } from '@/server/views/session-plan';
import type { PlanDoc } from './plan-store';

const withBlocks = (doc: PlanDoc, blocks: readonly PlanBlock[]): PlanDoc => ({ ...doc, blocks });

/** The dose a step starts with for these players: that of the youngest one's age. */
function defaultDose(view: SessionPlanView, doc: PlanDoc, drillId: string, stepId: string): Dose {
  const ages = view.squad.filter((player) => doc.playerIds.includes(player.id)).map((player) => player.age);
  return findStep(drillId, stepId)!.doses[ageBandOf(Math.min(...ages))];
}

/** The lowest step any of the players stands on: one that everybody can do. */
export function commonStep(view: SessionPlanView, doc: PlanDoc, drill: Drill): string {
  const standing = doc.playerIds.map((playerId) => {
    const place = view.places.find(([player, drillId]) => player === playerId && drillId === drill.id);
    return Math.max(
      0,
      drill.steps.findIndex((step) => step.id === place?.[2]),
    );
  });
  return drill.steps[Math.min(...standing)]!.id;
}

export function addBlock(view: SessionPlanView, doc: PlanDoc, drillId: string, id: string): PlanDoc {
  const stepId = commonStep(view, doc, findDrill(drillId)!);
  return withBlocks(doc, [
    ...doc.blocks,
    { id, drillId, stepId, dose: defaultDose(view, doc, drillId, stepId) },
  ]);
}

export function setStep(view: SessionPlanView, doc: PlanDoc, id: string, stepId: string): PlanDoc {
  return withBlocks(
    doc,
    doc.blocks.map((block) =>
      block.id === id ? { ...block, stepId, dose: defaultDose(view, doc, block.drillId, stepId) } : block,
    ),
  );
}

export function setDose(doc: PlanDoc, id: string, dose: Dose): PlanDoc {
  return withBlocks(
    doc,
    doc.blocks.map((block) => (block.id === id ? { ...block, dose } : block)),
  );
}

export function removeBlock(doc: PlanDoc, id: string): PlanDoc {
  return withBlocks(
    doc,
    doc.blocks.filter((block) => block.id !== id),
  );
}

/** Puts a block at a place in the order; places outside are drawn to the ends. */
export function moveBlock(doc: PlanDoc, id: string, to: number): PlanDoc {
  const from = doc.blocks.findIndex((block) => block.id === id);
  const target = Math.min(doc.blocks.length - 1, Math.max(0, to));
  if (from === -1 || from === target) return doc;
  const blocks = [...doc.blocks];
  blocks.splice(target, 0, ...blocks.splice(from, 1));
  return withBlocks(doc, blocks);
}

/** Ticks a player on or off the list. The last one stays: a session is for somebody. */
export function togglePlayer(doc: PlanDoc, id: string): PlanDoc {
  if (!doc.playerIds.includes(id)) return { ...doc, playerIds: [...doc.playerIds, id] };
  if (doc.playerIds.length === 1) return doc;
  return { ...doc, playerIds: doc.playerIds.filter((player) => player !== id) };
}
