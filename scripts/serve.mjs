/** Serves the built application on this machine only, unless told otherwise. */
import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { build, packages } from './setup.mjs';

export function serve(home) {
  const host = process.env.GLASSINE_BIND ?? '127.0.0.1';
  const port = process.env.PORT ?? '4173';
  console.log(
    `\nGlassine: http://${host}:${port}   data folder: ${home}   (Ctrl-C stops it)\n`,
  );
  const server = spawn('npx', ['next', 'start', '-H', host, '-p', port], {
    stdio: 'inherit',
    env: { ...process.env, GLASSINE_HOME: home, NEXT_TELEMETRY_DISABLED: '1' },
  });
  server.on('exit', (code) => process.exit(code ?? 0));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
}

if (process.argv[1]?.endsWith('serve.mjs')) {
  packages();
  build();
  serve(resolve(process.env.GLASSINE_HOME ?? './var'));
}
