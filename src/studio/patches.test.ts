import { inProcess } from '../../e2e/support/inProcess';
import type { InProcess } from '../../e2e/support/inProcess';
import { patchColours, patchPixels } from './patches';
import { proposals } from './proposals';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const { signal } = new AbortController();
const box = { left: '10', top: '10', right: '300', bottom: '200' };

it.each([
  ['nothing', { left: '' }],
  ['words', { left: 'far' }],
  ['a part turned inside out', { right: '5' }],
  ['a part beyond the picture', { right: '7088' }],
  ['a part above it', { top: '-1' }],
  ['more than is read at once', { right: '4000', bottom: '4000' }],
])('reads nothing of %s', async (_, over) =>
  expect(await patchPixels(1, { ...box, ...over }, signal)).toBeNull(),
);

it('reads nothing of a master that is not there', async () => {
  expect(await patchPixels(99, box, signal)).toBeNull();
  const asked = { target: '', intent: 'relative', blackPoint: 'yes' };
  expect(await patchColours(99, asked, signal)).toBeNull();
  expect(await patchColours(1, { ...asked, intent: 'guessed' }, signal)).toBeNull();
  const gone = patchColours(1, { ...asked, target: `icc:${'a'.repeat(64)}` }, signal);
  await expect(gone).rejects.toThrow(/not in the store any more/);
});

it('proposes nothing of a picture that is not there, or of no size', async () => {
  expect(await proposals(99, { width: '0.2', height: '0.2' }, signal)).toBeNull();
  expect(await proposals(1, { width: '0', height: '0.2' }, signal)).toBeNull();
  expect(await proposals(1, { width: '2', height: '0.2' }, signal)).toBeNull();
});
