/** The demo: installs what is missing, builds, makes the demo studio once, serves it. */
import { resolve } from 'node:path';
import { serve } from './serve.mjs';
import { build, packages, run } from './setup.mjs';

await packages();
await build();
const home = resolve(process.env.GLASSINE_HOME ?? './var/demo');
run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], {
  env: { ...process.env, GLASSINE_HOME: home },
});
if (process.argv.includes('--no-serve')) process.exit(0);
serve(home);
