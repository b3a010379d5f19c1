'use client';

import { ImageDown } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import { saveFile } from '../save-file';
import { standAlone } from './stand-alone';

interface Props {
  /** What its file is called, without an ending. */
  readonly name: string;
  readonly children: ReactNode;
}

/** A drawing that can be taken away as a file. */
export function DrawingToTake({ name, children }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const take = () => {
    const drawing = box.current?.querySelector('svg[viewBox]');
    if (!(drawing instanceof SVGSVGElement)) return;
    const paper = getComputedStyle(document.body).backgroundColor;
    saveFile(`${name}.svg`, new Blob([standAlone(drawing, paper)], { type: 'image/svg+xml' }));
  };
  return (
    <div>
      <div ref={box}>{children}</div>
      <p className="flex justify-end print:hidden">
        <button
          type="button"
          data-file
          onClick={take}
          className="inline-flex min-h-11 items-center gap-1 rounded-md px-2 text-sm font-semibold text-soft hover:bg-chalk hover:text-ink"
        >
          <ImageDown aria-hidden size={16} /> Save the drawing
        </button>
      </p>
    </div>
  );
}
