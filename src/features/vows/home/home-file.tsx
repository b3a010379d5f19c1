'use client';

import { useMemo, useState } from 'react';
import type { HomeView } from '@/session/vows/home-view';
import { writeHomeText } from '@/session/vows/home-text';
import { reportOf } from '@/session/vows/report';
import { buttonClass } from '@/ui/button-class';
import type { LoadEar } from './ear-later';
import { HomeScreen } from './home-screen';
import { useHome } from './use-home';

/** What a file is given besides the vows: what it signs with. */
export interface FileView {
  readonly view: HomeView;
  readonly file: { readonly id: string; readonly key: string };
  readonly loadEar: LoadEar | null;
}

/** The vows in one file: the same screen and the same log as behind a link, and a text instead of a server. */
export function HomeFile({ view, file, loadEar }: FileView) {
  const home = useHome(view, null);
  const { log } = home;
  // A text closes what it tells: what is counted after it is another round.
  const closed = (blockId: string): number =>
    log
      .events(blockId, null)
      .reduce((most, { kind, attempt }) => (kind === 'end' ? Math.max(most, attempt) : most), 0);
  const [text, setText] = useState('');
  const [said, setSaid] = useState('');
  const blocks = useMemo(
    () =>
      view.vows.flatMap(({ card, days }) =>
        days.flatMap(({ parts }) =>
          parts.map(({ blockId, part }) => ({ blockId, measure: card.parts[part]!.measure })),
        ),
      ),
    [view],
  );
  const make = async () => {
    const done = blocks.flatMap(({ blockId, measure }) =>
      reportOf(blockId, log.events(blockId, view.playerId), measure),
    );
    if (done.length === 0) return setSaid('Nothing is counted yet: there is nothing to send.');
    await Promise.all(
      blocks
        .filter(({ blockId }) => log.events(blockId, view.playerId).length > 0)
        .map(({ blockId }) => {
          const rounds = log.events(blockId, view.playerId).map(({ attempt }) => attempt);
          return log.log({
            blockId,
            playerId: null,
            kind: 'end',
            attempt: Math.min(1000, Math.max(...rounds)),
          });
        }),
    );
    setText(writeHomeText(file.id, file.key, done));
    setSaid('');
  };
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text);
      setSaid('Copied: paste it into a message to your coach.');
    } catch {
      setSaid('Press long on the text, choose all of it, copy it, and send it to your coach.');
    }
  };
  const save = () => {
    const link = document.createElement('a');
    link.href = `data:text/plain;charset=utf-8,${encodeURIComponent(text)}`;
    link.download = 'vow.txt';
    link.click();
  };
  return (
    <HomeScreen view={view} home={home} loadEar={loadEar} closedRounds={closed}>
      <section
        aria-label="Send to the coach"
        className="space-y-3 rounded-md border-2 border-edge bg-sheet p-4"
      >
        <h2 className="text-xl">Send to the coach</h2>
        {home.state.trouble && (
          <p className="font-semibold text-stop">
            This browser keeps nothing for this file: send the text before you close it.
          </p>
        )}
        <button type="button" onClick={() => void make()} className={buttonClass('now', 'min-h-14 w-full')}>
          Make the text
        </button>
        {text && (
          <>
            <textarea
              readOnly
              aria-label="Text for the coach"
              value={text}
              rows={6}
              onFocus={(event) => event.target.select()}
              className="w-full rounded-md border-2 border-edge bg-paper p-2 font-mono text-xs"
            />
            <div className="grid grid-cols-2 gap-2">
              <button type="button" onClick={() => void copy()} className={buttonClass('plain', 'min-h-14')}>
                Copy it
              </button>
              <button type="button" onClick={save} className={buttonClass('plain', 'min-h-14')}>
                Save as a file
              </button>
            </div>
          </>
        )}
        <p role="status" aria-live="polite">
          {said}
        </p>
      </section>
    </HomeScreen>
  );
}
