'use client';

import { Toast as Radix } from 'radix-ui';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';

export interface Notice {
  readonly text: string;
  /** Offers to take it back. */
  readonly undo?: () => void;
  readonly tone?: 'safe' | 'stop';
}

const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);

/** Shows a short notice at the edge of the screen. */
export const useNotice = () => useContext(NoticeContext);

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notices, setNotices] = useState<(Notice & { key: number })[]>([]);
  const add = useCallback(
    (notice: Notice) => setNotices((all) => [...all, { ...notice, key: (all.at(-1)?.key ?? 0) + 1 }]),
    [],
  );
  const value = useMemo(() => add, [add]);
  return (
    <NoticeContext.Provider value={value}>
      <Radix.Provider duration={8000} label="Notice">
        {children}
        {notices.map(({ key, text, undo, tone = 'safe' }) => (
          <Radix.Root
            key={key}
            onOpenChange={(open) => !open && setNotices((all) => all.filter((one) => one.key !== key))}
            className={`flex items-center justify-between gap-4 rounded-md border-2 bg-sheet px-4 py-2 ${tone === 'stop' ? 'border-stop' : 'border-safe'}`}
          >
            <Radix.Description className="font-semibold">{text}</Radix.Description>
            {undo && (
              <Radix.Action
                altText="Undo from the page’s own list"
                onClick={undo}
                className="min-h-11 rounded-md px-3 font-bold text-now underline underline-offset-4"
              >
                Undo
              </Radix.Action>
            )}
          </Radix.Root>
        ))}
        <Radix.Viewport className="fixed right-4 bottom-4 z-50 flex w-[min(28rem,92vw)] flex-col gap-2" />
      </Radix.Provider>
    </NoticeContext.Provider>
  );
}
