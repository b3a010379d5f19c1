'use client';

import { Film } from 'lucide-react';
import { useRef } from 'react';
import { Button } from '@/ui/button';

/** Opens a film or sound of this device. */
export function FileButton({
  label,
  onFile,
}: {
  readonly label: string;
  readonly onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button look="now" onClick={() => input.current?.click()}>
        <Film aria-hidden size={18} /> {label}
      </Button>
      <input
        ref={input}
        type="file"
        accept="video/*,audio/*"
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) onFile(file);
          // The same file once more is a choice too.
          target.value = '';
        }}
      />
    </>
  );
}
