/** What an original is, which decides how it is captured and described. */
export const WORK_KINDS = [
  'painting',
  'drawing',
  'photograph',
  'printmaking',
  'born digital',
] as const;
export type WorkKind = (typeof WORK_KINDS)[number];
