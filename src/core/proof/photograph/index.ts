export { planeOf } from './plane';
export type { LightPlane } from './plane';
export type { Agreement } from './agreement';
export * from './findPicture';
export * from './regions';
