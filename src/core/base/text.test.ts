import fc from 'fast-check';
import { asFileName, cutText, isSoundText, soundText } from './text';

test.each([
  ['', true],
  ['Zoë 🎾 已', true],
  ['half \ud83c', false],
  ['\udfbe other half', false],
  ['\udfbe\ud83c the wrong way round', false],
  ['zero \0 inside', false],
])('%j can be stored: %p', (text, sound) => {
  expect(isSoundText(text)).toBe(sound);
  expect(isSoundText(soundText(text))).toBe(true);
  if (sound) expect(soundText(text)).toBe(text);
});

test('what is put right is what UTF-8 gives back, and is put right once', () => {
  // The Encoding Standard (WHATWG) replaces each half of a pair by U+FFFD, as ours does.
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), fc.constantFrom('\ud83c', '\udfbe', ''), (text, half) => {
      const whole = (text + half).replaceAll('\0', '');
      const back = new TextDecoder('utf-8', { ignoreBOM: true }).decode(new TextEncoder().encode(whole));
      expect(soundText(text + half)).toBe(back);
    }),
  );
});

test('a cut never leaves half a character', () => {
  expect(cutText('abc🎾', 4)).toBe('abc');
  expect(cutText('abc🎾', 5)).toBe('abc🎾');
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.nat(40), (text, longest) => {
      const cut = cutText(text, longest);
      expect(text.startsWith(cut)).toBe(true);
      expect(cut.length).toBeLessThanOrEqual(longest);
      expect(isSoundText(cut)).toBe(true);
      expect(Math.min(longest, text.length) - cut.length).toBeLessThanOrEqual(1);
    }),
  );
});

test.each([
  ['Élan: Tuesday / 4 p.m. 2026-12-01', 'Élan Tuesday 4 p.m. 2026-12-01'],
  ['../../x', '.. .. x'],
  ['???', ''],
])('%s is the file %s', (text, name) => {
  expect(asFileName(text)).toBe(name);
});
