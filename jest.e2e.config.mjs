import unit from './jest.config.mjs';

const browserTests = {
  ...unit,
  testTimeout: undefined,
  roots: ['<rootDir>/e2e'],
  setupFilesAfterEnv: ['<rootDir>/testing/browser/patience.ts'],
};
// What holds for the whole run, not for a project of it.
delete browserTests.testTimeout;
delete browserTests.maxWorkers;

/**
 * What is done on court is done over the hall's network: on a host name that browsers do not take for secure, where more is
 * missing than it is here. What a secure page has besides (its service worker, its stores) is looked at in both.
 */
const courtside = ['court', 'measures', 'keyboard', 'away', 'plan-changes', 'circuit', 'downloads'];
const inBoth = ['away', 'downloads'];
const only = courtside.filter((name) => !inBoth.includes(name));

export default {
  maxWorkers: 2,
  testSequencer: '<rootDir>/e2e/lib/longest-first.mjs',
  projects: [
    {
      ...browserTests,
      displayName: 'browser',
      testMatch: ['**/*.e2e.ts'],
      testPathIgnorePatterns: [...only, 'today'].map((name) => `/${name}\\.e2e\\.ts$`),
    },
    {
      ...browserTests,
      displayName: 'hall',
      testMatch: courtside.map((name) => `**/${name}.e2e.ts`),
      globals: { vowstepHost: 'hall.test' },
    },
    {
      ...browserTests,
      displayName: 'server',
      // The first line once more, with a libSQL server as database.
      testMatch: ['**/first-line.e2e.ts'],
      globals: { vowstepRemote: true },
    },
    { ...browserTests, displayName: 'today', testMatch: ['**/today.e2e.ts'] },
  ],
};
