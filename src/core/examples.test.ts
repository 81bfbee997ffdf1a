import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** The worked examples of the core: `@example call // what it answers`. Each is run. */
const CORE = join(__dirname);
const EXAMPLE = /@example ((?:[^\n]*?\S))\s*\n?[ *]*\/\/ ([^\n]+?)(?: \*\/)?\n/g;

const files = readdirSync(CORE, { recursive: true })
  .map(String)
  .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts') && !f.endsWith('index.ts'))
  .sort();

// eslint-disable-next-line @typescript-eslint/no-require-imports -- every file, whatever there is
const exportsOf = (file: string) => require(join(CORE, file)) as Record<string, unknown>;

const examples = files.flatMap((file) =>
  [...readFileSync(join(CORE, file), 'utf8').matchAll(EXAMPLE)].map(
    ([, call, answer]) => [file, call!, answer!] as const,
  ),
);

/** A call may name what the whole core exports; what its own file calls so comes first. */
function run(file: string, text: string): unknown {
  const all = Object.assign({}, ...files.map(exportsOf), exportsOf(file)) as object;
  const names = Object.keys(all).filter((n) => /^[A-Za-z_]\w*$/.test(n) && n !== 'default');
  const values = names.map((n) => (all as Record<string, unknown>)[n]);
  // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call -- text of our own
  return new Function(...names, `return (${text})`)(...values);
}

/** Figures as they are written: whole ones exact, the others to the last digit given. */
function asWritten(found: unknown, wanted: unknown): unknown {
  // Thin and unbreakable spaces are not told apart here.
  if (typeof found === 'string') return found.replace(/[\u2009\u202f\u00a0]/g, ' ');
  if (typeof found === 'number' && typeof wanted === 'number') {
    const [, decimals = ''] = String(wanted).split('.');
    return decimals === '' ? found : Number(found.toFixed(decimals.length));
  }
  if (Array.isArray(found) && Array.isArray(wanted))
    return found.map((x, i) => asWritten(x, wanted[i]));
  if (found && wanted && typeof found === 'object' && typeof wanted === 'object')
    return Object.fromEntries(
      Object.keys(wanted).map((k) => [
        k,
        asWritten(
          (found as Record<string, unknown>)[k],
          (wanted as Record<string, unknown>)[k],
        ),
      ]),
    );
  return found;
}

it('there are examples all over the core', () => {
  const folders = new Set(examples.map(([file]) => file.split('/')[0]));
  expect([...folders].sort()).toEqual(
    expect.arrayContaining([
      'capture',
      'edition',
      'input',
      'order',
      'pack',
      'price',
      'size',
      'units',
    ]),
  );
});

it.each(examples)('%s: %s', (file, call, answer) => {
  const wanted = run(file, answer);
  expect(asWritten(run(file, call), wanted)).toEqual(wanted);
});

/** Exported functions of a file, each with its comment, and whether it throws. */
function documented(file: string): { name: string; doc: string; throws: boolean }[] {
  const text = readFileSync(join(CORE, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: ReturnType<typeof documented> = [];
  const add = (name: string, node: ts.Node) =>
    found.push({
      name,
      doc: ts
        .getJSDocCommentsAndTags(node)
        .map((d) => d.getText())
        .join(' '),
      throws: /throw new/.test(node.getText()),
    });
  for (const node of source.statements) {
    const modifiers = ts.canHaveModifiers(node) ? ts.getModifiers(node) : undefined;
    if (!modifiers?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword)) continue;
    if (ts.isFunctionDeclaration(node)) add(node.name!.text, node);
    if (ts.isVariableStatement(node))
      for (const { name, initializer } of node.declarationList.declarations)
        if (initializer && ts.isArrowFunction(initializer)) add(name.getText(), node);
  }
  return found;
}

it('every function that the core hands out says what it does, and that it throws where it does', () => {
  const all = files.flatMap((file) => documented(file).map((d) => ({ file, ...d })));
  expect(all.length).toBeGreaterThan(300);
  expect(all.filter((d) => d.doc === '').map((d) => `${d.file}: ${d.name}`)).toEqual([]);
  const silent = all.filter((d) => d.throws && !/throws/i.test(d.doc));
  expect(silent.map((d) => `${d.file}: ${d.name}`)).toEqual([]);
});
