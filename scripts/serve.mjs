/** Serves the built application; what is missing is installed and built first. */
import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { SERVER_ENV } from './serverEnv.mjs';
import { SERVER, build, packages } from './setup.mjs';

export function serve(home) {
  const server = spawn(process.execPath, [SERVER], {
    stdio: 'inherit',
    env: {
      ...process.env,
      ...SERVER_ENV,
      GLASSINE_HOME: home,
    },
  });
  server.on('exit', (code) => process.exit(code ?? 0));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
}

if (process.argv[1]?.endsWith('serve.mjs')) {
  await packages();
  await build();
  serve(resolve(process.env.GLASSINE_HOME ?? './var'));
}
