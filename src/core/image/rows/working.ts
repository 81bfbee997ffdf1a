import type { WorkingDoor } from '../../colour';
import type { RowStep, Shape } from './rowStep';
import { decodeLight, encodeLight } from './simd';

/** A step that makes each row of the same row, into room of its own. */
const rowByRow = (
  shape: Shape,
  out: Shape,
  make: (row: Float32Array, out: Float32Array) => void,
): RowStep => ({
  out,
  under: (box) => box,
  run(box, emit) {
    const room = new Float32Array((box.right - box.left) * out.channels);
    return (row) => {
      make(row, room);
      emit(room);
    };
  },
});

/** Linear light of the working space becomes encoded values of it. */
export const encoded = (shape: Shape): RowStep => rowByRow(shape, shape, encodeLight);

/** Encoded values of the working space become linear light of it. */
export const lightened = (shape: Shape): RowStep => rowByRow(shape, shape, decodeLight);

/** 16-bit values (whole numbers) to linear light, each channel by its curve, then by the matrix; light as it is. */
function throughDoor(
  { curves, matrix }: WorkingDoor,
  row: Float32Array,
  out: Float32Array,
) {
  const [red, green = red, blue = red] = curves;
  if (!red || !green || !blue) return out.set(row);
  if (!matrix) {
    for (let i = 0; i < row.length; i += 1) out[i] = red[row[i]! | 0]!;
    return;
  }
  const [a, b, c, d, e, f, g, h, k] = matrix as [...Triple, ...Triple, ...Triple];
  for (let i = 0; i < row.length; i += 3) {
    const r = red[row[i]! | 0]!;
    const gr = green[row[i + 1]! | 0]!;
    const bl = blue[row[i + 2]! | 0]!;
    out[i] = a * r + b * gr + c * bl;
    out[i + 1] = d * r + e * gr + f * bl;
    out[i + 2] = g * r + h * gr + k * bl;
  }
}

type Triple = [number, number, number];

/**
 * The picture's 16-bit values become linear light of the working space; a grey picture may
 * leave with three channels, all alike.
 */
export function intoWorking(shape: Shape, door: WorkingDoor, channels: number): RowStep {
  const out = { ...shape, channels };
  if (channels === shape.channels)
    return rowByRow(shape, out, (row, room) => throughDoor(door, row, room));
  let grey = new Float32Array(0);
  return rowByRow(shape, out, (row, room) => {
    if (grey.length < row.length) grey = new Float32Array(row.length);
    throughDoor(door, row, grey);
    for (let i = 0; i < row.length; i += 1) room.fill(grey[i]!, 3 * i, 3 * i + 3);
  });
}

/** A step, and whether it works on linear light or on encoded values. */
export interface LightStep {
  rows: RowStep;
  light: boolean;
}

/**
 * Steps in the working space one after the other, from the linear light that comes in to the
 * encoded values that go out; between two that differ, values are turned into what the next wants.
 */
export function inWorking<S extends LightStep>(
  shape: Shape,
  steps: readonly S[],
): (S | LightStep)[] {
  const made: (S | LightStep)[] = [];
  let light = true;
  let now = shape;
  const turnTo = (wanted: boolean) => {
    if (wanted === light) return;
    made.push({ rows: wanted ? lightened(now) : encoded(now), light: wanted });
    light = wanted;
  };
  for (const step of steps) {
    turnTo(step.light);
    made.push(step);
    now = step.rows.out;
  }
  turnTo(false);
  return made;
}
