import { inflateSync } from 'node:zlib';
import { plainBook } from '@/drills';
import { paperDocument } from '@/features/plan/paper/paper-doc';
import { paperParts } from '@/features/plan/paper/paper-parts';
import { pdfBytes, runsOf } from './pdf';
import { oneBlockSession, scratch, value } from '../testing/scratch';
import { addNote } from '../notes/notes';
import { sessionPlanView } from '../views/session-plan';

const pagesIn = (pdf: Uint8Array) =>
  Buffer.from(pdf)
    .toString('latin1')
    .match(/\/Type \/Page\b(?!s)/g)?.length ?? 0;

/** How many glyphs the pages show: each text is written as four hexadecimal digits a glyph. */
function glyphsIn(pdf: Uint8Array): number {
  const bytes = Buffer.from(pdf);
  let glyphs = 0;
  for (let at = bytes.indexOf('stream\n'); at >= 0; at = bytes.indexOf('stream\n', at + 1)) {
    const end = bytes.indexOf('endstream', at);
    try {
      const text = inflateSync(bytes.subarray(at + 7, end)).toString('latin1');
      for (const [, hex] of text.matchAll(/<([0-9a-f]+)>/g)) glyphs += hex!.length / 4;
    } catch {
      // Not a compressed stream.
    }
  }
  return glyphs;
}

test('the sheet as PDF: a file of one or two pages with the texts of the printed one', async () => {
  const box = await scratch();
  const { sessionId } = await oneBlockSession(box.context);
  value(await addNote(box.context, { sessionId, text: 'Bring the blue cones' }));
  const view = (await sessionPlanView(box.context, sessionId))!;
  const parts = paperParts(view, plainBook);
  expect(parts.notes.get('')).toEqual(['Bring the blue cones']);
  const document = paperDocument(parts);
  const said = JSON.stringify(document.content);
  for (const words of [
    'Thursday group',
    'Note: Bring the blue cones',
    'Ada',
    'Bo',
    'aim ',
    'To ask at the end',
  ])
    expect(said).toContain(words);
  const pdf = await pdfBytes(document);
  expect(Buffer.from(pdf.subarray(0, 5)).toString()).toBe('%PDF-');
  expect(pagesIn(pdf)).toBe(1);
  // Every letter of the task is on the page; a face that lacks them would show none.
  expect(glyphsIn(pdf)).toBeGreaterThan(300);
  box.close();
});

test('letters of other alphabets of Latin stand in the face that has them', () => {
  expect(runsOf('Łukasz')).toEqual([
    { text: 'Ł', font: 'More' },
    { text: 'ukasz', font: 'Body' },
  ]);
  expect(runsOf('3 × 20 s, “so”')).toEqual([{ text: '3 × 20 s, “so”', font: 'Body' }]);
});
