import { isWireless } from './ear';
import { mediaTrouble } from './media-trouble';

const named = (name: string) => Object.assign(new Error('x'), { name });
const asked = { what: 'microphone', instead: 'tap' } as const;

test.each([
  ['NotAllowedError', 'Allow it beside the address'],
  ['SecurityError', 'Allow it beside the address'],
  ['NotFoundError', 'Plug one in, or tap'],
  ['NotReadableError', 'Close it there'],
  ['WeirdError', 'could not be opened (WeirdError): tap meanwhile'],
])('%s is said with its mend', (name, words) => {
  expect(mediaTrouble(named(name), asked)).toContain(words);
  expect(mediaTrouble(named(name), { what: 'camera', instead: 'open a file' })).toContain('camera');
});

test('a headset is known by its name', () => {
  for (const name of ['Bluetooth headset', 'Hands-Free AG Audio', 'Somebody’s buds'])
    expect(isWireless(name)).toBe(true);
  for (const name of ['Built-in microphone', 'Default', null]) expect(isWireless(name)).toBe(false);
});
