import sharp from 'sharp';

sharp.cache(false);
sharp.concurrency(2);

/** Opens a picture without the library's own pixel limit: the intake sets and words its own. */
export const openPicture = (
  path: string,
  failOn: 'truncated' | 'error' | 'warning' = 'truncated',
) => sharp(path, { limitInputPixels: false, failOn, unlimited: true });

export { sharp };
