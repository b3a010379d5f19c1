'use client';

import { useEffect, useRef } from 'react';
import type { Cue } from '@/core/court/calls/timeline';

/** What plays them: fetched once the court can count, and kept for a reload without the server. */
export const loadPlayer = () => import('@/court/sound-player');

const alwaysSpoken = ['last-ten-seconds', 'rest', 'time'];

/** Sounds the cues of a running block; they are scheduled again whenever it starts, pauses or changes. */
export function useCues(running: boolean, cues: readonly Cue[], elapsedS: () => number): void {
  const elapsed = useRef(elapsedS);
  useEffect(() => {
    elapsed.current = elapsedS;
  });
  useEffect(() => {
    if (!running || cues.length === 0 || typeof AudioContext === 'undefined') return;
    let stop: (() => void) | undefined;
    let gone = false;
    const words = [...new Set(cues.flatMap(({ clip }) => (clip === null ? [] : [clip])))];
    const start = async () => {
      const context = audioContext();
      void context.resume();
      const { SoundPlayer, webAudioPlay } = await loadPlayer();
      if (gone) return;
      const player = new SoundPlayer({
        now: () => context.currentTime,
        play: webAudioPlay(context, (name) => clips.get(name)),
        every: (work, ms) => {
          const timer = setInterval(work, ms);
          return () => clearInterval(timer);
        },
      });
      stop = () => player.stop();
      player.start(cues, elapsed.current());
      // Words that are not here yet join in as soon as they are.
      if ((await loadClips(context, [...alwaysSpoken, ...words])) && !gone)
        player.start(cues, elapsed.current());
    };
    // Browsers let a page sound only after a press. Starting a block is one; after a reload the next press will do.
    const waits = navigator.userActivation && !navigator.userActivation.hasBeenActive;
    const pressed = new AbortController();
    if (waits) {
      for (const press of ['pointerup', 'keyup'] as const)
        window.addEventListener(press, () => (pressed.abort(), void start()), { signal: pressed.signal });
    } else void start();
    return () => {
      gone = true;
      pressed.abort();
      stop?.();
    };
  }, [running, cues]);
}

let shared: AudioContext | null = null;
const audioContext = (): AudioContext => (shared ??= new AudioContext());
const clips = new Map<string, AudioBuffer>();

/** Fetches and decodes clips; true when there were new ones. One that cannot be had stays silent: the screen shows the word. */
async function loadClips(context: AudioContext, names: readonly string[]): Promise<boolean> {
  const missing = names.filter((name) => !clips.has(name));
  await Promise.all(
    missing.map(async (name) => {
      try {
        const response = await fetch(`/calls/${name}.wav`);
        if (response.ok) clips.set(name, await context.decodeAudioData(await response.arrayBuffer()));
      } catch {
        // See above.
      }
    }),
  );
  return missing.some((name) => clips.has(name));
}
