import { shortDay } from '@/core/base/day-words';
import type { Card, CardPart } from '@/session/vows/card';
import { cx } from '@/ui/class-names';
import { Stairs } from '@/ui/stairs';
import { qrOf } from './qr';

export const cardSizes = ['A6', 'A5', 'four on A4'] as const;
export type CardSize = (typeof cardSizes)[number];

/** Boxes that find room on a card; a longer vow is printed again. */
export const mostBoxes = 20;

interface Props {
  readonly card: Card;
  /** The address on it; null for a card without one. */
  readonly link: string | null;
}

const face =
  'flex h-[148mm] w-[105mm] flex-col overflow-hidden border border-black bg-white p-[5mm] leading-snug text-black';

/** One part has room for large letters; a routine of parts has not. */
const lettersOf = ({ parts }: Card): string =>
  parts.length === 1 ? 'text-[10.5pt]' : parts.length === 2 ? 'text-[8.6pt]' : 'text-[7.4pt]';

/** The child’s side: what, how much, what to look for, and a box for each day. All sizes hang on the letters. */
export function CardFront({ card, link }: Props) {
  const { name, when, parts, days, reading, ball } = card;
  return (
    <section className={cx(face, lettersOf(card))} aria-label={`Card of ${name}`}>
      <header className="flex items-start justify-between gap-[2mm]">
        <h2 className="font-head text-[15pt] leading-none">{name}’s vow</h2>
        {ball && <span className="border border-black px-[1.5mm] text-[8pt]">{ball} ball</span>}
      </header>
      <p>{when}</p>
      {parts.map((part) => (
        <Part
          key={part.drill + part.stepId}
          part={part}
          large={reading === 'few words'}
          parts={parts.length}
        />
      ))}
      <div className="mt-auto flex items-end gap-[3mm] pt-[2mm]">
        <ol className="grid grow grid-cols-5 gap-[1mm]" aria-label="Boxes for the days">
          {days.slice(0, mostBoxes).map(({ day, doses }) => (
            <li key={day} className="h-[11mm] border border-black px-[0.7mm] text-[6pt] leading-tight">
              {shortDay(day).replace(/ \w+$/, '')}
              <span className="float-right">{doses.join(' + ')}</span>
            </li>
          ))}
        </ol>
        {link && <QrCode link={link} />}
      </div>
    </section>
  );
}

function Part({ part, large, parts }: { part: CardPart; large: boolean; parts: number }) {
  return (
    <div className="mt-[2mm] border-t border-black pt-[1.5mm]">
      <div className="flex items-end justify-between gap-[2mm]">
        <h3 className="font-head text-[1.25em] leading-tight">{part.drill}</h3>
        <Stairs
          treads={part.stairs.map((title, i) => ({ id: String(i), title }))}
          at={String(part.at)}
          label={`Step ${part.at + 1} of ${part.stairs.length}`}
          width={parts > 2 ? 84 : 150}
          height={parts > 2 ? 36 : 62}
        />
      </div>
      <p className={large ? 'text-[1.2em] font-bold' : 'font-bold'}>
        {part.title}. {part.words}
      </p>
      {part.task && <p>{part.task}</p>}
      <p className={large ? 'text-[1.2em]' : ''}>“{part.cue}”</p>
      <ul className="list-disc pl-[4mm]">
        {part.checkpoints.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {part.care.map((line) => (
        <p key={line} className="border-l-2 border-black pl-[1.5mm]">
          {line}
        </p>
      ))}
    </div>
  );
}

/** The address as a QR code, with a word on what it does. */
export function QrCode({ link }: { readonly link: string }) {
  const { size, runs } = qrOf(link);
  return (
    <figure className="w-[26mm] shrink-0 text-center text-[6pt]">
      <svg
        role="img"
        aria-label="Link to count on a phone"
        viewBox={`0 0 ${size} ${size}`}
        className="w-full"
        shapeRendering="crispEdges"
      >
        <path d={runs.map(({ x, y, w }) => `M${x} ${y}h${w}v1h-${w}z`).join('')} fill="black" />
      </svg>
      <figcaption>Count on a phone</figcaption>
    </figure>
  );
}

/** The helper’s side: how to feed, what to say. */
export function CardBack({ card: { name, parts } }: Pick<Props, 'card'>) {
  return (
    <section className={cx(face, 'text-[8.6pt]')} aria-label={`For whoever helps ${name}`}>
      <h2 className="font-head text-[13pt] leading-none">For whoever helps {name}</h2>
      {parts.map((part) => (
        <div key={part.drill + part.stepId} className="mt-[2mm] border-t border-black pt-[1.5mm]">
          <h3 className="font-head text-[11pt]">{part.drill}</h3>
          <ul className="list-disc pl-[4mm]">
            {part.helper.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          {part.choices.length > 1 && (
            <p className="mt-[1mm]">
              {name} may choose: {part.choices.map(({ title, words }) => `${title} (${words})`).join('; ')}
            </p>
          )}
        </div>
      ))}
      <p className="mt-auto border-t border-black pt-[1.5mm]">
        A day that was missed is over: the next day asks for its own dose and no more. Stop when it hurts, or
        when it is no fun any more. Local rules and licensed practice come first.
      </p>
    </section>
  );
}
