'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/**
 * Tells the server which time zone the coach is in, where it took another one to be theirs; what is shown is then
 * fetched again with the right day and hour.
 * @param known the zone the page was made for
 */
export function CoachZone({ known }: { known: string }) {
  const router = useRouter();
  useEffect(() => {
    const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
    if (!own || own === known) return;
    document.cookie = `vowstep-zone=${encodeURIComponent(own)}; path=/; max-age=31536000; samesite=strict`;
    router.refresh();
  }, [known, router]);
  return null;
}
