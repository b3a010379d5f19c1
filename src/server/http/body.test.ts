import { readJson } from './body';

const json = { 'content-type': 'application/json' };
const request = (body: BodyInit, headers: Record<string, string> = json) =>
  new Request('http://localhost/', { method: 'POST', body, headers, duplex: 'half' } as RequestInit);

test('a body within bounds is read', async () => {
  expect(await readJson(request('{"a": "ä"}'), 100)).toEqual({ ok: true, value: { a: 'ä' } });
});

test('letters cut between chunks stay whole', async () => {
  const bytes = new TextEncoder().encode('"äöü"');
  const stream = new ReadableStream({
    start: (controller) => {
      for (const byte of bytes) controller.enqueue(Uint8Array.of(byte));
      controller.close();
    },
  });
  expect(await readJson(request(stream), 100)).toEqual({ ok: true, value: 'äöü' });
});

test.each([
  ['no JSON', '{"a": ', json, 400, 'body must be JSON'],
  ['nothing', '', json, 400, 'body must be JSON'],
  ['another type', '{}', { 'content-type': 'text/plain' }, 415, 'application/json'],
  ['too much', `"${'x'.repeat(4096)}"`, json, 413, 'body is over 1 KB'],
])('%s is refused in words', async (_what, body, headers, status, message) => {
  const outcome = await readJson(request(body, headers as Record<string, string>), 1024);
  expect(outcome).toMatchObject({ ok: false, status });
  expect(JSON.stringify(outcome)).toContain(message);
});

test('a body without an end is not read to its end', async () => {
  let sent = 0;
  const endless = new ReadableStream({
    pull: (controller) => {
      sent += 1024;
      controller.enqueue(new Uint8Array(1024).fill(32));
    },
  });
  expect(await readJson(request(endless), 10 * 1024)).toMatchObject({ ok: false, status: 413 });
  expect(sent).toBeLessThan(20 * 1024);
});
