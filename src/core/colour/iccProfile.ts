import { adaptToD50, D50, rgbToXyzD50 } from './matrix';
import type { RgbSpace, ToneCurve } from './spaces';

const SIGNATURE_BYTES = 4;

/** Grows big-endian, as ICC.1 wants it. */
class Bytes {
  readonly list: number[] = [];
  u8 = (...v: number[]) => (this.list.push(...v.map((x) => x & 255)), this);
  u16 = (v: number) => this.u8(v >> 8, v);
  u32 = (v: number) => this.u8(v >>> 24, v >>> 16, v >>> 8, v);
  /** s15Fixed16Number. */
  fixed = (v: number) => this.u32(Math.round(v * 65536));
  ascii = (text: string) => this.u8(...Array.from(text, (c) => c.charCodeAt(0)));
  zeros = (n: number) => this.u8(...new Array<number>(n).fill(0));
}

const tag = (type: string) => new Bytes().ascii(type).zeros(SIGNATURE_BYTES);

const xyzTag = (xyz: readonly number[]) => {
  const bytes = tag('XYZ ');
  xyz.forEach((v) => bytes.fixed(v));
  return bytes;
};

/** multiLocalizedUnicodeType with one American English record. */
const textTag = (text: string) => {
  const bytes = tag('mluc')
    .u32(1)
    .u32(12)
    .ascii('enUS')
    .u32(text.length * 2)
    .u32(28);
  Array.from(text).forEach((c) => bytes.u16(c.charCodeAt(0)));
  return bytes;
};

/** parametricCurveType: function 0 (power) or 3 (power with a linear toe). */
const curveTag = ({ g, a, b = 0, c = 0, d = 0 }: ToneCurve) =>
  a === undefined
    ? tag('para').u16(0).u16(0).fixed(g)
    : tag('para').u16(3).u16(0).fixed(g).fixed(a).fixed(b).fixed(c).fixed(d);

/**
 * A display profile (ICC.1:2010, version 4.3, matrix and tone curve) of an RGB space: about
 * half a kilobyte, to be embedded in files or handed to a colour engine.
 */
export function iccProfile(space: Omit<RgbSpace, 'id'>): Uint8Array {
  const m = rgbToXyzD50(space);
  const [x, y] = space.white;
  const adaptation = tag('sf32');
  adaptToD50([x / y, 1, (1 - x - y) / y])
    .flat()
    .forEach((v) => adaptation.fixed(v));
  const curve = curveTag(space.curve);
  const tags: [string, Bytes][] = [
    ['desc', textTag(space.name)],
    ['cprt', textTag('No copyright, use freely')],
    ['wtpt', xyzTag(D50)],
    ['chad', adaptation],
    ['rXYZ', xyzTag(m.map((row) => row[0]))],
    ['gXYZ', xyzTag(m.map((row) => row[1]))],
    ['bXYZ', xyzTag(m.map((row) => row[2]))],
    ['rTRC', curve],
    ['gTRC', curve],
    ['bTRC', curve],
  ];
  const table = new Bytes().u32(tags.length);
  const data = new Bytes();
  const start = 128 + 4 + 12 * tags.length;
  const placed = new Map<Bytes, number>();
  for (const [name, content] of tags) {
    let at = placed.get(content);
    if (at === undefined) {
      at = start + data.list.length;
      placed.set(content, at);
      data.u8(...content.list).zeros(-content.list.length & 3);
    }
    table.ascii(name).u32(at).u32(content.list.length);
  }
  const header = new Bytes()
    .u32(start + data.list.length)
    .zeros(4)
    .u32(0x04300000)
    .ascii('mntrRGB XYZ ')
    .u16(2026)
    .u16(1)
    .u16(1)
    .u16(0)
    .u16(0)
    .u16(0)
    .ascii('acsp')
    .zeros(28);
  D50.forEach((v) => header.fixed(v));
  header.zeros(128 - header.list.length);
  return Uint8Array.from([...header.list, ...table.list, ...data.list]);
}
