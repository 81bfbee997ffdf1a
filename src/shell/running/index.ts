export * from './JobLine';
export * from './RunningFoot';
export * from './RunningProvider';
export type { JobView } from './job';
export { pageThread } from './thread';
export type { PageThread } from './thread';
export * from './useThreadWork';
