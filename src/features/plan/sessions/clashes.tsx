'use client';

import { CalendarClock } from 'lucide-react';
import { useEffect, useState } from 'react';
import { clashText } from '@/core/plan/clash-words';
import type { BookingForm } from '@/schemas/booking';
import type { ClashQuestion } from '@/schemas/clash';
import { clashesAction } from '@/server/actions';
import type { Clashes } from '@/server/views/clashes';
import { Button } from '@/ui/button';
import { shortDay } from '@/ui/dates';

export type Asked = Partial<ClashQuestion> & Pick<ClashQuestion, 'days'>;

const nothing: Clashes = { clashes: [], freeDay: null, freeLater: null };

/** What a booking form asks, whatever of it is filled in. */
export function askedOf(
  { day, ...booking }: Partial<BookingForm>,
  exceptId: string | null = null,
): Asked | null {
  const players = [booking.playerIds ?? []].flat().filter(Boolean);
  if (!day || players.length === 0) return null;
  const { startTime = '', bookedMin = 0, coach = '', placeId = null, placeName = '' } = booking;
  return {
    days: [day],
    exceptId,
    booking: { startTime, bookedMin, coach, placeId, placeName, playerIds: players },
  };
}

/** What cannot be asked collides with nothing that is known: whatever is wrong, the booking itself will say. */
const askFor = (asked: Asked): Promise<Clashes> => clashesAction(asked).catch(() => nothing);

/** Somebody who types or turns a date has stopped for so long before the server is asked, milliseconds. Ours. */
const pauseMs = 200;

export interface ClashState {
  /** What was found for what is asked now; null while nothing is known of it. */
  readonly found: Clashes | null;
  /** True where the coach has seen all that the booking collides with; else it is shown now. */
  readonly seen: () => Promise<boolean>;
}

/**
 * What a booking in hand collides with, asked anew when it changes.
 * @param asked null while it is no booking
 * @param waitMs until it is asked; 0 where nobody types
 */
export function useClashes(asked: Asked | null, waitMs = pauseMs): ClashState {
  const key = JSON.stringify(asked);
  const [answer, setAnswer] = useState<{ readonly key: string; readonly found: Clashes } | null>(null);
  useEffect(() => {
    const question = JSON.parse(key) as Asked | null;
    if (!question) return;
    let here = true;
    const timer = setTimeout(
      () => void askFor(question).then((found) => here && setAnswer({ key, found })),
      waitMs,
    );
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [key, waitMs]);
  const found = answer?.key === key ? answer.found : null;
  const seen = async () => {
    if (found || !asked) return true;
    const fresh = await askFor(asked);
    setAnswer({ key, found: fresh });
    return fresh.clashes.length === 0;
  };
  return { found, seen };
}

interface NoteProps {
  readonly found: Clashes | null;
  readonly onDay?: (day: string) => void;
  readonly onStart?: (startTime: string) => void;
  readonly className?: string;
}

/** Collisions said one by one; of more, the rest is counted. Ours. */
const mostSaid = 3;

/** Says what a booking collides with, and offers what is free. */
export function ClashNote({ found, onDay, onStart, className }: NoteProps) {
  if (!found || found.clashes.length === 0) return null;
  const { clashes, freeDay, freeLater } = found;
  const more = clashes.length - mostSaid;
  return (
    <div role="status" className={className}>
      <div className="rounded-md bg-care-bg px-3 py-2 text-care" data-clashes={clashes.length}>
        <p className="flex items-center gap-2 font-semibold">
          <CalendarClock aria-hidden size={18} className="shrink-0" /> Booked already at that time
        </p>
        <ul className="mt-1 space-y-0.5 text-sm">
          {clashes.slice(0, mostSaid).map((clash) => (
            <li key={`${clash.day} ${clash.startTime} ${clash.title}`}>{clashText(clash)}</li>
          ))}
          {more > 0 && <li>And {more} more.</li>}
        </ul>
        <div className="mt-2 flex flex-wrap gap-2">
          {freeLater && onStart && <Button onClick={() => onStart(freeLater)}>Start at {freeLater}</Button>}
          {freeDay && onDay && <Button onClick={() => onDay(freeDay)}>Move to {shortDay(freeDay)}</Button>}
        </div>
      </div>
    </div>
  );
}

/** A button that books says so where the coach knows of a collision. */
export const bookingLabel = (usual: string, { found }: ClashState): string =>
  found && found.clashes.length > 0 ? `${usual} anyway` : usual;
