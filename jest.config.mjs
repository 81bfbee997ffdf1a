/** Jest runs the unit tests that sit beside the sources; browser tests live in e2e. */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/demo'],
  transform: {
    '^.+\\.m?(t|j)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
      },
    ],
  },
  // Only packages that ship ES modules alone go through the compiler.
  transformIgnorePatterns: [
    '/node_modules/(?!(d3|d3-[a-z-]+|@react-pdf|lcms-wasm|maxrects-packer|color-string|color-name|yoga-layout|@tanstack|internmap|delaunator|robust-predicates|country-to-currency)/)',
  ],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^@react-pdf/hyphenate/(.*)$': '<rootDir>/node_modules/@react-pdf/hyphenate/lib/$1.js',
  },
  setupFiles: ['<rootDir>/scripts/propertyRuns.mjs'],
  // Handed to every module: looked up through the test's own global object each is many times as slow.
  sandboxInjectedGlobals: [
    'Math',
    'Float32Array',
    'Float64Array',
    'Uint8Array',
    'Uint16Array',
    'Int32Array',
    'Number',
    'Array',
  ],
  // Generous: beside the browser tests they get what those leave.
  testTimeout: 480000,
  // One for each of two processors; by itself it would leave one of them idle.
  maxWorkers: 2,
};
