'use client';

import { useRouter } from 'next/navigation';
import { isLengths, lengthUnits, type Lengths } from '@/core/base/units';
import { useUnits } from '@/ui/units';

const names: Readonly<Record<Lengths, string>> = { metres: 'metres', feet: 'feet and inches' };

/** How lengths are shown and typed, for this browser; they are kept in metres whatever is chosen. */
export function LengthsChoice() {
  const router = useRouter();
  const { lengths } = useUnits();
  return (
    <label className="flex items-center justify-between gap-2 border-t border-line py-1">
      <span className="text-sm text-soft">You read lengths in</span>
      <select
        value={lengths}
        onChange={({ target }) => {
          if (!isLengths(target.value)) return;
          document.cookie = `vowstep-lengths=${target.value}; path=/; max-age=31536000; samesite=strict`;
          router.refresh();
        }}
        className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
      >
        {lengthUnits.map((one) => (
          <option key={one} value={one}>
            {names[one]}
          </option>
        ))}
      </select>
    </label>
  );
}
