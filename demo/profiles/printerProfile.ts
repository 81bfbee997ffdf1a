import { inksFor, labOf, mixed } from './inks';
import type { Inks, Vector } from './inks';

/** Points of the tables along each axis. */
const FORWARD = 9;
const BACK = 17;

class Bytes {
  readonly list: number[] = [];
  u8 = (...v: number[]) => (v.forEach((x) => this.list.push(x & 255)), this);
  u16 = (v: number) => this.u8(v >> 8, v);
  u32 = (v: number) => this.u8(v >>> 24, v >>> 16, v >>> 8, v);
  fixed = (v: number) => this.u32(Math.round(v * 65536));
  ascii = (text: string) => this.u8(...Array.from(text, (c) => c.charCodeAt(0)));
  zeros = (n: number) => this.u8(...new Array<number>(n).fill(0));
}

const tag = (type: string) => new Bytes().ascii(type).zeros(4);

/** textDescriptionType of ICC version 2. */
const description = (name: string) =>
  tag('desc')
    .u32(name.length + 1)
    .ascii(name)
    .zeros(1)
    .zeros(8)
    .zeros(3)
    .zeros(67);

/** CIELAB as 16 bits of ICC version 2. */
const encoded = ([l, a, b]: Vector) =>
  [(l / 100) * 65280, (a + 128) * 256, (b + 128) * 256].map((v) =>
    Math.min(65535, Math.max(0, Math.round(v))),
  );

/** lut16Type (ICC.1:2001, 6.5.7): straight curves around a table. */
function table(
  inputs: number,
  outputs: number,
  points: number,
  at: (place: number[]) => number[],
) {
  const bytes = tag('mft2').u8(inputs, outputs, points, 0);
  [1, 0, 0, 0, 1, 0, 0, 0, 1].forEach(bytes.fixed);
  bytes.u16(2).u16(2);
  for (let i = 0; i < inputs; i += 1) bytes.u16(0).u16(65535);
  const count = points ** inputs;
  for (let n = 0; n < count; n += 1) {
    const place: number[] = [];
    for (let i = inputs - 1, rest = n; i >= 0; i -= 1) {
      place[i] = (rest % points) / (points - 1);
      rest = Math.floor(rest / points);
    }
    at(place).forEach(bytes.u16);
  }
  for (let i = 0; i < outputs; i += 1) bytes.u16(0).u16(65535);
  return bytes;
}

/**
 * An output profile (ICC version 2.4, `prtr`) of made-up inks: CMYK with four of them, RGB
 * (the complement of its three) otherwise. Perceptual tables lift the black into what can be
 * printed and take a tenth of the chroma; the others keep what can be printed as it is.
 */
export function printerProfile(inks: Inks): Uint8Array {
  const cmyk = inks.solids.length === 4;
  const channels = cmyk ? 4 : 3;
  const amounts = (device: number[]) => (cmyk ? device : device.map((v) => 1 - v));
  const colour = (device: number[]) => labOf(mixed(inks, amounts(device)));
  const black = colour(cmyk ? [0.7, 0.65, 0.65, 1] : [0, 0, 0])[0];
  const deviceFor = (lab: Vector) =>
    amounts(inksFor(inks, lab)).map((v) => Math.round(Math.min(1, Math.max(0, v)) * 65535));
  const labAt = ([l = 0, a = 0, b = 0]: number[]): Vector => [
    Math.min(100, (l * 65535) / 652.8),
    (a * 65535) / 256 - 128,
    (b * 65535) / 256 - 128,
  ];
  const forward = table(channels, 3, FORWARD, (place) => encoded(colour(place)));
  const colorimetric = table(3, channels, BACK, (place) => deviceFor(labAt(place)));
  const perceptual = table(3, channels, BACK, (place) => {
    const [l, a, b] = labAt(place);
    return deviceFor([black + (l / 100) * (100 - black), a * 0.9, b * 0.9]);
  });
  const tags: [string, Bytes][] = [
    ['desc', description(inks.name)],
    ['cprt', tag('text').ascii('No copyright, use freely').zeros(1)],
    ['wtpt', [...inks.white].reduce((bytes, v) => bytes.fixed(v), tag('XYZ '))],
    ['A2B0', forward],
    ['A2B1', forward],
    ['A2B2', forward],
    ['B2A0', perceptual],
    ['B2A1', colorimetric],
    ['B2A2', perceptual],
  ];
  const head = new Bytes();
  const body = new Bytes();
  const places = new Map<Bytes, [number, number]>();
  const start = 128 + 4 + tags.length * 12;
  for (const [, bytes] of tags) {
    if (places.has(bytes)) continue;
    places.set(bytes, [start + body.list.length, bytes.list.length]);
    for (const byte of bytes.list) body.list.push(byte);
    body.zeros((4 - (bytes.list.length % 4)) % 4);
  }
  head
    .u32(start + body.list.length)
    .zeros(4)
    .u32(0x02400000)
    .ascii('prtr');
  head.ascii(cmyk ? 'CMYK' : 'RGB ').ascii('Lab ');
  [2026, 1, 1, 0, 0, 0].forEach(head.u16);
  head.ascii('acsp').zeros(28);
  [0.9642, 1, 0.8249].forEach(head.fixed);
  head.zeros(48).u32(tags.length);
  for (const [name, bytes] of tags) {
    const [at, length] = places.get(bytes)!;
    head.ascii(name).u32(at).u32(length);
  }
  return Uint8Array.from([...head.list, ...body.list]);
}
