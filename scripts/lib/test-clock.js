import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './run.js';

/**
 * When and where browser tests happen unless they are told otherwise: a plain Tuesday in the middle of the morning, and
 * there it is already a day later than by UTC. The demo they run on is made for this day with this seed.
 */
export const usualClock = { day: '2026-11-24', time: '10:00', zone: 'Pacific/Auckland' };
export const demoSeed = 20;

const setting = { day: 'VOWSTEP_TEST_DAY', time: 'VOWSTEP_TEST_TIME', zone: 'VOWSTEP_TEST_ZONE' };

/**
 * The clock that tests run by: the usual one, or what the environment says. A day of `real` is the machine's own clock.
 * @param {Partial<typeof usualClock>} [asked] goes before the environment
 * @returns its day, hour, zone and seed; `env`, the environment for every process of the tests; and `ask`, what to put before
 * a command so that it runs by the same clock
 */
export async function testClock(asked = {}) {
  const from = (part) => asked[part] ?? process.env[setting[part]] ?? usualClock[part];
  const seed = Number(process.env.VOWSTEP_SEED ?? demoSeed);
  const seedEnv = { VOWSTEP_SEED: String(seed) };
  if (from('day') === 'real') {
    const day = new Date().toLocaleDateString('sv-SE');
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const ask = `${setting.day}=real `;
    return { day, time: null, zone, seed, env: { ...seedEnv, ...said({ day, zone, seed, ask }) }, ask };
  }
  const [day, time, zone] = [from('day'), from('time'), from('zone')];
  const { TZDate } = await import('@date-fns/tz');
  const [year, month, date] = day.split('-').map(Number);
  const [hours, minutes] = time.split(':').map(Number);
  const startMs = new TZDate(year, month - 1, date, hours, minutes, zone).getTime();
  if (!Number.isFinite(startMs))
    throw new Error(
      `No clock shows ${day} ${time} ${zone}: give a day like 2026-11-24, a time like 10:00 and a zone.`,
    );
  const given = { day, time, zone };
  const ask = Object.keys(given)
    .filter((part) => given[part] !== usualClock[part])
    .map((part) => `${setting[part]}=${given[part]} `)
    .concat(seed === demoSeed ? [] : [`VOWSTEP_SEED=${seed} `])
    .join('');
  const register = pathToFileURL(path.join(root, 'testing/clock/process.mjs')).href;
  const env = {
    ...seedEnv,
    ...said({ ...given, seed, ask }),
    TZ: zone,
    VOWSTEP_TEST_SHIFT_MS: String(startMs - Date.now()),
    NODE_OPTIONS: [process.env.NODE_OPTIONS, `--import=${register}`].filter(Boolean).join(' '),
  };
  return { ...given, seed, env, ask };
}

/** What a failing test says of when it ran, and how to run it alone (testing/environment.mjs). */
const said = ({ day, time, zone, seed, ask }) => ({
  VOWSTEP_TEST_SAID: `On ${day}${time ? ` from ${time}` : ''} in ${zone}, seed ${seed}.`,
  VOWSTEP_TEST_ASK: ask,
});
