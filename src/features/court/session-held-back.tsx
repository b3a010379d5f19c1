'use client';

import { workOf } from '@/session/base/plan';
import { attach, discard, fitsMeasure, groupsOf, keepAsNote, type HeldGroup } from '@/court/settle-held-back';
import type { RunBlock } from '@/server/views/session-run';
import { usePageBook } from '@/ui/house';
import { HeldBackSheet, type Target } from './held-back-sheet';
import { useLogState, type Court } from './use-court';

interface Props {
  readonly court: Court;
  readonly blocks: readonly RunBlock[];
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** What is held back on this device, with this session's blocks to count it in. */
export function SessionHeldBack({ court, blocks, open, onOpenChange }: Props) {
  const { log, clock, view } = court;
  const book = usePageBook(view.session.coach);
  const { heldBack } = useLogState(log);
  const targetsOf = (group: HeldGroup): Target[] =>
    blocks.flatMap((block, index) => {
      const { playerId } = group;
      const work = playerId === null ? undefined : workOf(book, block, playerId);
      const there = block.players.some((one) => one.playerId === playerId);
      if (!work || !there || !fitsMeasure(group, work.step.measure)) return [];
      return [{ blockId: block.id, title: `${index + 1}. ${work.drill.title}: ${work.step.title}` }];
    });
  /** The block a note is kept on: where the player works, or the first there is. */
  const noteOn = ({ playerId }: HeldGroup): RunBlock | undefined =>
    blocks.find((block) => block.players.some((one) => one.playerId === playerId));
  return (
    <HeldBackSheet
      groups={groupsOf(heldBack)}
      targetsOf={targetsOf}
      onAttach={(group, blockId) => void attach(log, group, blockId, Math.round(clock.now()))}
      onNote={(group) => {
        const block = group.playerId === null ? blocks[0] : noteOn(group);
        if (block) void keepAsNote(log, group, block.id);
      }}
      onDiscard={(group) => void discard(log, group)}
      open={open}
      onOpenChange={onOpenChange}
    />
  );
}
