'use client';

import { useRouter } from 'next/navigation';
import { firstDays, type FirstDay } from '@/core/plan/weekly';

const names: Readonly<Record<FirstDay, string>> = {
  monday: 'Monday',
  sunday: 'Sunday',
  saturday: 'Saturday',
};

/** The day weeks begin with, for this browser: the weeks that lists can be narrowed to go by it. */
export function FirstDayChoice({ firstDay }: { readonly firstDay: FirstDay }) {
  const router = useRouter();
  const choose = (day: string) => {
    document.cookie = `vowstep-week=${day}; path=/; max-age=31536000; samesite=strict`;
    router.refresh();
  };
  return (
    <label className="flex items-center justify-between gap-2 border-t border-line py-1">
      <span className="text-sm text-soft">Your weeks begin on</span>
      <select
        value={firstDay}
        onChange={(event) => choose(event.target.value)}
        className="min-h-11 rounded-md border-2 border-edge bg-sheet px-2"
      >
        {(Object.keys(firstDays) as FirstDay[]).map((day) => (
          <option key={day} value={day}>
            {names[day]}
          </option>
        ))}
      </select>
    </label>
  );
}
