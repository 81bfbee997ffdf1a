import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { COTTON, OFFSET } from '../../../demo/profiles/profiles';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import type { SpaceId } from '@/core/colour';
import type { Intent } from '@/core/prepare';
import { createTransform } from './colourEngine';

const folder = mkdtempSync(join(tmpdir(), 'transicc-'));
afterAll(() => rmSync(folder, { recursive: true }));

const INTENTS: Intent[] = ['perceptual', 'relative', 'saturation', 'absolute'];
const COLOURS = 400;

function profile(name: string, bytes: Uint8Array): string {
  const path = join(folder, `${name}.icc`);
  writeFileSync(path, bytes);
  return path;
}

/** Colours over the whole cube, its corners and its greys among them; the same every time. */
function colours(): Uint16Array {
  const out = new Uint16Array(COLOURS * 3);
  for (let i = 0; i < COLOURS; i += 1)
    for (let c = 0; c < 3; c += 1) {
      const wild = Math.sin((i * 3 + c) * 12.9898) * 43758.5453;
      const even = ((i >> c) & 1) * 65535;
      const grey = Math.round((i / COLOURS) * 65535);
      const v = i < 8 ? even : i % 5 === 0 ? grey : (wild - Math.floor(wild)) * 65535;
      out[i * 3 + c] = v;
    }
  return out;
}

/** The same by the command line tool of Little CMS: RGB of 255, inks of 100, Lab as it is. */
function transicc(args: string[], values: ArrayLike<number>, channels: number): number[][] {
  const lines: string[] = [];
  for (let i = 0; i < values.length; i += channels)
    lines.push(Array.from({ length: channels }, (_, c) => values[i + c]).join(' '));
  const { stdout, status } = spawnSync('transicc', ['-n', '-c0', ...args], {
    input: `${lines.join('\n')}\n`,
    encoding: 'utf8',
  });
  expect(status).toBe(0);
  return stdout
    .split('\n')
    .filter((line) => /^-?[\d.]+( -?[\d.]+)+ ?$/.test(line))
    .map((line) => line.trim().split(' ').map(Number));
}

const targets = {
  cotton: { ...COTTON, channels: 3 },
  press: { ...OFFSET, channels: 4 },
  srgb: { icc: iccProfile(RGB_SPACES.srgb), channels: 3 },
} as const;

const cases = (['prophoto-rgb', 'a98-rgb'] as SpaceId[]).flatMap((from) =>
  (Object.keys(targets) as (keyof typeof targets)[]).flatMap((to) =>
    INTENTS.flatMap((intent) =>
      [true, false].map((bpc) => [from, to, intent, bpc] as const),
    ),
  ),
);

it.each(cases)(
  '%s to %s, %s, black point %s: as Little CMS has it',
  async (from, to, intent, blackPoint) => {
    const source = iccProfile(RGB_SPACES[from]);
    const target = targets[to];
    const input = colours();
    const transform = await createTransform(
      source,
      target.icc,
      { from: 3, to: target.channels },
      { intent, blackPoint, exact: true },
    );
    const ours = new Uint16Array(COLOURS * target.channels);
    transform.convert(input, ours, COLOURS);
    transform.close();

    const [a, b] = [profile(from, source), profile(to, target.icc)];
    const ways = ['-t', String(INTENTS.indexOf(intent)), ...(blackPoint ? ['-b'] : [])];
    const whole = target.channels === 4 ? 100 : 255;
    const typed = Array.from(input, (v) => (v / 65535) * 255);
    const theirs = transicc([`-i${a}`, `-o${b}`, ...ways], typed, 3);
    expect(theirs).toHaveLength(COLOURS);
    // What either prints, as colours: the ruler is the printer's own profile.
    const lab = (values: ArrayLike<number>) =>
      transicc([`-i${b}`, '-o*Lab', '-t', '1'], values, target.channels);
    const one = lab(Array.from(ours, (v) => (v / 65535) * whole));
    const other = lab(theirs.flat().map((v) => Math.min(whole, Math.max(0, v))));
    const off = one.map((v, i) => Math.hypot(...v.map((x, c) => x - other[i]![c]!)));
    expect(Math.max(...off)).toBeLessThan(0.3);
    expect(off.reduce((t, v) => t + v, 0) / off.length).toBeLessThan(0.05);
  },
);
