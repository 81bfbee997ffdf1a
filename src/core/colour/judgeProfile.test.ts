import { readFileSync } from 'node:fs';
import { COTTON, OFFSET } from '../../../demo/profiles/profiles';
import { RGB_SPACES, iccProfile, judgeProfile, readProfileSelf } from '.';

const patched = (icc: Uint8Array, at: number, ascii: string) => {
  const out = icc.slice();
  [...ascii].forEach((c, i) => (out[at + i] = c.charCodeAt(0)));
  return out;
};

it('reads what a profile says of itself', () => {
  expect(readProfileSelf(OFFSET.icc)).toMatchObject({
    class: 'output',
    space: 'CMYK',
    pcs: 'Lab',
    version: '2.4',
    tables: ['perceptual', 'relative', 'saturation'],
    description: OFFSET.name,
    copyright: 'No copyright, use freely',
    made: '2026-01-01',
  });
  expect(readProfileSelf(iccProfile(RGB_SPACES['display-p3']))).toMatchObject({
    class: 'display',
    version: '4.3',
    tables: [],
    description: 'Display P3',
  });
});

it.each([
  ['an empty file', new Uint8Array(0), 'noProfile'],
  [
    'words',
    Uint8Array.from('not a profile at all'.repeat(20), (c) => c.charCodeAt(0)),
    'noProfile',
  ],
  ['one that breaks off', COTTON.icc.subarray(0, 5000), 'truncated'],
  ['a device link', patched(COTTON.icc, 12, 'link'), 'class'],
  ['a change of colours', patched(COTTON.icc, 12, 'abst'), 'class'],
  ['a scanner', patched(COTTON.icc, 12, 'scnr'), 'class'],
  ['no known class', patched(COTTON.icc, 12, 'wxyz'), 'class'],
  ['grey', patched(COTTON.icc, 16, 'GRAY'), 'space'],
  ['a tag beyond the end', patched(COTTON.icc, 136, 'zzzz'), 'damaged'],
  ['one that is too large', new Uint8Array(16e6 + 1), 'tooLarge'],
] as const)('refuses %s to print through', (_, bytes, code) =>
  expect(judgeProfile(bytes, 'print')).toMatchObject({ code }),
);

it('takes the profile of a screen for a screen, and no press', () => {
  const screen = iccProfile(RGB_SPACES['display-p3']);
  expect(judgeProfile(screen, 'screen')).toMatchObject({ class: 'display' });
  expect(judgeProfile(OFFSET.icc, 'screen')).toEqual({ code: 'class', class: 'output' });
});

it('judges profiles of a distribution as it does the demo’s own', () => {
  const press = new Uint8Array(
    readFileSync('/usr/share/color/icc/ghostscript/default_cmyk.icc'),
  );
  expect(judgeProfile(press, 'print')).toMatchObject({ class: 'output', space: 'CMYK' });
});
