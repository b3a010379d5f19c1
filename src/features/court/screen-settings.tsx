'use client';

import { Expand, Hand, Moon, Shrink, Sun } from 'lucide-react';
import { useState, useSyncExternalStore } from 'react';
import { setTheme } from '@/ui/theme';
import { Chip, ChipRow } from './chip';
import { plainHttp } from './plain-http';
import type { CourtSettings } from './court-settings';
import { toggleFullscreen, useFullscreen } from './use-screen';

interface Props {
  readonly settings: CourtSettings;
  readonly onSettings: (change: Partial<CourtSettings>) => void;
  readonly awake: boolean | null;
  /** The keys that act here, in words. */
  readonly keys: string;
}

const never = () => () => undefined;

/** How the court's screen is laid out and lit, and what this browser can do for it. */
export function ScreenSettings({ settings, onSettings, awake, keys }: Props) {
  const full = useFullscreen();
  const isSecure = useSyncExternalStore(
    never,
    () => window.isSecureContext,
    () => true,
  );
  const [night, setNight] = useState(
    () => typeof document !== 'undefined' && document.documentElement.dataset.theme === 'night',
  );
  const change = () => {
    setTheme(night ? 'day' : 'night');
    setNight(!night);
  };
  return (
    <>
      <ChipRow label="Screen">
        <Chip on={full} onPress={toggleFullscreen}>
          {full ? <Shrink aria-hidden size={18} /> : <Expand aria-hidden size={18} />} Full screen
        </Chip>
        <Chip on={night} onPress={change}>
          {night ? <Moon aria-hidden size={18} /> : <Sun aria-hidden size={18} />} Night hall
        </Chip>
        <Chip on={settings.leftHanded} onPress={() => onSettings({ leftHanded: !settings.leftHanded })}>
          <Hand aria-hidden size={18} /> Left-handed
        </Chip>
      </ChipRow>
      <p className="text-sm text-soft">
        {isSecure
          ? awake === true
            ? 'The screen is kept awake.'
            : 'This browser may let the screen go dark: a touch brings it back, and the clock goes on.'
          : `${plainHttp} An https address in front of the server, or the computer itself, can do both.`}{' '}
        {keys}
      </p>
    </>
  );
}

export const coachKeys =
  'Keys: 1 to 9, 0, - and = count for numbers 1 to 12, with shift a miss; C types a count for who was counted last; U undoes, space starts and pauses, A adjusts, T is for time, N and P turn to the next block and the one before.';
export const helperKeys = 'Keys: the player’s number counts, with shift a miss; C types a count; U undoes.';
