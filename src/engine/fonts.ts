import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';

const WOFF = join(
  /* turbopackIgnore: true */ process.env.GLASSINE_ROOT ?? process.cwd(),
  'node_modules/@fontsource/commissioner/files/commissioner-latin-500-normal.woff',
);

/** The font of a WOFF file (W3C, version 1) as the text drawer reads it: its tables inflated. */
export function unpackWoff(woff: Buffer): Buffer {
  const count = woff.readUInt16BE(12);
  const power = Math.floor(Math.log2(count));
  const head = Buffer.alloc(12 + count * 16);
  head.writeUInt32BE(woff.readUInt32BE(4), 0);
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(16 << power, 6);
  head.writeUInt16BE(power, 8);
  head.writeUInt16BE(count * 16 - (16 << power), 10);
  const tables: Buffer[] = [];
  let at = head.length;
  for (let i = 0; i < count; i += 1) {
    const entry = 44 + i * 20;
    const [from, packed, length, sum] = [4, 8, 12, 16].map((o) =>
      woff.readUInt32BE(entry + o),
    ) as [number, number, number, number];
    const raw = woff.subarray(from, from + packed);
    const table = packed < length ? inflateSync(raw) : raw;
    woff.copy(head, 12 + i * 16, entry, entry + 4);
    head.writeUInt32BE(sum, 16 + i * 16);
    head.writeUInt32BE(at, 20 + i * 16);
    head.writeUInt32BE(length, 24 + i * 16);
    const padding = Buffer.alloc((4 - (length & 3)) & 3);
    tables.push(table, padding);
    at += length + padding.length;
  }
  return Buffer.concat([head, ...tables]);
}

let made: string | undefined;

/** The house's own font as a file that words are drawn into pictures with. */
function fontFile(): string {
  if (made && existsSync(/* turbopackIgnore: true */ made)) return made;
  const folder = join(tmpdir(), 'glassine-fonts');
  mkdirSync(folder, { recursive: true });
  const part = join(folder, randomUUID());
  writeFileSync(part, unpackWoff(readFileSync(WOFF)));
  made = join(folder, 'commissioner-500.ttf');
  renameSync(part, made);
  return made;
}

/** How the text drawer is told to use it, in so many points. */
export const houseFont = (points: number) => ({
  // The comma keeps the last word of the name from being read as a weight.
  font: `Commissioner Medium, ${points}`,
  fontfile: fontFile(),
});
