'use client';

import { useState } from 'react';
import type { SettingsView } from '@/server/views/settings';
import { unpack, type Packed } from '@/ui/packed';

/** What ships and under which licence: hundreds of lines, drawn when somebody opens them. */
export function LicenceList({
  count,
  list,
}: {
  readonly count: number;
  readonly list: Packed<SettingsView['licences']>;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{`Licences of what ships (${count})`}</summary>
      {open && (
        <ul className="max-h-64 overflow-y-auto text-sm" tabIndex={0} aria-label="Licences">
          {unpack(list).map(({ name, version, licence }) => (
            <li key={`${name} ${version}`} className="border-t border-line py-1 break-all">
              {name} {version}: <span className="font-semibold">{licence}</span>
            </li>
          ))}
        </ul>
      )}
    </details>
  );
}
