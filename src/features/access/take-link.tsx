'use client';

import type { MouseEvent, ReactNode } from 'react';
import { mayTakeAction } from '@/server/actions/doors';
import { ask, problemsText } from '@/ui/ask';
import { buttonClass } from '@/ui/button';
import { useNotice } from '@/ui/toast';

/** A file that takes everything along: the passcode is asked for before it goes, where it was not typed a moment ago. */
export function TakeLink({
  href,
  look,
  children,
}: {
  readonly href: string;
  readonly look?: 'plain' | 'quiet';
  readonly children: ReactNode;
}) {
  const notice = useNotice();
  const take = async (event: MouseEvent<HTMLAnchorElement>) => {
    event.preventDefault();
    const outcome = await ask(() => mayTakeAction());
    if (!outcome.ok) return notice({ text: problemsText(outcome), tone: 'stop' });
    const link = document.createElement('a');
    Object.assign(link, { href, download: '' });
    link.click();
  };
  return (
    <a href={href} download onClick={(event) => void take(event)} className={buttonClass(look)}>
      {children}
    </a>
  );
}
