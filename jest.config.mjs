/**
 * What sums ask for all the time. Looked up in the sandbox, each of them costs as much as the sum;
 * given to every file by name, all sums here take half the time.
 */
const atHand = [
  ...['Math', 'Number', 'Object', 'Array', 'Set', 'String', 'Float64Array', 'Float32Array'],
  ...['Uint8Array', 'Uint8ClampedArray', 'Int32Array'],
];

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
  // A process that has run many files keeps of each what its sandbox left; past a third of a gigabyte
  // the same sums take twice as long, so a new one is begun.
  workerIdleMemoryLimit: '320MB',
  // How long something takes is for the bench to say. A machine four times as slow as this one, with
  // the other tests beside it, is no fault of what is tested; what hangs still ends.
  testTimeout: 300_000,
  projects: [
    {
      ...shared,
      displayName: 'sums and server',
      sandboxInjectedGlobals: [...atHand, 'Infinity', 'Map'],
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,contract,server,web}/**/*.test.ts'],
      // Read by the one test file that gives them their server.
      testPathIgnorePatterns: ['\\.cases\\.test\\.ts$'],
      globalSetup: '<rootDir>/server/template-anew.mjs',
    },
    {
      ...shared,
      displayName: 'interface',
      // The icons have an Infinity and a Map of their own.
      sandboxInjectedGlobals: atHand,
      testEnvironment: '<rootDir>/web/testing/browser-environment.ts',
      testMatch: ['<rootDir>/web/**/*.test.tsx'],
      globalSetup: '<rootDir>/web/testing/servers-for-pages.mjs',
      globalTeardown: '<rootDir>/web/testing/servers-ended.mjs',
      setupFiles: ['<rootDir>/web/testing/react-as-shipped.ts'],
      // Threads are the browser's; the same sums are done in the page here.
      moduleNameMapper: { '/workers/solver$': '<rootDir>/web/testing/solver-here.ts' },
    },
  ],
};
