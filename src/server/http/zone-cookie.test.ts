import { zoneOfRequest } from './zone-cookie';

const said: { value?: string } = {};
jest.mock('next/headers', () => ({
  cookies: () =>
    Promise.resolve({ get: () => (said.value === undefined ? undefined : { value: said.value }) }),
}));

test.each<[string | undefined, string | undefined]>([
  ['Europe/Berlin', 'Europe/Berlin'],
  ['Asia/Kolkata', 'Asia/Kolkata'],
  [undefined, undefined],
  ['', undefined],
  ['%E0%A4%A', undefined],
  ['Europe/Atlantis', undefined],
  ['x'.repeat(5000), undefined],
])('a browser that says %p is in %p', async (value, zone) => {
  said.value = value;
  expect(await zoneOfRequest()).toBe(zone);
});
