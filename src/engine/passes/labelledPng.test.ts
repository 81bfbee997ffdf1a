import sharp from 'sharp';
import { RGB_SPACES, iccProfile } from '@/core/colour';
import { labelledPng } from './labelledPng';

it('carries the profile that it is given, whole, and the very same pixels', async () => {
  const icc = iccProfile(RGB_SPACES['display-p3']);
  const raw = Uint8Array.from({ length: 5 * 4 * 3 }, (_, i) => (i * 41) % 256);
  const png = await sharp(raw, { raw: { width: 5, height: 4, channels: 3 } })
    .png()
    .toBuffer();
  const labelled = Buffer.from(labelledPng(png, icc));
  const { icc: found, ...about } = await sharp(labelled).metadata();
  expect(found!.equals(icc)).toBe(true);
  expect(about).toMatchObject({ format: 'png', width: 5, height: 4 });
  const kept = sharp(labelled, { ignoreIcc: true }).raw();
  // Numbers, not colours: nothing is converted on the way.
  expect(Uint8Array.from(await kept.toBuffer())).toEqual(raw);
  // Read as what they say they are, they are others in sRGB.
  expect(Uint8Array.from(await sharp(labelled).raw().toBuffer())).not.toEqual(raw);
});
