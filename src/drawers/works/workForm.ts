import { writeAmount } from '@/core/input';
import type { Work } from '@/data';

/** A work as it stands in its form: lengths in millimetres, so that nothing is rounded. */
export const workForm = (
  work: Omit<Work, 'id' | 'createdAt'>,
  currency: string,
): Record<string, string> => ({
  title: work.title,
  artist: work.artist,
  year: String(work.year),
  kind: work.kind,
  medium: work.medium,
  width: `${work.width} mm`,
  height: `${work.height} mm`,
  price: work.currency === currency ? writeAmount(work.price, currency) : '',
});

/** The fields by their names on the form. */
export const WORK_TITLES: Record<string, string> = {
  title: 'Title',
  artist: 'Artist',
  year: 'Year',
  kind: 'Kind',
  medium: 'Medium',
  width: 'Width',
  height: 'Height',
  price: 'Price of the original',
};
