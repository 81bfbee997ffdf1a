export * from './rowMath';
export * from './rowStep';
export * from './resample';
export * from './sharpen';
export * from './denoise';
export * from './adjust';
