'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Moving<K> {
  /** How wide the drawing is in its own units, and how many of them a metre has. */
  readonly widthPx: number;
  readonly scale: number;
  /** A drag moves by whole steps of this, metres; an arrow key by one of these, with Shift by the other. */
  readonly gridM: number;
  readonly stepM: number;
  readonly longStepM: number;
  readonly onMove: (key: K, byX: number, byY: number) => void;
}

/** Things on a drawing that are dragged with mouse or finger, or moved by the arrow keys: metres come out. */
export function useMoving<K>({ widthPx, scale, gridM, stepM, longStepM, onMove }: Moving<K>) {
  const svg = useRef<SVGSVGElement>(null);
  const held = useRef<{ key: K; x: number; y: number } | null>(null);
  const at = (event: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const perM = (box.width / widthPx) * scale;
    return { x: event.clientX / perM, y: event.clientY / perM };
  };
  const whole = (by: number) => Math.round(by / gridM) * gridM;
  const drop = () => {
    held.current = null;
  };
  return {
    /** For the drawing. */
    board: {
      ref: svg,
      onPointerMove: (event: PointerEvent) => {
        if (!held.current) return;
        const { key, x, y } = held.current;
        const now = at(event);
        const [byX, byY] = [whole(now.x - x), whole(now.y - y)];
        if (byX === 0 && byY === 0) return;
        onMove(key, byX, byY);
        held.current = { key, x: x + byX, y: y + byY };
      },
      onPointerUp: drop,
      onPointerLeave: drop,
    },
    /** For each thing on it. */
    piece: (key: K) => ({
      onPointerDown: (event: PointerEvent) => {
        held.current = { key, ...at(event) };
      },
      onKeyDown: (event: KeyboardEvent) => {
        const way = arrows[event.key];
        if (!way) return;
        event.preventDefault();
        const by = event.shiftKey ? longStepM : stepM;
        onMove(key, way[0] * by, way[1] * by);
      },
    }),
  };
}
