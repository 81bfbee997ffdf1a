import base from '../../jest.config.mjs';

/** The ways as they run: what is called from floor to floor, noted by the compiler's own output. */
export default {
  ...base,
  rootDir: process.cwd(),
  roots: ['<rootDir>/bench/ways', '<rootDir>/src'],
  testMatch: ['<rootDir>/bench/ways/ways.walk.ts'],
  transform: { '^.+\\.m?(t|j)sx?$': '<rootDir>/bench/ways/noteCalls.mjs' },
  setupFiles: [...base.setupFiles, '<rootDir>/bench/ways/calls.mjs'],
};
