/** The same for both: TypeScript as CommonJS, by swc. */
const shared = {
  // The library of colours comes as modules only.
  transformIgnorePatterns: ['/node_modules/(?!culori/)'],
  transform: {
    '^.+\\.(tsx?|js)$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
};

/**
 * Unit and API tests, and tests of the interface's parts in a page of jsdom beside a real server;
 * what needs a browser's layout, keys and paint lives in e2e/ and runs under Playwright.
 */
export default {
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'sums and server',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,contract,server,web}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'interface',
      testEnvironment: '<rootDir>/web/testing/browser-environment.ts',
      testMatch: ['<rootDir>/web/**/*.test.tsx'],
      globalSetup: '<rootDir>/web/testing/build-first.mjs',
      // Threads are the browser's; the same sums are done in the page here.
      moduleNameMapper: { '/workers/solver$': '<rootDir>/web/testing/solver-here.ts' },
    },
  ],
};
