import { earTrouble, isWireless } from './ear';

const named = (name: string) => Object.assign(new Error('x'), { name });

test('what stands in the way of a microphone is said with its mend', () => {
  expect(earTrouble(named('NotAllowedError')).words).toContain('Allow it beside the address');
  expect(earTrouble(named('NotFoundError')).words).toContain('Plug one in');
  expect(earTrouble(named('NotReadableError')).words).toContain('Close it there');
  expect(earTrouble(named('WeirdError')).words).toContain('WeirdError');
  expect(earTrouble('none').words).toContain('none');
});

test('a headset is known by its name', () => {
  for (const name of ['Bluetooth headset', 'Hands-Free AG Audio', 'Somebody’s buds'])
    expect(isWireless(name)).toBe(true);
  for (const name of ['Built-in microphone', 'Default', null]) expect(isWireless(name)).toBe(false);
});
