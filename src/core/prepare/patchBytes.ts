import type { WorkingDoor } from '../colour';

/**
 * What a patch is made of: samples of a part of a picture, 16 bit or light already, and their door
 * (null: rule 1).
 */
export interface PatchSamples {
  samples: Uint16Array<ArrayBuffer> | Float32Array<ArrayBuffer>;
  door: WorkingDoor | null;
}

const LEVELS = 65536;
const HEAD = 3;
const NINE = 9;

/**
 * A patch's samples as they are sent, little-endian: whether there is a door, how many curves and how
 * many numbers of a matrix it has (three 32-bit numbers), matrix and curves (floats), the samples
 * (16 bit; floats where the door has no curves).
 */
export function packPatch({ samples, door }: PatchSamples): Uint8Array<ArrayBuffer> {
  const curves = door?.curves ?? [];
  const matrix = door?.matrix ?? [];
  const floats = HEAD + matrix.length + curves.length * LEVELS;
  const out = new ArrayBuffer(floats * 4 + samples.byteLength);
  new Uint32Array(out, 0, HEAD).set([door ? 1 : 0, curves.length, matrix.length]);
  const room = new Float32Array(out, HEAD * 4, floats - HEAD);
  room.set(matrix);
  curves.forEach((curve, i) => room.set(curve, matrix.length + i * LEVELS));
  if (samples instanceof Float32Array) new Float32Array(out, floats * 4).set(samples);
  else new Uint16Array(out, floats * 4).set(samples);
  return new Uint8Array(out);
}

/** What was packed; throws RangeError where it is cut short. */
export function unpackPatch(bytes: ArrayBuffer): PatchSamples {
  const [door = 0, count = 0, nine = 0] = new Uint32Array(bytes, 0, HEAD);
  const at = (HEAD + nine) * 4;
  const curves = Array.from(
    { length: count },
    (_, i) => new Float32Array(bytes, at + i * LEVELS * 4, LEVELS),
  );
  const matrix = nine === NINE ? [...new Float32Array(bytes, HEAD * 4, NINE)] : null;
  const from = at + count * LEVELS * 4;
  const light = door === 1 && count === 0;
  return {
    samples: light ? new Float32Array(bytes, from) : new Uint16Array(bytes, from),
    door: door === 1 ? { curves, matrix } : null,
  };
}
