/** Assembles the sums over rows (rows.wat) into the module that the sources import. */
import { readFileSync, writeFileSync } from 'node:fs';
import wabt from 'wabt';

const FOLDER = 'src/core/image/rows/simd';

const { parseWat } = await wabt();
const text = readFileSync(`${FOLDER}/rows.wat`, 'utf8');
const { buffer } = parseWat('rows.wat', text, { simd: true }).toBinary({});
writeFileSync(
  `${FOLDER}/rowsWasm.ts`,
  `/** rows.wat, assembled by \`npm run simd\`: base64. */
export const ROWS_WASM =
  '${Buffer.from(buffer).toString('base64')}';
`,
);
