'use client';

import { Search } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { Button } from '@/ui/button';

/** One box over everything. The words stand in the address, so that Back brings them back. */
export function FindBox({ words }: { readonly words: string }) {
  const router = useRouter();
  const [text, setText] = useState(words);
  const [busy, start] = useTransition();
  return (
    <form
      role="search"
      action="/find"
      onSubmit={(event) => {
        event.preventDefault();
        start(() => router.push(`/find?q=${encodeURIComponent(text.trim())}`));
      }}
      className="flex max-w-2xl gap-2"
    >
      <label className="min-w-0 flex-1">
        <span className="sr-only">Find players, sessions, drills and notes</span>
        <input
          type="search"
          name="q"
          value={text}
          onChange={(event) => setText(event.target.value)}
          maxLength={80}
          autoComplete="off"
          placeholder="a name, a place, footwork…"
          className="min-h-11 w-full rounded-md border-2 border-edge bg-sheet px-3"
        />
      </label>
      <Button type="submit" look="now" disabled={busy}>
        <Search aria-hidden size={18} /> Find
      </Button>
    </form>
  );
}
