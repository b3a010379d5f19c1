'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { courtChanges } from '@/core/court/court-changes';
import { matesOf } from '@/core/plan/circuit/circuit';
import { blocksInOrder, blockToOpen } from '@/court/first-block';
import type { RunBlock } from '@/server/views/session-run';
import type { CourtSettings } from './court-settings';
import type { CourtPlayer, CourtView } from './court-view';
import { leftFor, type Left } from './left-for';
import { useBlock, type BlockRun } from './use-block';
import type { Court } from './use-court';
import { usePhone } from './use-screen';

/** Measures whose zones want room: fewer tiles at once. */
const roomy = (measure: string) => measure === 'points' || measure === 'grade';

/** A second press this soon is the same press, milliseconds: nobody turns two blocks in so short a time. Ours. */
const doubleTapMs = 800;
/** After a turn of the page a key counts nothing for so long, milliseconds: it was meant for what stood there before. Ours. */
export const settlesMs = 400;
/** A word about a press that counted nothing stands so long, milliseconds. Ours. */
const saidForMs = 3500;

export interface RunScreen<P extends CourtPlayer> {
  /** The blocks in the order they are run, and the place of the open one. */
  readonly blocks: readonly RunBlock[];
  readonly index: number;
  readonly run: BlockRun | null;
  readonly nextBlock: RunBlock | undefined;
  readonly beforeBlock: RunBlock | undefined;
  readonly isOut: (block: RunBlock | undefined) => boolean;
  /** Opens a block that was asked for by its name. */
  readonly openBlock: (id: string, how: 'end' | 'pause') => void;
  /** Turns to the block after or before; a double press turns once. */
  readonly turnTo: (to: RunBlock | undefined, how: 'end' | 'pause') => void;
  /** The block that was left for this one, until this one is begun. */
  readonly left: Left | null;
  /** Starts or pauses the clock; a double press does it once. */
  readonly toggleClock: () => void;
  /** Who works in the open block, and who of them is on the screen now. */
  readonly working: readonly P[];
  readonly shown: readonly P[];
  /** The number a player is counted by, from 1: theirs for the whole session. */
  readonly numberOf: (playerId: string) => number;
  /** Brings the player with a number to the screen; says who that is, or null when nobody here has it. */
  readonly showNumber: (number: number) => string | null;
  readonly showOthers: (() => void) | null;
  /** False for a moment after other tiles came to the screen. */
  readonly isSettled: () => boolean;
  readonly mark: BlockRun['mark'];
  /** Why the last press counted nothing; null when it did, or that is long past. */
  readonly refusal: string | null;
  readonly sayRefusal: (text: string) => void;
}

/** What every court screen does: which block is open, who is shown, and what a press means. */
export function useRunScreen<P extends CourtPlayer>(
  court: Court<CourtView & { readonly players: readonly P[] }>,
  settings: CourtSettings,
): RunScreen<P> {
  const { log, view } = court;
  const players: readonly P[] = view.players;
  const phone = usePhone();
  const blocks = blocksInOrder(view.blocks, log);
  const [blockId, setBlockId] = useState(() => blockToOpen(view.blocks, log));
  const turned = useRef(false);
  // A coach's own screen turns by itself once, when it opens: blocks may have ended, or changed places, on this device
  // that the server does not know of yet. A helper's turns whenever a block is started or ended.
  const started = view.helper ? view.blocks.map((block) => log.events(block.id, null).length).join() : '';
  const ids = view.blocks.map((block) => block.id).join();
  useEffect(() => {
    void log.opened.then(() => {
      // Read from the log, which may know more by then than what is drawn.
      if (!turned.current) setBlockId(blockToOpen(view.blocks, log));
    });
    // Opened again when the plan's blocks change, not with every count.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [log, ids, started]);
  const index = Math.max(
    0,
    blocks.findIndex((block) => block.id === blockId),
  );
  const run = useBlock(view, blocks[index], court, settings);
  const mates = matesOf(blocks, blocks[index]?.id ?? '');
  const isOut = (block: RunBlock | undefined) =>
    block !== undefined && courtChanges(log.events(block.id, null)).out;

  const [page, setPage] = useState(0);
  const turnedAt = useRef(-Infinity);
  const openBlock = (id: string, how: 'end' | 'pause') => {
    turnedAt.current = performance.now();
    run?.leave(how);
    turned.current = true;
    setBlockId(id);
    setPage(0);
  };
  const turnTo = (to: RunBlock | undefined, how: 'end' | 'pause') => {
    if (to && performance.now() - turnedAt.current >= doubleTapMs) openBlock(to.id, how);
  };
  const left = leftFor(blocks, run, court);
  const toggledAt = useRef(-Infinity);
  const toggle = run?.toggleClock;
  const toggleClock = useCallback(() => {
    if (performance.now() - toggledAt.current < doubleTapMs / 2) return;
    toggledAt.current = performance.now();
    toggle?.();
  }, [toggle]);

  const working = players.filter((player) => run?.block.players.some((one) => one.playerId === player.id));
  const fits = phone ? 1 : roomy(run?.step.measure ?? '') ? 4 : 8;
  const pages = Math.max(1, Math.ceil(working.length / fits));
  const now = page % pages;
  const pagedAt = useRef(-Infinity);
  const turnPage = useCallback((to: number) => {
    pagedAt.current = performance.now();
    setPage(to);
  }, []);
  const isSettled = () => performance.now() - Math.max(pagedAt.current, turnedAt.current) >= settlesMs;
  const numberOf = useCallback(
    (playerId: string) => {
      const at = players.findIndex((player) => player.id === playerId);
      return players[at]?.number ?? at + 1;
    },
    [players],
  );
  const showNumber = (number: number) => {
    const player = players.find((one) => numberOf(one.id) === number);
    const at = working.findIndex((one) => one.id === player?.id);
    if (!player || at === -1) return null;
    turnPage(Math.floor(at / fits));
    return player.name;
  };

  const { mark, refusal, sayRefusal } = useMarks(run);
  return {
    blocks,
    index,
    run,
    nextBlock: blocks.slice(index + mates.length).find((block) => !isOut(block)),
    beforeBlock: leadOf(blocks, blocks.slice(0, index).findLast((block) => !isOut(block))?.id),
    isOut,
    openBlock,
    turnTo,
    left,
    toggleClock,
    working,
    shown: working.slice(now * fits, (now + 1) * fits),
    numberOf,
    showNumber,
    showOthers: pages > 1 ? () => turnPage((now + 1) % pages) : null,
    isSettled,
    mark,
    refusal,
    sayRefusal,
  };
}

/** The block itself, or the first station of its circuit. */
const leadOf = (blocks: readonly RunBlock[], id: string | undefined): RunBlock | undefined =>
  id === undefined ? undefined : matesOf(blocks, id)[0];

/** Marks of a block, and why the last press counted nothing: that stands for a moment. */
export function useMarks(
  run: BlockRun | null,
): Pick<RunScreen<CourtPlayer>, 'mark' | 'refusal' | 'sayRefusal'> {
  const [refusal, sayRefusal] = usePassing(saidForMs);
  const runMark = run?.mark;
  const mark = useCallback(
    (...press: Parameters<BlockRun['mark']>) => {
      const no = runMark?.(...press) ?? null;
      if (no) sayRefusal(no);
      return no;
    },
    [runMark, sayRefusal],
  );
  return { mark, refusal, sayRefusal };
}

/** Words that pass by themselves. */
function usePassing(forMs: number): [string | null, (text: string) => void] {
  const [said, setSaid] = useState<{ readonly text: string } | null>(null);
  useEffect(() => {
    if (!said) return;
    const timer = setTimeout(() => setSaid(null), forMs);
    return () => clearTimeout(timer);
  }, [said, forMs]);
  const say = useCallback((text: string) => setSaid({ text }), []);
  return [said?.text ?? null, say];
}
