import { reachOf, type Listening } from './reach';

const usual: Listening = {
  host: '127.0.0.1',
  port: '3200',
  scheme: 'http',
  proxied: false,
  allowed: '',
  own: ['192.168.1.20', '10.0.0.5'],
  asked: 'http://127.0.0.1:3200',
};
const addresses = (more: Partial<Listening>) => reachOf({ ...usual, ...more }).addresses;

test.each(['127.0.0.1', 'localhost', '::1'])('a server on %s is reached by no phone', (host) => {
  for (const allowed of ['', '*', 'hall.club.example, 192.168.1.20'])
    expect(reachOf({ ...usual, host, allowed })).toEqual({
      addresses: [],
      closed: ['192.168.1.20', '10.0.0.5'],
      port: '3200',
    });
});

test('on the network it offers the names it answers to, and its own addresses among them', () => {
  const open = { host: '0.0.0.0' };
  expect(addresses(open)).toEqual([]);
  expect(addresses({ ...open, allowed: '192.168.1.20' })).toEqual(['http://192.168.1.20:3200']);
  expect(addresses({ ...open, allowed: 'localhost, Hall.Local:3200' })).toEqual(['http://hall.local:3200']);
  expect(addresses({ ...open, allowed: '*' })).toEqual(['http://192.168.1.20:3200', 'http://10.0.0.5:3200']);
  expect(reachOf({ ...usual, ...open, allowed: '10.0.0.5' }).closed).toEqual(['192.168.1.20']);
  expect(addresses({ host: '10.0.0.5', allowed: '*' })).toEqual(['http://10.0.0.5:3200']);
  expect(addresses({ host: '10.0.0.5', allowed: '' })).toEqual([]);
});

test('the address the page was opened at comes first, and ports that go without saying are left out', () => {
  expect(
    addresses({ host: '0.0.0.0', allowed: '192.168.1.20,hall.local', asked: 'http://hall.local:3200' }),
  ).toEqual(['http://hall.local:3200', 'http://192.168.1.20:3200']);
  expect(addresses({ host: '0.0.0.0', port: '443', scheme: 'https', allowed: 'hall.local' })).toEqual([
    'https://hall.local',
  ]);
  expect(addresses({ proxied: true, allowed: 'steps.club.example' })).toEqual(['https://steps.club.example']);
});
