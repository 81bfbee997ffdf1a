import { stopsAt } from '@/core/capture/evenness';
import type { FlatField } from '@/core/capture/evenness';

/** Places of the gain along each side; between them it is a straight line. */
const STEPS = 96;
/** Entries of the way back from linear light, even over its square root. */
const BACK = 16384;

/** Evens out encoded samples by the light they stand for. */
export class FlatFieldGain {
  private readonly gains = new Float32Array((STEPS + 1) ** 2);
  private readonly linear = new Float32Array(65536);
  private readonly encoded = new Float32Array(BACK + 2);

  /** `curve`: linear light at even steps of the encoded scale, both ends included. */
  constructor(
    field: FlatField,
    private readonly width: number,
    private readonly height: number,
    curve: Float64Array,
  ) {
    for (let j = 0; j <= STEPS; j += 1)
      for (let i = 0; i <= STEPS; i += 1)
        this.gains[j * (STEPS + 1) + i] = 2 ** -stopsAt(field, i / STEPS, j / STEPS);
    const last = curve.length - 1;
    for (let v = 0; v < 65536; v += 1) {
      const at = (v / 65535) * last;
      const low = Math.min(last - 1, Math.floor(at));
      this.linear[v] = curve[low]! + (at - low) * (curve[low + 1]! - curve[low]!);
    }
    for (let p = 0, v = 0; p < this.encoded.length; p += 1) {
      const light = Math.min(curve[last]!, (p / BACK) ** 2);
      while (v < 65534 && this.linear[v + 1]! < light) v += 1;
      const step = this.linear[v + 1]! - this.linear[v]!;
      this.encoded[p] =
        v + (step > 0 ? Math.min(1, Math.max(0, (light - this.linear[v]!) / step)) : 0);
    }
  }

  /** Gain at a place of the master, pixels. */
  at(x: number, y: number): number {
    const gx = Math.min(STEPS - 1e-6, Math.max(0, (x / this.width) * STEPS));
    const gy = Math.min(STEPS - 1e-6, Math.max(0, (y / this.height) * STEPS));
    const i = gx | 0;
    const j = gy | 0;
    const k = j * (STEPS + 1) + i;
    const { gains } = this;
    const above = gains[k]! + (gx - i) * (gains[k + 1]! - gains[k]!);
    const k2 = k + STEPS + 1;
    const below = gains[k2]! + (gx - i) * (gains[k2 + 1]! - gains[k2]!);
    return above + (gy - j) * (below - above);
  }

  /** An encoded sample of 0..65535 in even light. */
  evened(value: number, gain: number): number {
    const v = value <= 0 ? 0 : value >= 65535 ? 65535 : value | 0;
    const light = this.linear[v]! * gain;
    if (light >= 1) return 65535;
    const place = Math.sqrt(light) * BACK;
    const low = place | 0;
    return (
      this.encoded[low]! + (place - low) * (this.encoded[low + 1]! - this.encoded[low]!)
    );
  }
}
