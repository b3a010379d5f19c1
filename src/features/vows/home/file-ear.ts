import * as React from 'react';
import * as jsxRuntime from 'react/jsx-runtime';
import type { LoadEar } from './ear-later';

/*
 * The ear of a file: packed texts in it (`file-page.ts` fills them in where the coach allowed it), opened when somebody asks
 * for them. A page from a disk may fetch nothing, not even what it made itself: what is opened is an address with everything
 * in it, or a script of the page.
 */

/** The elements that hold them. */
const packed = { panel: 'vow-ear-panel', worker: 'vow-ear-worker', worklet: 'vow-ear-worklet' } as const;

type Panel = Awaited<ReturnType<LoadEar>>['CountByEar'];
interface Shared {
  /** What the panel is drawn with: the page's own, so that it need not bring it. */
  vowShared?: Readonly<Record<string, unknown>>;
  vowEar?: { readonly CountByEar: Panel };
}

/** Null where nothing may be counted by ear, or this browser cannot open what it is made of. */
export function fileEar(): LoadEar | null {
  if (!document.getElementById(packed.panel) || typeof DecompressionStream === 'undefined') return null;
  return async () => {
    const [worker, worklet, CountByEar] = await Promise.all([
      address(packed.worker),
      address(packed.worklet),
      panel(),
    ]);
    return { CountByEar, sources: { makeWorker: () => new Worker(worker), worklet } };
  };
}

async function panel(): Promise<Panel> {
  const shared = globalThis as Shared;
  if (!shared.vowEar) {
    shared.vowShared = { react: React, 'react/jsx-runtime': jsxRuntime };
    const script = document.createElement('script');
    script.textContent = await opened(packed.panel);
    document.head.append(script);
  }
  if (!shared.vowEar) throw new Error('The ear of this file cannot be opened.');
  return shared.vowEar.CountByEar;
}

const address = async (id: string): Promise<string> =>
  `data:text/javascript;charset=utf-8,${encodeURIComponent(await opened(id))}`;

async function opened(id: string): Promise<string> {
  const text = document.getElementById(id)!.textContent;
  const bytes = Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
  const stream = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('deflate-raw'));
  return new Response(stream).text();
}
