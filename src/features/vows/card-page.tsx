'use client';

import { Link2, Printer } from 'lucide-react';
import { useState } from 'react';
import { makeVowLinkAction } from '@/server/actions/vows';
import type { CardView } from '@/server/views/vows';
import { ask, problemsText } from '@/ui/ask';
import { Button } from '@/ui/button';
import { ButtonLink } from '@/ui/button-link';
import { cx } from '@/ui/class-names';
import { ErrorNote } from '@/ui/field';
import { FileButton } from '@/ui/file-button';
import { PageHead } from '@/ui/page-head';
import { Link } from '@/ui/link';
import { ReachNote } from '@/features/access/reach-note';
import { useReach } from '@/features/access/use-reach';
import { CardBack, CardFront, cardSizes, type CardSize } from './card-sheet';

/** Where a card stands on paper: its page in the print styles (globals.css). */
const pageClass: Readonly<Record<CardSize, string>> = {
  A6: 'card-a6',
  A5: 'card-a5',
  'four on A4': 'card-a4',
};

/** A vow on a card: looked at, linked, printed or taken as PDF. */
export function CardPage({ view }: { readonly view: CardView }) {
  const { id, playerId, card } = view;
  const [size, setSize] = useState<CardSize>('A6');
  const [token, setToken] = useState<string | null>(null);
  const reached = useReach();
  const link = token && `${reached.base}/vow/${token}`;
  const [problem, setProblem] = useState<string | null>(null);
  const makeLink = async () => {
    const outcome = await ask(() => makeVowLinkAction(playerId, { name: '' }));
    setProblem(outcome.ok ? null : problemsText(outcome));
    if (outcome.ok) setToken(outcome.value.token);
  };
  const copies = size === 'four on A4' ? 4 : 1;
  return (
    <>
      <div className="print:hidden">
        <PageHead
          title={`Card: ${card.title}`}
          actions={
            <>
              <ButtonLink href={`/players/${playerId}/vows`}>{card.name}’s vows</ButtonLink>
              {!link && (
                <Button onClick={() => void makeLink()}>
                  <Link2 aria-hidden size={18} /> Put a link on it
                </Button>
              )}
              <FileButton address={`/vows/${id}/card.pdf`} name="vow.pdf" fields={{ size, link: link ?? '' }}>
                PDF
              </FileButton>
              <Button look="now" onClick={() => window.print()}>
                <Printer aria-hidden size={18} /> Print
              </Button>
            </>
          }
        >
          {link
            ? 'Whoever has this link sees and counts this child’s vows, and nothing else. It is shown here once: print or send it now.'
            : 'Without a link it is a card to tick. With one it can be counted on any phone.'}
        </PageHead>
      </div>
      <div className="mb-3 max-w-xl print:hidden">
        <ReachNote
          reached={reached}
          instead={
            <>
              A card without a link is ticked by hand.{' '}
              <Link href={`/players/${playerId}/vows`} className="underline">
                The file for home
              </Link>{' '}
              works on any phone without this computer.
            </>
          }
        />
      </div>
      {problem && <ErrorNote>{problem}</ErrorNote>}
      {link && (
        <p className="mb-3 break-all print:hidden" data-link>
          <a href={link} className="font-mono underline">
            {link}
          </a>
        </p>
      )}
      <div role="group" aria-label="Size" className="mb-4 flex gap-2 print:hidden">
        {cardSizes.map((one) => (
          <Button
            key={one}
            look={size === one ? 'now' : 'plain'}
            aria-pressed={size === one}
            onClick={() => setSize(one)}
          >
            {one}
          </Button>
        ))}
      </div>
      <div className="overflow-x-auto print:overflow-visible">
        <div className={cx('card-paper', pageClass[size])}>
          <div className="card-side">
            {Array.from({ length: copies }, (_, i) => (
              <CardFront key={i} card={card} link={link} />
            ))}
          </div>
          <div className="card-side">
            {Array.from({ length: copies }, (_, i) => (
              <CardBack key={i} card={card} />
            ))}
          </div>
        </div>
      </div>
    </>
  );
}
