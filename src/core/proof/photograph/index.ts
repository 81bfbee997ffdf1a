export { isSeen } from './perspective';
export { planeOf } from './plane';
export type { LightPlane } from './plane';
export type { Agreement } from './agreement';
export * from './findPicture';
export type { LinearPicture, Placed } from './cells';
export type { GreyCard } from './white';
export * from './regions';
export * from './differences';
