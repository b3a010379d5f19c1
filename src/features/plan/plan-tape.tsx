'use client';

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import type { KeyboardEvent, ReactNode } from 'react';
import type { BlockTime } from '@/core/plan/block-time';
import type { PlanTime } from '@/core/plan/plan-time';
import { slotsOf } from '@/core/plan/circuit/circuit';
import { tapeLengthS } from '@/core/plan/tape';
import { clockTime } from '@/core/base/words';
import { cx } from '@/ui/class-names';
import { laneOf, TapeEdge, tapeHeight, TapeParts, TapeScale } from '@/ui/tape';

export interface PlanTapeProps {
  readonly time: PlanTime;
  readonly titles: readonly string[];
  /** Blocks with a warning graver than a note. */
  readonly warned: ReadonlySet<string | null>;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
  readonly onMove: (id: string, to: number) => void;
  readonly onRemove: (id: string) => void;
}

/** The plan as a strip of tape to scale: press a piece to open it, drag it or move it with the keyboard. */
export function PlanTape({ time, titles, warned, selected, onSelect, onMove, onRemove }: PlanTapeProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: sortableKeyboardCoordinates,
      // Enter opens a piece, so only the space bar lifts it.
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
    }),
  );
  const lengthS = tapeLengthS(time.totalS, time.bookedS);
  const slots = slotsOfTime(time.blocks);
  const ids = slots.map(([first]) => first!.id);
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      onMove(
        String(active.id),
        time.blocks.findIndex(({ id }) => id === String(over.id)),
      );
  };

  const place = (id: unknown) =>
    `${titles[time.blocks.findIndex((block) => block.id === String(id))]}, place ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Lifted ${place(active.id)}.`,
    // Over itself says nothing new, and would drown what was said of lifting it.
    onDragOver: ({ active, over }) =>
      over?.id === active.id
        ? undefined
        : over
          ? `Over place ${ids.indexOf(String(over.id)) + 1}.`
          : 'Off the tape.',
    onDragEnd: ({ over }) => (over ? `Put at place ${ids.indexOf(String(over.id)) + 1}.` : 'Put back.'),
    onDragCancel: () => 'Put back.',
  };

  return (
    <DndContext
      id="plan-tape"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={drop}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable:
            'Enter opens the block. Space lifts it, the arrow keys move it, space puts it down, escape puts it back. Delete takes it out.',
        },
      }}
    >
      <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
        <div
          className="relative border-y-2 border-line bg-chalk"
          style={{ height: tapeHeight(time.blocks, 72, 28) }}
        >
          {slots.map((slot) => (
            <Slot key={slot[0]!.id} id={slot[0]!.id}>
              {(sortable) =>
                slot.map((block) => {
                  const index = time.blocks.indexOf(block);
                  return (
                    <Piece
                      key={block.id}
                      block={block}
                      // Stations move together; the first of them stands for all.
                      sortable={block === slot[0] ? sortable : { ...sortable, setNodeRef: () => undefined }}
                      lengthS={lengthS}
                      number={index + 1}
                      title={titles[index]!}
                      warned={warned.has(block.id)}
                      selected={selected === block.id}
                      onSelect={() => onSelect(block.id)}
                      onKey={(event) => {
                        if (event.key === 'Delete') onRemove(block.id);
                        else if (event.altKey && event.key === 'ArrowLeft')
                          onMove(block.id, time.blocks.indexOf(slot[0]!) - 1);
                        else if (event.altKey && event.key === 'ArrowRight')
                          onMove(block.id, time.blocks.indexOf(slot.at(-1)!) + 1);
                        else return false;
                        event.preventDefault();
                        return true;
                      }}
                    />
                  );
                })
              }
            </Slot>
          ))}
          {time.overrunS > 0 && (
            <span
              aria-hidden
              className="hatch-over pointer-events-none absolute -bottom-1 z-10 h-2"
              style={{
                left: `${(100 * time.bookedS) / lengthS}%`,
                width: `${(100 * time.overrunS) / lengthS}%`,
              }}
            />
          )}
          <TapeEdge lengthS={lengthS} bookedS={time.bookedS} />
        </div>
      </SortableContext>
      <TapeScale lengthS={lengthS} bookedS={time.bookedS} />
    </DndContext>
  );
}

/** Pieces that are moved as one: a block, or the stations of a circuit. */
function slotsOfTime(blocks: readonly BlockTime[]): BlockTime[][] {
  return slotsOf(blocks.map((block) => ({ block, circuit: block.station }))).map((slot) =>
    slot.map(({ block }) => block),
  );
}

type Sortable = Pick<
  ReturnType<typeof useSortable>,
  'attributes' | 'listeners' | 'setNodeRef' | 'transform' | 'transition' | 'isDragging'
>;

/** What is lifted and moved as one. */
function Slot({
  id,
  children,
}: {
  readonly id: string;
  readonly children: (sortable: Sortable) => ReactNode;
}) {
  return children(useSortable({ id }));
}

interface PieceProps {
  readonly block: BlockTime;
  readonly lengthS: number;
  readonly number: number;
  readonly sortable: Sortable;
  readonly title: string;
  readonly warned: boolean;
  readonly selected: boolean;
  readonly onSelect: () => void;
  /** True when the key was meant for the piece itself. */
  readonly onKey: (event: KeyboardEvent) => boolean;
}

function Piece({ block, sortable, lengthS, number, title, warned, selected, onSelect, onKey }: PieceProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = sortable;
  const lift = listeners?.onKeyDown as ((event: KeyboardEvent) => void) | undefined;
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      onKeyDown={(event) => {
        if (!onKey(event)) lift?.(event);
      }}
      onClick={onSelect}
      aria-pressed={selected}
      data-block={block.id}
      style={{
        left: `${(100 * block.startS) / lengthS}%`,
        width: `${(100 * block.totalS) / lengthS}%`,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        transition,
        ...laneOf(block),
      }}
      className={cx(
        '@container absolute inset-y-0 touch-none overflow-hidden border-r-2 border-ink bg-chalk text-left',
        selected && 'z-10 outline-3 -outline-offset-3 outline-now',
        isDragging && 'z-20 opacity-80',
      )}
    >
      <TapeParts time={block} />
      <span className="relative m-px flex flex-col items-start overflow-hidden @min-[2rem]:m-1 @min-[2rem]:max-w-[calc(100%-8px)]">
        <span
          data-title
          className={cx(
            'max-w-full rounded-sm bg-sheet px-0.5 leading-tight font-semibold @min-[2rem]:px-1',
            block.station ? 'line-clamp-1 text-xs' : 'line-clamp-2 text-sm',
          )}
        >
          {number}
          <span aria-hidden className="hidden @min-[7.5rem]:inline">
            {' '}
            {title}
          </span>
        </span>{' '}
        <span className="sr-only">{title}</span>
        <span
          aria-hidden
          className={cx(
            'tabular mt-1 hidden rounded-sm bg-sheet px-1 text-sm',
            !block.station && '@min-[3.5rem]:inline',
          )}
        >
          {clockTime(block.totalS)}
        </span>
        {warned && (
          <span className="mt-0.5 rounded-sm bg-care-bg px-1 text-xs font-bold text-care">care</span>
        )}
        <span className="sr-only">
          {clockTime(block.totalS)} from {clockTime(block.startS)}
        </span>
      </span>
    </button>
  );
}
