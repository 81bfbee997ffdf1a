export { acrossThree, blurAcross, weighedSum } from './rowSums';
export { decodeLight, encodeLight } from './lightness';
