const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
  },
];

export default {
  testEnvironment: '<rootDir>/testing/environment.mjs',
  roots: ['<rootDir>/src', '<rootDir>/scripts', '<rootDir>/testing'],
  setupFiles: ['<rootDir>/testing/clock/jest.js'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  transform: { '^.+\\.(t|mj|j)sx?$': swc },
  transformIgnorePatterns: [
    '/node_modules/(?!(d3|d3-.*|internmap|delaunator|robust-predicates|ulid|idb|@noble|uqr)/)',
  ],
  moduleNameMapper: {
    // Jest runs CommonJS: the bundled build of D3 instead of its modules.
    '^d3$': '<rootDir>/node_modules/d3/dist/d3.js',
    '^@/(.*)$': '<rootDir>/src/$1',
  },
  // Jest runs code in a world of its own, where asking for a global takes long: these are handed to every file as its own.
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array', 'Float64Array', 'Float32Array'],
  // On two cores Jest would keep one of them for itself.
  maxWorkers: 2,
  testTimeout: 20000,
};
