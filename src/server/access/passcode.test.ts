import { problem } from '../testing/scratch';
import { goodPasscode, hashPasscode, isPasscode } from './passcode';

const passcode = 'quiet lantern over gravel';

describe('passcodes', () => {
  test.each([
    ['', 'at least 8'],
    ['short', 'at least 8 letters: it has 5'],
    ['        ', 'too easy'],
    ['password', 'too easy'],
    ['P@ssw0rd1', 'too easy'],
    ['qwertyuiop', 'too easy'],
    ['vowstep1', 'too easy'],
    ['Ottilie2016', 'too easy'],
    ['aaaaaaaaaaaa', 'too easy'],
    ['x'.repeat(10_000), 'at most 128 letters: it has 10000'],
  ])('%.20s is no good one, and why is said', async (word, why) =>
    expect(problem(await goodPasscode(word, ['Ottilie']))).toContain(why),
  );

  test.each([passcode, 'Tor! 3-grüne Dackel', '短い小径を歩く九人の友'])('%s is one', async (word) =>
    expect((await goodPasscode(word, [])).ok).toBe(true),
  );

  test('a hash holds its parameters, is another each time, and fits its passcode only', async () => {
    const [one, two] = [await hashPasscode(passcode), await hashPasscode(passcode)];
    expect(one).toMatch(/^scrypt\$32768\$8\$3\$/);
    expect(one).not.toBe(two);
    expect(await isPasscode(passcode, one)).toBe(true);
    expect(await isPasscode(`${passcode} `, one)).toBe(false);
    for (const broken of ['', 'scrypt$1', one.slice(0, -1), one.replace('scrypt', 'plain')])
      expect(await isPasscode(passcode, broken)).toBe(false);
  });

  test('scrypt is the one of RFC 7914, 12 (second vector: N 1024, r 8, p 16)', async () => {
    const { scryptSync } = await import('node:crypto');
    expect(scryptSync('password', 'NaCl', 64, { N: 1024, r: 8, p: 16 }).toString('hex').slice(0, 32)).toBe(
      'fdbabe1c9d3472007856e7190d01e9fe',
    );
  });
});
