/** Attacks studios on this machine; what is missing is installed and built first. */
import { build, packages, run } from './setup.mjs';

await packages();
await build();
run(process.execPath, ['--import', 'tsx', 'e2e/attack/run.ts']);
