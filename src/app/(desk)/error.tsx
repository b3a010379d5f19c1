'use client';

import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';

/** Something nobody should cause. What was saved is safe; the page can be tried again. */
export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <div className="max-w-xl space-y-4 pt-8">
      <h1 className="text-3xl">This page could not be made</h1>
      <ErrorNote>
        Something went wrong on the server. What was saved before is safe: try the page again.
      </ErrorNote>
      <Button look="now" onClick={reset}>
        Try again
      </Button>
    </div>
  );
}
