export { acrossThree, blurAcross, weighedSum } from './rowSums';
