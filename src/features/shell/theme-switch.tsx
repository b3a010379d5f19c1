'use client';

import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { setTheme } from '@/ui/theme';

/** Day for paper light, night for a dim hall. Kept in a cookie, so that the first paint is right. */
export function ThemeSwitch({ theme }: { theme: 'day' | 'night' }) {
  const [now, setNow] = useState(theme);
  const other = now === 'day' ? 'night' : 'day';
  const change = () => {
    setTheme(other);
    setNow(other);
  };
  return (
    <button
      type="button"
      onClick={change}
      className="inline-flex min-h-11 items-center gap-1 rounded-md px-1.5 text-sm font-semibold hover:bg-chalk"
    >
      {other === 'night' ? <Moon aria-hidden size={16} /> : <Sun aria-hidden size={16} />}
      {other === 'night' ? 'Night hall' : 'Day light'}
    </button>
  );
}
