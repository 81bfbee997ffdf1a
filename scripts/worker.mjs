import { register } from 'tsx/esm/api';

// A worker thread of a program that runs from source: compiles as it imports.
register();
await import('../src/engine/jobs/pixel.worker.ts');
