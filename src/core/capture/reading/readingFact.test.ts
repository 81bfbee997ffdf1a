import { UnreadableFact } from '../../facts';
import { READING, READING_VERSION } from '.';

/** A reading as a studio of the first version stored it. */
const STORED = `{"version":1,"width":600,"height":800,
  "detail":{"fraction":0.92,"confidence":0.8,"because":"texture","curve":[9.1,7.4,5.2]},
  "specks":{"found":[{"x":10,"y":12,"diameter":3,"contrast":20,"confidence":0.7}],"more":0,"busy":[]},
  "tone":{"bins":[[1,2],[3,4],[5,6]],"clipped":{"low":[0,0,0],"high":[0,0,0]},"black":[0.02,0.02,0.03],"white":[0.97,0.96,0.95]},
  "noise":{"bands":[0.8,null,1.1],"overall":0.9},
  "geometry":{"edges":{},"skewDegrees":null,"keystone":{"across":null,"down":null},"proposal":null},
  "deep":true}`;
const stored = () => JSON.parse(STORED) as Record<string, unknown>;

it('a reading of the first version is read whole, and is none of now', () => {
  const { version, ...rest } = stored();
  expect(READING.read(stored())).toEqual(rest);
  expect(version).not.toBe(READING_VERSION);
});

it('what is written is read back, with the version of now', () => {
  const reading = READING.read(stored());
  const written = JSON.parse(JSON.stringify(READING.write(reading))) as object;
  expect(written).toMatchObject({ version: READING_VERSION });
  expect(READING.read(written)).toEqual(reading);
});

it.each([
  ['of a program to come', { version: READING_VERSION + 1 }],
  ['cut short', { specks: undefined }],
  ['of another shape', { detail: { fraction: 'most', because: 'texture', curve: [] } }],
  ['without its size', { width: null }],
])('a reading %s is refused', (_, over) => {
  expect(() => READING.read({ ...stored(), ...over })).toThrow(UnreadableFact);
});
