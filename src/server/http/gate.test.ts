import { bodyLimits } from './body-limits';
import { bytesUnderWay, gate, type Answer, type Head } from './gate';

const head = (more: Partial<Head> = {}): Head => ({
  method: 'POST',
  path: '/api/touches',
  length: 100,
  isKnown: () => Promise.resolve(true),
  ...more,
});
const stranger = { isKnown: () => Promise.resolve(false) };
const status = (answer: Answer) => {
  if ('status' in answer) return answer.status;
  answer.leave();
  return 200;
};
const asked = async (more: Partial<Head>) => status(await gate(head(more)));

test.each([
  [{ path: '/api/touches', length: bodyLimits.touches }, 200],
  [{ path: '/api/touches', length: bodyLimits.touches + 1 }, 413],
  [{ path: '/api/help/x/touches', length: bodyLimits.touches + 1 }, 413],
  [{ path: '/api/book', length: bodyLimits.book }, 200],
  [{ path: '/api/book', length: bodyLimits.book + 1 }, 413],
  [{ path: '/api/books', length: 100_000 }, 413],
  [{ path: '/api/track', length: 5000 }, 413],
  [{ path: '/squad', length: bodyLimits.action }, 200],
  [{ path: '/squad', length: bodyLimits.action + 1 }, 413],
  [{ length: null }, 411],
  [{ length: Number.NaN }, 411],
  [{ length: -1 }, 411],
  [{ method: 'GET' }, 400],
  [{ path: '/api/book', length: bodyLimits.book, ...stranger }, 401],
  [{ path: '/squad', length: bodyLimits.stranger + 1, ...stranger }, 401],
  [{ path: '/squad', length: bodyLimits.stranger, ...stranger }, 200],
])('%j gets %i', async (more, wanted) => {
  expect(await asked(more)).toBe(wanted);
  expect(bytesUnderWay()).toBe(0);
});

test('however many send at once, no more than 64 MB are on their way, and a book keeps no count waiting', async () => {
  const open: (() => void)[] = [];
  const refused: number[] = [];
  const send = async (path: string, length: number, times: number) => {
    for (let n = 0; n < times; n++) {
      const answer = await gate(head({ path, length }));
      if ('leave' in answer) open.push(answer.leave);
      else refused.push(answer.status);
    }
  };
  await send('/api/book', bodyLimits.book, 24);
  await send('/api/drills', bodyLimits.drills, 24);
  expect(open).toHaveLength(1 + 4);
  expect(new Set(refused)).toEqual(new Set([503]));
  expect(await asked({ path: '/api/touches', length: 5000 })).toBe(200);
  await send('/api/touches', bodyLimits.stranger, 2000);
  expect(bytesUnderWay()).toBeLessThanOrEqual(64 * 2 ** 20);
  // Where little room is left for small ones, strangers have none of it, and nobody else is asked about twice.
  const half = open.splice(0, Math.ceil(open.length / 2));
  half.forEach((leave) => leave());
  expect(await asked({ length: 100 })).toBe(200);
  open.forEach((leave) => (leave(), leave()));
  expect(bytesUnderWay()).toBe(0);
});

test('strangers are asked who they are as soon as room is short', async () => {
  const open: (() => void)[] = [];
  for (;;) {
    const answer = await gate(head({ length: bodyLimits.stranger, ...stranger }));
    if (!('leave' in answer)) {
      expect(answer.status).toBe(401);
      break;
    }
    open.push(answer.leave);
  }
  expect(await asked({ length: bodyLimits.stranger })).toBe(200);
  open.forEach((leave) => leave());
});
