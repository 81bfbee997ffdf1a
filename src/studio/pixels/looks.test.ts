import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { lookAtPrint } from './looks';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const asked = {
  left: '0',
  top: '0',
  width: '1',
  height: '1',
  printWidth: '3000',
  printHeight: '4000',
  screenWidth: '3000',
  screenHeight: '4000',
  x: '0',
  y: '0',
  across: '256',
  down: '256',
};

it.each([
  ['nothing', { left: '' }],
  ['words', { across: 'wide' }],
  ['a part beyond the picture', { left: '1.5' }],
  ['a window beyond the print', { x: '3000' }],
  ['a window of a wall', { across: '5000' }],
  ['no screen', { screenWidth: '0' }],
  ['a print of a mile', { printWidth: '99999999' }],
  [
    'more print under a window than is read at once',
    { printWidth: '6000', printHeight: '8000', across: '1024', down: '1024' },
  ],
])('shows nothing of %s', async (_, over) => {
  const { signal } = new AbortController();
  expect(await lookAtPrint(1, { ...asked, ...over }, signal)).toBeNull();
});

it('shows nothing of a master that is not there', async () =>
  expect(await lookAtPrint(99, asked, new AbortController().signal)).toBeNull());
