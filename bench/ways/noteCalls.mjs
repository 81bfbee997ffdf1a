/**
 * Compiles as the tests do; beyond that, what a file of `src` takes from another one is noted
 * as it is taken: `__taken(taker, value)`, and what it gives carries its home.
 */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import swc from '@swc/jest';

/** Exports, in each of the forms that the compiler writes them. */
const given = (code, file) =>
  code
    .replace(
      /get: (Object\.getOwnPropertyDescriptor\(all, name\)\.get|all\[name\])/g,
      (_, get) => `get: globalThis.__given(${get}, ${file}, name)`,
    )
    .replace(
      /exports, "(\w+)", \{\s*enumerable: true,\s*get: function\(\) \{\s*return (\w+);\s*\}/g,
      (_, name, value) =>
        `exports, "${name}", { enumerable: true, get: globalThis.__given(() => ${value}, ${file}, "${name}")`,
    );

/** What is called. */
const called = (code, file) =>
  code.replace(
    /\(0, (_\w+)\.(\w+)\)\(/g,
    (_, from, name) => `globalThis.__taken(${file}, ${from}.${name})(`,
  );

/** What is handed on to be called. */
const handedOn = (code, file) =>
  code.replace(
    /(?<!\(0, |new |[\w.$]|__taken\("[^"]*", )(_[a-z]\w*)\.([a-z]\w*)(?=[,)\s\]])/g,
    (all, from, name) =>
      new RegExp(`const ${from} = (/\\*#__PURE__\\*/|require\\()`).test(code)
        ? `globalThis.__taken(${file}, ${from}.${name})`
        : all,
  );

const self = readFileSync(new URL(import.meta.url), 'utf8');

const noteCalls = (compiler) => ({
  process(source, path, options) {
    const out = compiler.process(source, path, options);
    const [, of] = /\/src\/(.+)$/.exec(path) ?? [];
    if (!of || /\.test\.tsx?$/.test(of)) return out;
    const file = JSON.stringify(of);
    const code = called(given(out.code, file), file);
    // What a door hands on is no call of its own.
    return { code: /(^|\/)index\.ts$/.test(of) ? code : handedOn(code, file) };
  },
  getCacheKey: (source, path) =>
    createHash('sha1').update(`${self}${source}${path}`).digest('hex'),
});

export default {
  createTransformer: (settings) => noteCalls(swc.createTransformer(settings)),
};
