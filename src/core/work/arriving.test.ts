import { sizeOfScan, titleOfFile } from '.';

it.each([
  ['salt-pans_evening.tif', 'Salt pans evening'],
  ['IMG_0412.JPG', 'IMG 0412'],
  ['Low Sun.final.png', 'Low Sun final'],
  ['.tif', 'Without a title'],
  ['école.tiff', 'École'],
])('%p is titled %p', (name, title) => expect(titleOfFile(name)).toBe(title));

it('takes the size of an original from a resolution that was measured, and from no other', () => {
  const file = { width: 3000, height: 4000 };
  expect(sizeOfScan({ ...file, ppiTag: 300 })!.width).toBeCloseTo(254, 6);
  for (const ppiTag of [null, 72, 96, 1, 20_000])
    expect(sizeOfScan({ ...file, ppiTag })).toBeNull();
});
