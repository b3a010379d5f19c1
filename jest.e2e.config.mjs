import unit from './jest.config.mjs';

export default {
  ...unit,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.e2e.ts'],
  testTimeout: 180000,
  maxWorkers: 1,
};
