import fc from 'fast-check';
import { ditherEightBits, eightBits, intoEightBits } from '.';

const WIDE = 64;
const place = (left: number, top: number, channels = 3) => ({ left, top, channels });

it('leaves what lies on a level of 8 bits, wherever it lies', () => {
  fc.assert(
    fc.property(fc.nat(255), fc.nat(9000), fc.nat(9000), (v, x, y) => {
      const deep = new Uint16Array(12).fill(v * 257);
      // And what rounding put a little beside it.
      deep[1] = Math.min(65535, deep[1]! + 4);
      deep[2] = Math.max(0, deep[2]! - 4);
      const out = new Uint8Array(12);
      ditherEightBits(deep, 0, 12, out, 0, place(x, y));
      expect([...out]).toEqual(new Array(12).fill(v));
    }),
  );
});

it('is in the mean what it was, and never further off than a level', () => {
  for (const tone of [77.25, 128.5, 200.9, 3.4]) {
    const deep = new Uint16Array(WIDE).fill(Math.round(tone * 257));
    const out = new Uint8Array(WIDE);
    let sum = 0;
    for (let y = 0; y < WIDE; y += 1) {
      ditherEightBits(deep, 0, WIDE, out, 0, place(0, y, 1));
      for (const v of out) {
        expect(Math.abs(v - tone)).toBeLessThan(1);
        sum += v;
      }
    }
    expect(Math.abs(sum / WIDE ** 2 - tone)).toBeLessThan(0.02);
  }
});

it('dithers a pixel the same wherever its row begins, and channels apart', () => {
  const deep = Uint16Array.from({ length: WIDE * 3 }, (_, i) => 20000 + ((i * 7919) % 900));
  const whole = new Uint8Array(deep.length);
  ditherEightBits(deep, 0, deep.length, whole, 0, place(100, 7));
  const part = new Uint8Array(31);
  ditherEightBits(deep, 30, 30, part, 1, place(110, 7));
  expect([...part.subarray(1)]).toEqual([...whole.subarray(30, 60)]);
  const flat = new Uint16Array(WIDE * 3).fill(20100);
  ditherEightBits(flat, 0, flat.length, whole, 0, place(0, 0));
  const channel = (c: number) => [...whole].filter((_, i) => i % 3 === c).join('');
  expect(new Set([channel(0), channel(1), channel(2)]).size).toBe(3);
});

it('is only rounding where it is not wanted', () => {
  const deep = Uint16Array.from({ length: 999 }, (_, i) => i * 65);
  const [one, other] = [new Uint8Array(999), new Uint8Array(999)];
  eightBits(false, deep, 0, 999, one, 0, place(3, 4));
  intoEightBits(deep, 0, 999, other, 0);
  expect(one).toEqual(other);
  eightBits(true, deep, 0, 999, one, 0, place(3, 4));
  expect(one).not.toEqual(other);
});
