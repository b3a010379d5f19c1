import type { Card } from '@/session/vows/card';
import { asData, cardText, closedPage } from './file-page';

const nasty = '</script><img src=x onerror=alert(1)>&"';
const card = {
  name: nasty,
  when: nasty,
  parts: [{ drill: nasty, title: nasty, words: nasty, cue: nasty, checkpoints: [nasty], care: [nasty] }],
} as unknown as Card;

test('what a coach wrote stays text, wherever it stands in the page', () => {
  for (const page of [cardText(card), closedPage(nasty)]) {
    expect(page).not.toContain('<img');
    expect(page).not.toContain('</script><');
    expect(page).toContain('&lt;/script&gt;&lt;img');
  }
});

test('data cannot end the element it stands in, and is read back as it was', () => {
  const data = asData({ nasty, deep: [nasty] });
  expect(data).not.toContain('<');
  expect(JSON.parse(data)).toEqual({ nasty, deep: [nasty] });
});

test('a closed link’s page asks for nothing', () => {
  expect(closedPage('Over.')).not.toMatch(/src=|href=/);
});
