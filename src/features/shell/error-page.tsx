'use client';

import { useEffect, useState } from 'react';
import { Button } from '@/ui/button';
import { ErrorNote } from '@/ui/field';

const unknown = 'Something went wrong on the server. What was saved before is safe: try the page again.';

/** Something nobody should cause. Where the database is in trouble, the server says so in one sentence. */
export function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    void fetch('/api/health')
      .then((answer) => answer.json())
      .then(({ trouble }: { trouble?: string | null }) => setSaid(trouble ?? unknown))
      .catch(() => setSaid('The server is out of reach: try the page again when it is back.'));
  }, []);
  return (
    <main className="mx-auto max-w-xl space-y-4 px-6 pt-8">
      <h1 className="text-3xl">This page could not be made</h1>
      <ErrorNote>{said ?? unknown}</ErrorNote>
      <Button
        look="now"
        onClick={() => {
          reset();
          location.reload();
        }}
      >
        Try again
      </Button>
    </main>
  );
}
