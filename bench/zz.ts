import sharp from 'sharp';
import { chance } from '@/core/image';
import { findPicture } from '@/core/proof/photograph/findPicture';
import { wayTo, perspectivePoint, back } from '@/core/proof/photograph/perspective';
import { lightAt, planeOf } from '@/core/proof/photograph/plane';
import type { LightPlane } from '@/core/proof/photograph/plane';
import { lightnessOf, decoded, encodedLight, RGB_SPACES } from '@/core/colour';

const srgb = RGB_SPACES.srgb.curve;
const lin = Float32Array.from({ length: 256 }, (_, v) => decoded(srgb, v / 255));
export async function rgb(path: string, side = 2000) {
  const { data, info } = await sharp(path, { limitInputPixels: false }).resize(side, side, { fit: 'inside', kernel: 'cubic' }).removeAlpha().toColourspace('srgb').raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}
export function lightPlane({ data, width, height }: { data: Uint8Array; width: number; height: number }): LightPlane {
  const out = planeOf(width, height);
  for (let i = 0; i < width * height; i += 1)
    out.data[i] = lightnessOf(0.2126 * lin[data[3 * i]!]! + 0.7152 * lin[data[3 * i + 1]!]! + 0.0722 * lin[data[3 * i + 2]!]!);
  return out;
}
/** photo of a picture: returns rgb, corners */
export function photo(pic: { data: Uint8Array; width: number; height: number }, seed: number, o: { scale?: number; border?: number; W?: number; H?: number; ground?: number[] } = {}) {
  const r = chance(seed);
  const W = o.W ?? 2400, H = o.H ?? 1800;
  const scale = (o.scale ?? 0.55 + 0.35 * r()) * Math.min(W / pic.width, H / pic.height);
  const rot = ((r() * 2 - 1) * 8 * Math.PI) / 180;
  const k = 0.1;
  const cx = W / 2 + (r() - 0.5) * 0.06 * W, cy = H / 2 + (r() - 0.5) * 0.06 * H;
  const base = [[-1, -1], [1, -1], [1, 1], [-1, 1]];
  const corners = base.map(([x, y]) => {
    const px = (x! * pic.width * scale) / 2 * (1 + (r() * 2 - 1) * k / 2);
    const py = (y! * pic.height * scale) / 2 * (1 + (r() * 2 - 1) * k / 2);
    return { x: cx + px * Math.cos(rot) - py * Math.sin(rot), y: cy + px * Math.sin(rot) + py * Math.cos(rot) };
  }) as never;
  const way = wayTo(pic.width, pic.height, corners);
  const inv = back(way);
  const border = o.border ?? 60;
  const planes = [0, 1, 2].map((c) => { const p = planeOf(pic.width, pic.height); for (let i = 0; i < p.data.length; i++) p.data[i] = lin[pic.data[3 * i + c]!]!; return p; });
  const ground = o.ground ?? [0.12, 0.1, 0.09];
  const out = new Uint8Array(W * H * 3);
  const gauss = () => (r() + r() + r() + r() - 2) * Math.sqrt(3);
  for (let y = 0; y < H; y++) for (let x = 0; x < W; x++) {
    const rr = ((x - W / 2) ** 2 + (y - H / 2) ** 2) / ((W / 2) ** 2 + (H / 2) ** 2);
    const fall = 2 ** (-0.5 * rr);
    for (let c = 0; c < 3; c++) {
      let v = 0;
      for (let s = 0; s < 4; s++) {
        const p = perspectivePoint(inv, x + 0.25 + 0.5 * (s & 1), y + 0.25 + 0.5 * (s >> 1));
        const inside = p.x >= 0 && p.y >= 0 && p.x <= pic.width && p.y <= pic.height;
        const bord = p.x >= -border && p.y >= -border && p.x <= pic.width + border && p.y <= pic.height + border;
        v += inside ? lightAt(planes[c]!, p.x, p.y) : bord ? 0.85 : ground[c]!;
      }
      const e = 255 * encodedLight(srgb, Math.max(0, (v / 4) * fall * 0.9)) + 2 * gauss();
      out[(y * W + x) * 3 + c] = Math.max(0, Math.min(255, Math.round(e)));
    }
  }
  return { data: out, width: W, height: H, way, corners };
}
export function meanError(a: readonly number[], b: readonly number[], w: number, h: number) {
  // error in picture px of 2000: map truth to photo, back via found
  const inv = back(a);
  let sum = 0, n = 0;
  for (let y = 0; y <= 10; y++) for (let x = 0; x <= 10; x++) {
    const p = perspectivePoint(b, (x * w) / 10, (y * h) / 10);
    const q = perspectivePoint(inv, p.x, p.y);
    sum += Math.hypot(q.x - (x * w) / 10, q.y - (y * h) / 10); n++;
  }
  return (sum / n) * (2000 / Math.max(w, h));
}
if (process.argv[2]) {
  const paths = process.argv.slice(3);
  const seeds = Number(process.argv[2]);
  for (const path of paths) {
    const pic = await rgb(path);
    const picture = lightPlane(pic);
    for (let s = 1; s <= seeds; s++) {
      const ph = photo(pic, s * 31 + path.length);
      const seen = lightPlane(ph);
      const t = performance.now();
      const f = findPicture(picture, seen);
      const ms = Math.round(performance.now() - t);
      if ('code' in f) console.log(path.split('/').pop(), s, 'NOT', JSON.stringify(f), ms);
      else console.log(path.split('/').pop(), s, 'err', meanError(f.found.way, ph.way, pic.width, pic.height).toFixed(3), 'est', f.found.off.toFixed(2), f.found.mostOff.toFixed(2), `${f.found.agreement.same}/${f.found.agreement.told}`, f.found.agreement.alike.toFixed(2), 'beside', !!f.beside, ms);
    }
  }
}
