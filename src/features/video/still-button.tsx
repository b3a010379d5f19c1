'use client';

import { ImageDown } from 'lucide-react';
import { useState, type RefObject } from 'react';
import { keepStill } from '@/court/stills';
import { Button } from '@/ui/button';

interface Props {
  readonly video: RefObject<HTMLVideoElement | null>;
  readonly mirrored: boolean;
  readonly player: { readonly id: string; readonly name: string };
  readonly words: string;
}

/** Keeps the frame that is shown with a child's page: on this device, on purpose. */
export function StillButton({ video, mirrored, player, words }: Props) {
  const [said, setSaid] = useState('');
  const keep = async () => {
    const element = video.current;
    if (!element || element.videoWidth === 0) return setSaid('There is no picture to keep.');
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [element.videoWidth, element.videoHeight];
    const draw = canvas.getContext('2d')!;
    if (mirrored) draw.setTransform(-1, 0, 0, 1, canvas.width, 0);
    draw.drawImage(element, 0, 0);
    const picture = await new Promise<Blob | null>((give) => canvas.toBlob(give, 'image/jpeg', 0.85));
    if (!picture) return setSaid('The picture could not be made: try another frame.');
    try {
      await keepStill({ playerId: player.id, words, atMs: Date.now(), picture });
      setSaid(`Kept with ${player.name}, on this device.`);
    } catch {
      setSaid('This browser keeps nothing (a private window, or its disk is full).');
    }
  };
  return (
    <>
      <Button onClick={() => void keep()}>
        <ImageDown aria-hidden size={18} /> Keep this still
      </Button>
      <span role="status" className="text-sm text-soft">
        {said}
      </span>
    </>
  );
}
