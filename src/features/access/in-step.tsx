'use client';

import { useEffect } from 'react';
import { keepInStep, onSignedOut } from '@/court/clear-device';

/** Keeps this device in step with the book: children who were removed go from what it keeps, and a sign-out in one tab is one in all. */
export function InStep({ removed }: { readonly removed: number }) {
  useEffect(() => void keepInStep(), [removed]);
  useEffect(() => onSignedOut(() => location.assign('/sign-in')), []);
  return <meta name="vowstep-removed" content={String(removed)} />;
}
