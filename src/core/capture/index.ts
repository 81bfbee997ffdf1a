export * from './advise';
export * from './verdict';
