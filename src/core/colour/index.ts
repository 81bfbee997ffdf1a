export * from './spaces';
export * from './matrix';
export * from './iccProfile';
export * from './matrixProfile';
export * from './matrixShaper';
export * from './colourTable';
