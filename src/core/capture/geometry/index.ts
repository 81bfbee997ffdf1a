export * from './borderEdges';
export * from './propose';
export * from './skew';
