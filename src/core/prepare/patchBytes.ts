import type { WorkingDoor } from '../colour';

/** What a patch is made of: 16-bit samples of a part of a picture, and their door (null: rule 1). */
export interface PatchSamples {
  samples: Uint16Array<ArrayBuffer>;
  door: WorkingDoor | null;
}

const LEVELS = 65536;
const HEAD = 2;
const NINE = 9;

/**
 * A patch's samples as they are sent, little-endian: how many curves and whether there is a matrix
 * (two 32-bit numbers), the matrix and the curves (floats), the samples (16 bit).
 */
export function packPatch({ samples, door }: PatchSamples): Uint8Array<ArrayBuffer> {
  const curves = door?.curves ?? [];
  const matrix = door?.matrix ?? [];
  const floats = HEAD + matrix.length + curves.length * LEVELS;
  const out = new ArrayBuffer(floats * 4 + samples.byteLength);
  new Uint32Array(out, 0, HEAD).set([curves.length, matrix.length]);
  const room = new Float32Array(out, HEAD * 4, floats - HEAD);
  room.set(matrix);
  curves.forEach((curve, i) => room.set(curve, matrix.length + i * LEVELS));
  new Uint16Array(out, floats * 4).set(samples);
  return new Uint8Array(out);
}

/** What was packed; throws RangeError where it is cut short. */
export function unpackPatch(bytes: ArrayBuffer): PatchSamples {
  const [count = 0, nine = 0] = new Uint32Array(bytes, 0, HEAD);
  const at = (HEAD + nine) * 4;
  const curves = Array.from(
    { length: count },
    (_, i) => new Float32Array(bytes, at + i * LEVELS * 4, LEVELS),
  );
  const matrix = nine === NINE ? [...new Float32Array(bytes, HEAD * 4, NINE)] : null;
  return {
    samples: new Uint16Array(bytes, at + count * LEVELS * 4),
    door: count === 0 ? null : { curves, matrix },
  };
}
