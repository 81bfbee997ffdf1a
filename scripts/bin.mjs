#!/usr/bin/env node
/**
 * `glassine`, from wherever it is called: files that are named are sought from there, what belongs
 * to the program where it lies. What is missing or was changed by an upgrade is installed and
 * built first; `GLASSINE_AS_BUILT=1` takes it as it is.
 */
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
process.env.GLASSINE_ROOT = root;
process.env.GLASSINE_MIGRATIONS ??= join(root, 'drizzle');

if (process.env.GLASSINE_AS_BUILT !== '1') {
  const from = process.cwd();
  process.chdir(root);
  const { build, packages } = await import('./setup.mjs');
  await packages();
  await build();
  process.chdir(from);
}
await import(pathToFileURL(join(root, '.next/glassine-command.mjs')).href);
