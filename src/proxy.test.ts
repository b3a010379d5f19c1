import { NextRequest } from 'next/server';
import { proxy } from './proxy';

const ask = (host: string, path = '/') =>
  proxy(new NextRequest(`http://${host}${path}`, { headers: { host } }));
afterEach(() => {
  delete process.env.VOWSTEP_ALLOWED_HOSTS;
});

test.each(['localhost:3200', '127.0.0.1', 'LOCALHOST', '[::1]:3200'])('%s is answered', (host) => {
  expect(ask(host).status).toBe(200);
});

test.each(['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example:80'])('%s is not', (host) => {
  expect(ask(host).status).toBe(421);
  expect(ask(host, '/api/touches').status).toBe(421);
});

test('more hosts can be named', () => {
  process.env.VOWSTEP_ALLOWED_HOSTS = 'hall.local,coach.local';
  expect([ask('coach.local:3200').status, ask('other.local').status]).toEqual([200, 421]);
  process.env.VOWSTEP_ALLOWED_HOSTS = '*';
  expect(ask('other.local').status).toBe(200);
});

test('each page has a nonce of its own, and nothing unsafe in scripts or frames', () => {
  const policy = () => ask('localhost').headers.get('content-security-policy')!;
  expect(policy()).not.toBe(policy());
  expect(policy()).not.toMatch(/script-src[^;]*unsafe/);
  for (const part of ["default-src 'self'", "object-src 'none'", "frame-ancestors 'none'", "base-uri 'none'"])
    expect(policy()).toContain(part);
  expect(ask('localhost').headers.get('x-content-type-options')).toBe('nosniff');
});
