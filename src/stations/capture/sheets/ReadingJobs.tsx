import { JobLine } from '@/shell/running';
import type { SheetProps } from './sheetProps';

/** How far the cutting of tiles and the reading have come, while they are not done. */
export function ReadingJobs({ jobs: { read, inspect } }: Pick<SheetProps['view'], 'jobs'>) {
  return (
    <>
      {read && read.state !== 'done' && <JobLine job={read} what="Cutting tiles" />}
      {inspect && inspect.state !== 'done' && (
        <JobLine job={inspect} what="Reading the master" />
      )}
    </>
  );
}
