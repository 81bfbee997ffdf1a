/**
 * Puts back into package-lock.json the optional platform packages that `npm install` leaves
 * out when the registry does not serve them at that moment: with them missing, `npm ci`
 * refuses the lock file. Run after every install that rewrites it.
 */
import { readFileSync, writeFileSync } from 'node:fs';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
let added = 0;
for (const [path, entry] of Object.entries(lock.packages)) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const nested = `${path}/node_modules/${name}`;
    if (lock.packages[nested] || lock.packages[`node_modules/${name}`]) continue;
    lock.packages[`node_modules/${name}`] = {
      version,
      optional: true,
      ...(entry.dev ? { dev: true } : {}),
    };
    added += 1;
  }
}
lock.packages = Object.fromEntries(
  Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)),
);
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} optional packages put back`);
