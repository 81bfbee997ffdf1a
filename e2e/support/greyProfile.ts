const TAGS = 2;
const HEADER = 128;
const CURVE_BYTES = 16;
const XYZ_BYTES = 20;

/** A grey profile (version 2) whose values are light by a power. */
export function greyProfile(gamma: number): Uint8Array {
  const table = HEADER + 4 + TAGS * 12;
  const bytes = Buffer.alloc(table + XYZ_BYTES + CURVE_BYTES);
  bytes.writeUInt32BE(bytes.length, 0);
  bytes.writeUInt32BE(0x02400000, 8);
  bytes.write('mntrGRAYXYZ ', 12, 'latin1');
  bytes.write('acsp', 36, 'latin1');
  const white = [0.9642, 1, 0.8249].map((v) => Math.round(v * 65536));
  white.forEach((v, i) => bytes.writeInt32BE(v, 68 + i * 4));
  bytes.writeUInt32BE(TAGS, HEADER);
  bytes.write('wtpt', HEADER + 4, 'latin1');
  bytes.writeUInt32BE(table, HEADER + 8);
  bytes.writeUInt32BE(XYZ_BYTES, HEADER + 12);
  bytes.write('kTRC', HEADER + 16, 'latin1');
  bytes.writeUInt32BE(table + XYZ_BYTES, HEADER + 20);
  bytes.writeUInt32BE(14, HEADER + 24);
  bytes.write('XYZ ', table, 'latin1');
  white.forEach((v, i) => bytes.writeInt32BE(v, table + 8 + i * 4));
  bytes.write('curv', table + XYZ_BYTES, 'latin1');
  bytes.writeUInt32BE(1, table + XYZ_BYTES + 8);
  bytes.writeUInt16BE(Math.round(gamma * 256), table + XYZ_BYTES + 12);
  return new Uint8Array(bytes);
}
