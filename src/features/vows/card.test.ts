import jsQR from 'jsqr';
import { plainBook } from '@/drills';
import { pdfBytes } from '@/server/files/pdf';
import { cardOf } from '@/session/vows/card';
import { usualDose } from '@/session/vows/vow';
import { cardDocument } from './card-doc';
import { cardSizes } from './card-sheet';
import { pdfPages, pdfPicture, pdfSize } from '../../../testing/pdf-picture';
import { qrOf } from './qr';

const link = `http://192.168.17.4:4020/vow/${'aB3-_9'.repeat(3)}wxyz`;
const part = (drillId: string, stepId: string) => ({
  drillId,
  stepId,
  dose: usualDose(plainBook.step(drillId, stepId)!, 9),
  choices: [],
});
const cardFor = (...parts: ReturnType<typeof part>[]) =>
  cardOf(
    plainBook,
    { id: 'p', name: 'Nessa Quillby', age: 9, stage: 'orange' },
    {
      parts,
      aim: { kind: 'mark' },
      weekdays: [1, 3, 5],
      minutes: 5,
      growth: 0,
      atTime: null,
      alarm: false,
      byEar: false,
    },
    '2026-12-04',
    Array.from({ length: 12 }, (_, i) => ({
      day: `2026-12-${String(i + 1).padStart(2, '0')}`,
      doses: parts.map(({ dose }) => dose),
    })),
  )!;
const one = cardFor(part('palm-up-bounce', 'row-20'));

test('the code on the PDF is read back as the link, by a reader that is none of ours', async () => {
  const pdf = await pdfBytes(cardDocument(one, 'A6', link));
  const { pixels, width, height } = pdfPicture(pdf);
  expect(jsQR(pixels, width, height)?.data).toBe(link);
});

test('the code of the page is the same, with the four modules of quiet the standard asks for', () => {
  const { size, runs } = qrOf(link);
  const at = 5;
  const pixels = new Uint8ClampedArray((size * at) ** 2 * 4).fill(255);
  for (const { x, y, w } of runs) {
    expect(Math.min(x, y)).toBeGreaterThanOrEqual(4);
    expect(x + w).toBeLessThanOrEqual(size - 4);
    for (let py = y * at; py < (y + 1) * at; py++)
      for (let px = x * at; px < (x + w) * at; px++)
        pixels.fill(0, (py * size * at + px) * 4, (py * size * at + px) * 4 + 3);
  }
  expect(jsQR(pixels, size * at, size * at)?.data).toBe(link);
});

// ISO 216, in millimetres; a point is a seventy-second of an inch.
test.each([
  ['A6', 105, 148],
  ['A5', 148, 210],
  ['four on A4', 210, 297],
] as const)('on %s it is two pages of that paper', async (size, width, height) => {
  for (const card of [
    one,
    cardFor(
      part('palm-up-bounce', 'row-20'),
      part('rim-roll', 'one-way-round'),
      part('knuckle-up-bounce', 'one-hand'),
    ),
  ]) {
    const pdf = await pdfBytes(cardDocument(card, size, link));
    expect(pdfPages(pdf)).toBe(2);
    expect(pdfSize(pdf).map((points) => Math.round((points / 72) * 25.4))).toEqual([width, height]);
  }
});

test('strokes of a sequence stand on the card in whole words, and the card keeps its two pages', async () => {
  const strokes = 'bh corner, fh pivot loop backspin, fh wide';
  const card = cardFor({ ...part('shadow-patterns', 'own-pattern'), strokes } as ReturnType<typeof part>);
  expect(card.parts[0]!.task).toContain(
    'Your strokes, over and over: backhand corner; forehand pivot (loop, backspin); forehand wide.',
  );
  expect(cardFor(part('shadow-patterns', 'own-pattern')).parts[0]!.task).not.toContain('Your strokes');
  const pdf = await pdfBytes(cardDocument(card, 'A6', link));
  expect(pdfPages(pdf)).toBe(2);
});

test('what the page says the PDF says', () => {
  expect(cardSizes).toHaveLength(3);
  const said = JSON.stringify(cardDocument(one, 'A6', null).content);
  const { parts, when } = one;
  const { words, cue, checkpoints, care, helper, task, title } = parts[0]!;
  for (const line of [when, words, cue, task, title, ...checkpoints, ...care, ...helper])
    expect(said).toContain(JSON.stringify(line).slice(1, -1));
  expect(said).not.toContain('Count on a phone');
});

test('the wordiest cards of the catalogue, with a box for every day there is room for, stay on two pages', async () => {
  const days = Array.from({ length: 20 }, (_, i) => `2026-12-${String(i + 1).padStart(2, '0')}`);
  const cards = plainBook.drills.flatMap((drill) =>
    drill.steps.map((step) => {
      const own = part(drill.id, step.id);
      const vow = { parts: [own], aim: { kind: 'mark' as const }, weekdays: [1], minutes: 5, growth: 0 };
      return cardOf(
        plainBook,
        { id: 'p', name: 'Nessa', age: 13, stage: null },
        { ...vow, atTime: null, alarm: false, byEar: false },
        '2026-12-20',
        days.map((day) => ({ day, doses: [own.dose] })),
      )!;
    }),
  );
  const letters = (card: (typeof cards)[number]) => JSON.stringify(card.parts).length;
  const longest = cards.sort((a, b) => letters(b) - letters(a)).slice(0, 4);
  for (const card of longest) expect(pdfPages(await pdfBytes(cardDocument(card, 'A6', link)))).toBe(2);
});
