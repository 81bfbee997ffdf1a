import sharp from 'sharp';

sharp.cache(false);
sharp.concurrency(2);

/** Opens a picture without the library's own pixel limit: the intake sets and words its own. */
export const openPicture = (path: string) =>
  sharp(path, { limitInputPixels: false, failOn: 'truncated', unlimited: true });

export { sharp };
