import { wayBack } from './ways-back';

test.each([
  ['/', '/'],
  ['/sessions/01A/run?x=1', '/sessions/01A/run?x=1'],
  ['//elsewhere.example', '/'],
  ['/\\elsewhere.example', '/'],
  ['/\t/elsewhere.example', '/'],
  ['https://elsewhere.example/', '/'],
  ['javascript:alert(1)', '/'],
  ['/sign-in?to=/sign-in', '/'],
  ['/.//elsewhere.example', '/'],
  ['', '/'],
  [`/${'x'.repeat(3000)}`, '/'],
])('%j leads to %j', (to, there) => expect(wayBack(to)).toBe(there));
