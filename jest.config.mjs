/** Unit and API tests; the browser's own live in e2e/ and run under Playwright. */
export default {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,contract,server,web}/**/*.test.ts?(x)'],
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
