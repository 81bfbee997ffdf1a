import type { Sniffed } from '@/core/image';

export type RefusedFile =
  | { code: 'empty' }
  | { code: 'notAPicture'; kind: Sniffed }
  | { code: 'animated'; frames: number }
  | { code: 'cmyk' }
  | { code: 'otherModel'; model: string }
  | { code: 'tooManyPixels'; megapixels: number; limit: number }
  | { code: 'tooLong'; edge: number; limit: number }
  | { code: 'interlaced'; megapixels: number; limit: number }
  | { code: 'tooLarge'; limitGigabytes: number }
  | { code: 'broken'; detail: string };

/** A file that cannot become a master, and why. Worded for the user above this floor. */
export class FileRefusal extends Error {
  constructor(readonly refused: RefusedFile) {
    super(refused.code);
  }
}
