export { acrossThree, blurAcross, weighedSum } from './rowSums';
export { decodeLight, encodeLight, placesOf } from './lightness';
