import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { DrawnTime } from '@/core/plan/plan-time';
import { tapeLengthS } from '@/core/plan/tape';
import { slotsOf } from '@/core/plan/circuit/circuit';
import { numbersOf } from '@/ui/circuit-names';
import { circuitRows, type CircuitRows } from './circuit-rows';
import { clockTime } from '@/core/base/words';
import type { PaperBlock } from '@/session/plan/paper';
import { footLine, ruled } from '@/formats/pdf-data';
import type { PaperParts } from './paper-parts';

/* The sheet of a session as a document: A4, black on white, in points. */
const margin = 28;
const width = 595.28 - 2 * margin;
const boxes = 5;
const box = 9;

/** The whole sheet: what {@link PaperParts} say, and nothing else. */
export function paperDocument(parts: PaperParts): TDocumentDefinitions {
  const { title, about, blocks, care, questions, notes } = parts;
  return {
    pageSize: 'A4',
    pageMargins: [margin, margin, margin, margin + 8],
    info: { title, subject: about },
    defaultStyle: { font: 'Body', fontSize: 8.5, lineHeight: 1.05 },
    footer: footLine(`${title}, page {page} of {pages}`, { fontSize: 7.5, margin: [margin, 4, margin, 0] }),
    content: [
      { text: title, bold: true, fontSize: 17 },
      { text: about, margin: [0, 0, 0, 4] },
      blocks.length === 0 ? 'The plan is empty.' : tape(parts.time),
      ...(care ? [boxed([{ text: care }])] : []),
      ...written(notes.get('')),
      ...blocks.flatMap((block, index) => [
        ...(block.circuit ? [circuitOnPaper(circuitRows(block.circuit, parts.names, index + 1))] : []),
        blockOnPaper(block, index + 1, parts),
      ]),
      ...(blocks.length > 0 ? [atTheEnd(questions)] : []),
    ],
  };
}

const written = (texts: readonly string[] = []): Content[] =>
  texts.map((text) => ({ text: `Note: ${text}`, bold: true, margin: [0, 2, 0, 0] }));

function boxed(content: Content[]): Content {
  return {
    table: { widths: ['*'], body: [[{ stack: content }]] },
    layout: ruled({ h: 0.8, v: 0.8, pad: [4, 2, 4, 2] }),
    margin: [0, 3, 0, 0],
  };
}

/** The blocks to scale, each under its number, and where the booking ends. */
function tape(time: DrawnTime): Content {
  const x = (seconds: number) => (seconds / tapeLengthS(time.totalS, time.bookedS)) * width;
  return {
    stack: [
      {
        canvas: [
          ...time.blocks.map((block) => ({
            type: 'rect' as const,
            x: x(block.startS),
            y: (16 * (block.station?.at ?? 0)) / (block.station?.of ?? 1),
            w: x(block.totalS),
            h: 16 / (block.station?.of ?? 1),
            lineWidth: 0.8,
          })),
          { type: 'rect', x: x(time.bookedS) - 1, y: -2, w: 2, h: 20, color: 'black' },
        ],
      },
      {
        columns: numbered(time).map(({ numbers, totalS }) => ({
          text: numbers,
          width: x(totalS),
          bold: true,
        })),
        columnGap: 0,
        relativePosition: { x: 3, y: -14 },
      },
    ],
    margin: [0, 2, 0, 4],
  };
}

/** Pieces along the tape by their numbers; the stations of a circuit are one. */
function numbered({ blocks }: DrawnTime): { numbers: string; totalS: number }[] {
  const slots = slotsOf(blocks.map((block) => ({ ...block, circuit: block.station ?? null })));
  return slots.map((slot) => {
    const first = blocks.findIndex(({ id }) => id === slot[0]!.id) + 1;
    return { numbers: numbersOf(first, slot.length), totalS: slot[0]!.totalS };
  });
}

function blockOnPaper(block: PaperBlock, number: number, parts: PaperParts): Content {
  const { drill } = block;
  const kit = drill.kit.map(({ count, item }) => `${count} × ${item}`).join(', ');
  return {
    ...(boxed([
      {
        columns: [
          { text: `${number}. ${drill.title}: ${block.step}`, bold: true, fontSize: 10.5, width: '*' },
          {
            text: `${block.station ? `station ${block.station.number} of ${block.station.of} · ` : ''}from ${clockTime(block.fromS)} · ${clockTime(block.totalS)} min · ${block.dose}`,
            bold: true,
            width: 'auto',
          },
        ],
        columnGap: 8,
      },
      {
        columns: [
          {
            width: '*',
            stack: [
              block.task,
              [drill.setUp, kit].filter(Boolean).join(' '),
              { text: `“${block.cue}”`, bold: true },
              drill.checkpoints.join(' · '),
              ...(block.care.length > 0 ? [{ text: `Care: ${block.care.join(' ')}`, bold: true }] : []),
              ...written(parts.notes.get(block.id)),
            ],
          },
          { width: '*', stack: [block.together ? together(block, parts) : counts(block, parts)] },
        ],
        columnGap: 10,
      },
    ]) as object),
    unbreakable: true,
  } as Content;
}

function circuitOnPaper(rows: CircuitRows): Content {
  const bold = (text: string): TableCell => ({ text, bold: true });
  return {
    ...(boxed([
      { text: rows.about, bold: true },
      rows.groups.join(' · '),
      {
        table: {
          headerRows: 1,
          widths: rows.head.map((_, index) => (index === 0 ? 34 : '*')),
          body: [rows.head.map(bold), ...rows.rounds.map((round) => round.map(bold))],
        },
        layout: 'lightHorizontalLines',
      },
    ]) as object),
    unbreakable: true,
  } as Content;
}

const square = { type: 'rect' as const, y: 0, w: box, h: box, lineWidth: 0.8 };

function together({ lines }: PaperBlock, { names }: PaperParts): Content {
  return {
    stack: [
      'All together, by the clock. Done:',
      ...lines.map(({ playerId }) => ({
        columns: [
          { canvas: [{ ...square, x: 0 }], width: box + 4 },
          { text: names.get(playerId) ?? '', width: '*' },
        ],
      })),
    ],
  };
}

function counts({ lines }: PaperBlock, { names }: PaperParts): Content {
  const head: TableCell[] = ['Name', 'Dose, aim', 'Counts'].map((text) => ({ text, bold: true }));
  return {
    table: {
      headerRows: 1,
      widths: ['*', '*', boxes * (box + 3)],
      body: [
        head,
        ...lines.map(({ playerId, ownStep, dose, aim }): TableCell[] => [
          { text: [{ text: names.get(playerId) ?? '', bold: true }, ownStep ? ` ${ownStep}` : ''] },
          { text: [dose ? `${dose}, ` : '', { text: `aim ${aim}`, bold: true }] },
          { canvas: Array.from({ length: boxes }, (_, at) => ({ ...square, x: at * (box + 3) })) },
        ]),
      ],
    },
    layout: ruled({ h: 0.3, h1: 0.8, v: 0, pad: [0, 1, 4, 1] }),
  };
}

function atTheEnd(questions: readonly string[]): Content {
  const line: Content = {
    canvas: [{ type: 'line', x1: 0, y1: 14, x2: width, y2: 14, lineWidth: 0.5 }],
    margin: [0, 0, 0, 2],
  };
  return {
    unbreakable: true,
    margin: [0, 6, 0, 0],
    stack: [
      { text: 'To ask at the end', bold: true, fontSize: 10.5 },
      ...questions.flatMap((text) => [text, line]),
      'Notes',
      line,
      line,
    ],
  };
}
