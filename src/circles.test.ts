import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import ts from 'typescript';

const SRC = __dirname;
const sources = readdirSync(SRC, { recursive: true })
  .map(String)
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f) && !f.endsWith('.d.ts'));

/** The file of ours that an import names; null for a package's. */
function fileOf(from: string, name: string): string | null {
  const path = name.startsWith('@/')
    ? name.slice(2)
    : name.startsWith('.')
      ? join(dirname(from), name)
      : null;
  if (path === null) return null;
  const ends = ['', '.ts', '.tsx', '/index.ts', '/index.tsx'];
  return (
    ends
      .map((end) => path + end)
      .find((f) => /\.tsx?$/.test(f) && existsSync(join(SRC, f))) ?? null
  );
}

/** What each file takes from another, types too. */
const importsOf = (files: readonly string[]): Map<string, string[]> =>
  new Map(
    files.map((file) => {
      const { importedFiles } = ts.preProcessFile(readFileSync(join(SRC, file), 'utf8'));
      return [file, importedFiles.flatMap((i) => fileOf(file, i.fileName) ?? [])];
    }),
  );

/** The first way that leads from a file back to it; null where none does. */
function circle(taken: ReadonlyMap<string, readonly string[]>): string[] | null {
  const done = new Set<string>();
  const walk = (file: string, way: string[]): string[] | null => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (done.has(file)) return null;
    for (const next of taken.get(file) ?? []) {
      const found = walk(next, [...way, file]);
      if (found) return found;
    }
    done.add(file);
    return null;
  };
  for (const file of taken.keys()) {
    const found = walk(file, []);
    if (found) return found;
  }
  return null;
}

it('finds a circle where there is one', () => {
  const taken = new Map([
    ['a', ['b']],
    ['b', ['c']],
    ['c', ['b']],
  ]);
  expect(circle(taken)).toEqual(['b', 'c', 'b']);
  expect(
    circle(
      new Map([
        ['a', ['b']],
        ['b', []],
      ]),
    ),
  ).toBeNull();
});

it('no file of the house takes from one that takes from it', () => {
  const taken = importsOf(sources);
  expect(taken.get('data/order/takeOrder.ts')).toContain('data/log/log.ts');
  expect(circle(taken)).toBeNull();
});
