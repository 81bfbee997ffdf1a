import { jobKind } from '@/studio';

/** What long work is, and of which work. */
export const jobWords = (kind: string, work: string | null): string =>
  `${jobKind(kind)?.called ?? kind}${work === null ? '' : ` of ${work}`}`;
