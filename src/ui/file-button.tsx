'use client';

import { FileDown } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { problemsText } from './ask';
import { Button } from './button';
import { fetchFile, type FileAsked } from './fetch-file';
import { useNotice } from './toast';

interface Props extends FileAsked {
  /** What must be done first, such as saving what the file is made of. */
  readonly before?: () => Promise<unknown>;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A button that saves a file the server makes. A second press while it is made does nothing; where none comes it says why. */
export function FileButton({ before, className, children, ...asked }: Props) {
  const [making, setMaking] = useState(false);
  const notice = useNotice();
  const take = async () => {
    if (making) return;
    setMaking(true);
    await before?.();
    const outcome = await fetchFile(asked);
    setMaking(false);
    if (!outcome.ok) notice({ text: problemsText(outcome), tone: 'stop' });
    // Over plain http browsers ask, at the edge of their window, whether a document is to be kept.
    else if (!isSecureContext) notice({ text: `${asked.name}: if the browser asks, choose Keep.` });
  };
  return (
    <Button data-file className={className} aria-disabled={making} onClick={() => void take()}>
      <FileDown aria-hidden size={18} /> {children}
    </Button>
  );
}
