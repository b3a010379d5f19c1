'use client';

import { ClipboardPaste, Plus } from 'lucide-react';
import { useState } from 'react';
import { isKept } from '@/core/vows/keeping';
import { counted } from '@/core/base/words';
import type { VowsView } from '@/server/views/vows';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { Dialog } from '@/ui/dialog';
import { PageHead } from '@/ui/page-head';
import { usePart } from '@/ui/use-part';
import { VowRow } from './vow-row';

const loadTakeOver = () => import('./take-over');

/** Who promised what, how it is kept, what runs out, and who has none. */
export function VowsPage({ view }: { readonly view: VowsView }) {
  const { lines, without, tooMuch, today } = view;
  const [pasting, setPasting] = useState(false);
  const takeOver = usePart(loadTakeOver, pasting);
  const running = lines.filter(({ state }) => state === 'runs' || state === 'rests' || state === 'to come');
  const over = lines.filter((line) => !running.includes(line));
  const keptToday = running.filter(({ strip }) => isKept(strip.at(-1)?.share ?? 0)).length;
  return (
    <>
      <PageHead
        title="Vows"
        actions={
          <Button onClick={() => setPasting(true)}>
            <ClipboardPaste aria-hidden size={18} /> Take a text over
          </Button>
        }
      >
        {running.length === 0
          ? 'What players promise to do between sessions.'
          : `${counted(running.length, 'vow')} running, ${keptToday} kept today.`}
      </PageHead>
      {tooMuch.map(({ playerId, text }) => (
        <p key={playerId + text} className="mb-2 rounded-md bg-care-bg px-3 py-2 text-care">
          {text}
        </p>
      ))}
      {lines.length === 0 && (
        <p className="max-w-prose text-soft">
          A vow is a small dose of one drill on certain days, until a date. Choose who makes the first one:
          from a plan, a review or a player’s page it takes half a minute.
        </p>
      )}
      {lines.length === 0 && without.length === 0 && (
        <ButtonLink look="now" href="/squad" className="mt-3">
          Add the first player
        </ButtonLink>
      )}
      <ul className="space-y-2">
        {running.map((line) => (
          <VowRow key={line.id} line={line} today={today} named />
        ))}
      </ul>
      {without.length > 0 && (
        <section aria-label="Who has none" className="mt-4">
          <h2 className="text-lg">{running.length === 0 ? 'Make a vow with' : 'Without a vow now'}</h2>
          <div className="mt-1 flex flex-wrap gap-2">
            {without.map(({ id, name }) => (
              <ButtonLink key={id} href={`/vows/new?player=${id}`}>
                <Plus aria-hidden size={18} /> {name}
              </ButtonLink>
            ))}
          </div>
        </section>
      )}
      {over.length > 0 && (
        <section aria-label="Over" className="mt-6">
          <h2 className="mb-2 text-lg">Over in the last four weeks</h2>
          <ul className="space-y-2">
            {over.map((line) => (
              <VowRow key={line.id} line={line} today={today} named />
            ))}
          </ul>
        </section>
      )}
      <Dialog
        open={pasting && takeOver !== null}
        onOpenChange={setPasting}
        title="Take over a text from home"
        intro="It comes from a file with a child’s vows. You see what it would add before anything is written."
      >
        {takeOver && <takeOver.TakeOver onDone={() => setPasting(false)} />}
      </Dialog>
    </>
  );
}
