'use client';

import { useEffect, useState } from 'react';
import { counted } from '@/core/base/words';
import { clearDevice, unsafeHere } from '@/court/clear-device';

/** Whoever stands before a closed door sees nothing of whoever was in: what was kept here goes, and what stays is said. */
export function ClearHere({ says = true }: { readonly says?: boolean }) {
  const [left, setLeft] = useState(0);
  useEffect(() => {
    void clearDevice()
      .then(unsafeHere)
      .then(setLeft)
      .catch(() => undefined);
  }, []);
  // A closed link says itself what becomes of its marks: no coach signs in there.
  if (left === 0 || !says) return null;
  return (
    <p role="status" className="mt-4 rounded-md border-2 border-care px-3 py-2" data-unsafe={left}>
      {counted(left, 'mark')} on this device {left === 1 ? 'is' : 'are'} not on the server yet.{' '}
      {left === 1 ? 'It stays' : 'They stay'} here, without names, until a coach signs in.
    </p>
  );
}
