'use client';

import { Download, Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { dropStill, playerIsThere, restoreStill, stillsOf, sweepStills, type Still } from '@/court/stills';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/page-head';

interface Shown extends Still {
  readonly url: string;
}

/** Stills of a player that were kept on this device; nothing where there are none. */
export function Stills({ playerId }: { readonly playerId: string }) {
  const [stills, setStills] = useState<readonly Shown[]>([]);
  const [dropped, setDropped] = useState<Still | null>(null);
  const [again, setAgain] = useState(0);
  useEffect(() => {
    let made: Shown[] = [];
    let here = true;
    // A private window keeps none, and so there are none.
    const read = async () => {
      await sweepStills(playerIsThere);
      const kept = await stillsOf(playerId);
      made = kept.map((one) => ({ ...one, url: URL.createObjectURL(one.picture) }));
      if (here) setStills(made);
    };
    void read().catch(() => undefined);
    return () => {
      here = false;
      for (const { url } of made) URL.revokeObjectURL(url);
    };
  }, [playerId, again]);
  if (stills.length === 0 && !dropped) return null;
  return (
    <Sheet className="p-4" aria-label="Stills">
      <h2 className="text-lg">Stills</h2>
      <p className="text-sm text-soft">On this device alone, in no copy of the book.</p>
      <ul className="mt-2 grid gap-3 sm:grid-cols-2">
        {stills.map((one) => (
          <li key={one.id} className="space-y-1" data-still>
            {/* eslint-disable-next-line @next/next/no-img-element -- a picture of this device: no server makes it smaller */}
            <img src={one.url} alt={one.words} className="w-full rounded-md border-2 border-line" />
            <p className="text-sm">{one.words}</p>
            <div className="flex gap-1.5">
              <a
                href={one.url}
                download={`${one.words.replace(/[^\w ]+/g, '')}.jpg`}
                className="inline-flex min-h-11 items-center gap-1 px-2 font-semibold underline underline-offset-4"
              >
                <Download aria-hidden size={18} /> Save as a file
              </a>
              <Button
                look="quiet"
                aria-label={`Remove: ${one.words}`}
                onClick={() =>
                  void dropStill(one.id).then(() => {
                    setDropped(one);
                    setAgain(again + 1);
                  })
                }
              >
                <Trash2 aria-hidden size={18} /> Remove
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {dropped && (
        <p role="status" className="mt-2">
          The still was removed.{' '}
          <Button
            onClick={() =>
              void restoreStill({
                id: dropped.id,
                playerId: dropped.playerId,
                words: dropped.words,
                atMs: dropped.atMs,
                picture: dropped.picture,
              }).then(() => {
                setDropped(null);
                setAgain(again + 1);
              })
            }
          >
            Undo
          </Button>
        </p>
      )}
    </Sheet>
  );
}
