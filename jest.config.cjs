/** Three kinds of test: plain code in Node, the server against a real PostgreSQL, components in the web preset of jest-expo. */
const path = require('node:path');

/** Types are stripped, nothing else is rewritten: what Node runs, the tests run. */
const swc = {
  '\\.ts$': [
    '@swc/jest',
    { swcrc: false, sourceMaps: 'inline', module: { type: 'commonjs' }, jsc: { parser: { syntax: 'typescript' }, target: 'es2022' } },
  ],
};
const node = (displayName, roots) => ({
  displayName,
  rootDir: __dirname,
  roots,
  testEnvironment: 'node',
  transform: swc,
  testMatch: ['**/*.test.ts'],
  modulePathIgnorePatterns: ['/dist'],
});

module.exports = {
  // A whole job is planned in some: a busy machine takes its time.
  testTimeout: 20_000,
  projects: [
    node('core', ['<rootDir>/core/src', '<rootDir>/scripts']),
    node('server', ['<rootDir>/server/src']),
    {
      displayName: 'client',
      preset: 'jest-expo/web',
      // Screens want their own dialect; the core and the sample are plain.
      transform: { '/(core|demo)/src/.*\\.ts$': swc['\\.ts$'] },
      rootDir: path.join(__dirname, 'client'),
      roots: ['<rootDir>/src'],
      setupFiles: ['<rootDir>/jest.setup.ts'],
      moduleNameMapper: { '\\.woff2$': '<rootDir>/jest.asset.cjs', '\\.css$': '<rootDir>/jest.asset.cjs' },
      modulePathIgnorePatterns: ['/dist'],
    },
  ],
};
