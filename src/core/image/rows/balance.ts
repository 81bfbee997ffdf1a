import { balanced, labOfWorking, workingOfLab } from '../../colour';
import type { Balance, Vector } from '../../colour';
import type { RowStep, Shape } from './rowStep';

/** Places of the grid along each channel; between them shifts are mixed. */
const PLACES = 65;
const WHOLE = 65535;
const STEP = WHOLE / (PLACES - 1);

/**
 * How far a balance moves the colours at the places of a grid over the working space, three values
 * a place. A cell is reckoned when the first colour falls into it: a picture meets few of them.
 */
class Shifts {
  readonly values = new Float32Array(PLACES ** 3 * 3);
  private readonly known = new Uint8Array(PLACES ** 3);
  private readonly met = new Uint8Array(PLACES ** 3);
  private readonly move: (lab: Vector) => void;

  constructor(of: Balance) {
    this.move = balanced(of);
  }

  /** Sees to it that the corners of a cell are there. */
  meet(r: number, g: number, b: number): void {
    const cell = (r * PLACES + g) * PLACES + b;
    if (this.met[cell] === 1) return;
    this.met[cell] = 1;
    for (let k = 0; k < 8; k += 1) this.fill(r + (k >> 2), g + ((k >> 1) & 1), b + (k & 1));
  }

  private fill(r: number, g: number, b: number): void {
    const place = (r * PLACES + g) * PLACES + b;
    if (this.known[place] === 1) return;
    this.known[place] = 1;
    const from: Vector = [r * STEP, g * STEP, b * STEP];
    const lab = labOfWorking(from);
    this.move(lab);
    workingOfLab(lab).forEach((to, c) => {
      this.values[place * 3 + c] = to - from[c as 0];
    });
  }
}

const GREEN = PLACES * 3;
const RED = PLACES * GREEN;

/** The place below a value along a channel. */
const below = (value: number): number =>
  value <= 0 ? 0 : value >= WHOLE ? PLACES - 2 : (value / STEP) | 0;
const held = (share: number): number => (share < 0 ? 0 : share > 1 ? 1 : share);

/** One step, in encoded values of the working space: colours move in CIELAB by tone and by hue. */
export function balance(shape: Shape, of: Balance): RowStep {
  const move = balanced(of);
  const grid = shape.channels === 1 ? null : new Shifts(of);
  return {
    out: shape,
    under: (box) => box,
    run(box, emit) {
      const out = new Float32Array((box.right - box.left) * shape.channels);
      // Greys stay grey: what is not says so, and has three channels.
      const grey: Vector = [0, 0, 0];
      const lighter = (value: number) => {
        [grey[0], grey[1], grey[2]] = [(value / WHOLE) * 100, 0, 0];
        move(grey);
        return (grey[0] * WHOLE) / 100;
      };
      if (!grid)
        return (row) => {
          for (let i = 0; i < out.length; i += 1) out[i] = lighter(row[i]!);
          emit(out);
        };
      const shifts = grid.values;
      return (row) => {
        for (let i = 0; i < out.length; i += 3) {
          const [ri, gi, bi] = [below(row[i]!), below(row[i + 1]!), below(row[i + 2]!)];
          grid.meet(ri, gi, bi);
          const r = held(row[i]! / STEP - ri);
          const g = held(row[i + 1]! / STEP - gi);
          const b = held(row[i + 2]! / STEP - bi);
          const at = ri * RED + gi * GREEN + bi * 3;
          for (let c = at; c < at + 3; c += 1) {
            const near =
              (1 - g) * ((1 - b) * shifts[c]! + b * shifts[c + 3]!) +
              g * ((1 - b) * shifts[c + GREEN]! + b * shifts[c + GREEN + 3]!);
            const far =
              (1 - g) * ((1 - b) * shifts[c + RED]! + b * shifts[c + RED + 3]!) +
              g * ((1 - b) * shifts[c + RED + GREEN]! + b * shifts[c + RED + GREEN + 3]!);
            out[i + c - at] = row[i + c - at]! + (1 - r) * near + r * far;
          }
        }
        emit(out);
      };
    },
  };
}
