'use server';
import { WORK_KINDS } from '@/core/work';
import { addWork } from '@/data';
import { act } from '@/studio';
import { choice, defineInput, length, money, text, whole } from '@/studio/input';

/** Larger originals than 20 m are a typing mistake. */
const LONGEST = 20_000;

const newWork = defineInput({
  title: text('Title', { max: 120 }),
  artist: text('Artist', { max: 120 }),
  year: whole('Year', { min: 1000, max: 2200 }),
  kind: choice('Kind', WORK_KINDS),
  medium: text('Medium', { max: 120 }),
  width: length('Width of the original', { above: 0, max: LONGEST }),
  height: length('Height of the original', { above: 0, max: LONGEST }),
  price: money('Price of the original', { min: 0, max: 1e12 }),
});

/** Takes a new work into the drawer; answers with its number. */
export async function createWork(typed: unknown) {
  return act(newWork, typed, {}, async (work, { write, at }) => {
    const row = await write((tx) => addWork(tx, { ...work, createdAt: at }));
    return row.id;
  });
}
