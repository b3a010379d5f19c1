import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { shortDay } from '@/core/base/day-words';
import type { Card, CardPart } from '@/session/vows/card';
import { ruled } from '@/formats/pdf-data';
import { mostBoxes, type CardSize } from './card-sheet';
import { qrOf } from './qr';

/* The card as a document: the same content as on the page, black on white, in points. */
const mm = 72 / 25.4;
const a6 = { width: 105 * mm, height: 148 * mm };
const edge = 5 * mm;

/** How much larger than on A6 everything is. */
const scaleOf: Readonly<Record<CardSize, number>> = { A6: 1, A5: Math.SQRT2, 'four on A4': 1 };

/** Smaller letters where several parts share a card. */
const crowding = ({ parts }: Card): number => [1, 1.12, 0.88, 0.74][parts.length] ?? 0.6;

/** The whole card: the child’s side, then the helper’s. */
export function cardDocument(card: Card, size: CardSize, link: string | null): TDocumentDefinitions {
  const scale = scaleOf[size] * crowding(card);
  const copies = size === 'four on A4' ? 4 : 1;
  const width = (a6.width - 2 * edge) * scaleOf[size];
  const sides = [front(card, link, scale, width), back(card, scale, width)];
  return {
    pageSize: size === 'four on A4' ? 'A4' : size,
    pageMargins: copies === 4 ? [0, 0, 0, 0] : edge * scaleOf[size],
    info: { title: `A vow: ${card.title}` },
    defaultStyle: { font: 'Body', fontSize: 8.2 * scale, lineHeight: 1.05 },
    content: sides.flatMap((side, i) => {
      const pageBreak = i === 0 ? {} : { pageBreak: 'before' as const };
      return [{ stack: copies === 1 ? side : [fourOf(side)], ...pageBreak }];
    }),
  };
}

/** The same side four times on a sheet, to be cut. */
const fourOf = (side: Content[]): Content => ({
  table: {
    widths: [a6.width - 2 * edge, a6.width - 2 * edge],
    heights: a6.height - 2 * edge,
    body: [
      [{ stack: side }, { stack: side }],
      [{ stack: side }, { stack: side }],
    ],
  },
  layout: ruled({ h: 0, h1: 0.4, v: 0, v1: 0.4, pad: [edge, edge, edge, edge - 1] }),
});

function front(
  { name, when, parts, days, ball }: Card,
  link: string | null,
  scale: number,
  width: number,
): Content[] {
  return [
    { text: `${name}’s vow`, bold: true, fontSize: 14 * scale },
    { text: ball ? `${when} · ${ball} ball` : when },
    ...parts.flatMap((part) => partOf(part, scale, width)),
    {
      columns: [
        { width: '*', stack: [boxes(days, scale)] },
        ...(link
          ? [
              {
                width: 26 * mm * scaleOfWidth(width),
                stack: [qr(link, 26 * mm * scaleOfWidth(width)), caption(scale)],
              },
            ]
          : []),
      ],
      columnGap: 3 * mm,
      margin: [0, 2 * mm * scale, 0, 0],
    },
  ];
}

/** The code keeps its size, however small the letters: a phone has to read it. */
const scaleOfWidth = (width: number): number => width / (a6.width - 2 * edge);

const caption = (scale: number): Content => ({
  text: 'Count on a phone',
  fontSize: 6 * scale,
  alignment: 'center',
});

const rule = (scale: number, width: number): Content => ({
  canvas: [{ type: 'line', x1: 0, y1: 0, x2: width, y2: 0, lineWidth: 0.6 }],
  margin: [0, 1.5 * mm * scale, 0, 1 * mm * scale],
});

const partOf = (part: CardPart, scale: number, width: number): Content[] => [
  rule(scale, width),
  {
    columns: [
      { width: '*', text: part.drill, bold: true, fontSize: 10.5 * scale },
      { width: 34 * mm * scale, stack: [stairs(part, 34 * mm * scale, 11 * mm * scale)] },
    ],
  },
  { text: `${part.title}. ${part.words}`, bold: true },
  ...(part.task ? [{ text: part.task }] : []),
  { text: `“${part.cue}”` },
  { ul: [...part.checkpoints, ...part.care] },
];

/** A ladder as a flight of stairs, the ball on the step. */
function stairs({ stairs: treads, at }: CardPart, width: number, height: number): Content {
  const run = width / treads.length;
  const rise = (height - 8) / treads.length;
  const top = (i: number) => height - (i + 1) * rise;
  const points = [{ x: 0, y: height }];
  for (const i of treads.keys()) points.push({ x: i * run, y: top(i) }, { x: (i + 1) * run, y: top(i) });
  points.push({ x: width, y: height });
  return {
    canvas: [
      { type: 'polyline', points, lineWidth: 1, closePath: true },
      { type: 'ellipse', x: at * run + run / 2, y: top(at) - 4, r1: 3, r2: 3, color: 'black' },
    ],
  };
}

/** A box for each day, with its dose and room for the number. */
function boxes(days: Card['days'], scale: number): Content {
  const columns = 5;
  const shown = days.slice(0, mostBoxes);
  const rows = Array.from({ length: Math.ceil(shown.length / columns) }, (_, row) =>
    Array.from({ length: columns }, (_unused, column) => {
      const one = shown[row * columns + column];
      if (!one)
        return { text: '', border: [false, false, false, false] as [boolean, boolean, boolean, boolean] };
      return {
        text: `${shortDay(one.day).replace(/ \w+$/, '')}  ${one.doses.join(' + ')}`,
        fontSize: 5.6 * scale,
      };
    }),
  );
  return rows.length === 0
    ? { text: '' }
    : {
        table: {
          widths: Array.from({ length: columns }, () => '*' as const),
          heights: 9 * mm * scale,
          body: rows,
        },
        layout: ruled({ h: 0.6, v: 0.6, pad: [1.5, 0.5, 0.5, 0] }),
      };
}

/** The same QR code as on the page, as filled squares. */
function qr(link: string, width: number): Content {
  const { size, runs } = qrOf(link);
  const side = width / size;
  return {
    canvas: runs.map(({ x, y, w }) => ({
      type: 'rect' as const,
      x: x * side,
      y: y * side,
      w: w * side,
      h: side,
      color: 'black',
      lineWidth: 0,
    })),
  };
}

const back = ({ name, parts }: Card, scale: number, width: number): Content[] => [
  { text: `For whoever helps ${name}`, bold: true, fontSize: 12 * scale },
  ...parts.flatMap((part): Content[] => [
    rule(scale, width),
    { text: part.drill, bold: true, fontSize: 10.5 * scale },
    { ul: [...part.helper] },
    ...(part.choices.length > 1
      ? [
          {
            text: `${name} may choose: ${part.choices.map(({ title, words }) => `${title} (${words})`).join('; ')}`,
          },
        ]
      : []),
  ]),
  rule(scale, width),
  {
    text: 'A day that was missed is over: the next day asks for its own dose and no more. Stop when it hurts, or when it is no fun any more. Local rules and licensed practice come first.',
  },
];
