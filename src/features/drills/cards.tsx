'use client';

import { useState } from 'react';
import { cards, type Card } from '@/drills/base/cards';
import { originInWords } from '@/core/base/origin';
import { buttonClass } from '@/ui/button';
import { Dialog } from '@/ui/dialog';

/** A starting point as a button that opens its card. */
export function CardButton({ card, className }: { card: Card; className?: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} className={className ?? buttonClass('plain')}>
        {card.title}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={card.title} intro={card.purpose}>
        <ol className="list-decimal space-y-2 pl-6 text-lg">
          {card.points.map((point) => (
            <li key={point}>{point}</li>
          ))}
        </ol>
        <p className="mt-4 text-xl font-bold">“{card.cue}”</p>
        <p className="mt-2 text-sm text-soft">
          {card.sports.join(' and ')}; {originInWords(card)}.
        </p>
      </Dialog>
    </>
  );
}

/** The starting points that drills build on. */
export function CardsRow() {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <h2 className="text-base text-soft">Starting points</h2>
      {cards.map((card) => (
        <CardButton
          key={card.id}
          card={card}
          className={buttonClass('plain', 'min-h-9 touch:min-h-11 px-3 text-sm')}
        />
      ))}
    </div>
  );
}
