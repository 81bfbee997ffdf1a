export * from './JobLine';
export * from './RunningFoot';
export * from './RunningProvider';
export type { JobView } from './job';
