import base from '../../jest.config.mjs';

const [[files, [, settings]]] = Object.entries(base.transform);

/** The ways as they run: what is called from floor to floor, noted by the compiler's own output. */
export default {
  ...base,
  rootDir: process.cwd(),
  roots: ['<rootDir>/bench/ways', '<rootDir>/src'],
  testMatch: ['<rootDir>/bench/ways/ways.walk.ts'],
  transform: { [files]: ['<rootDir>/bench/ways/noteCalls.mjs', settings] },
  setupFiles: [...base.setupFiles, '<rootDir>/bench/ways/calls.mjs'],
};
