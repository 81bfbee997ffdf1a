import { adviseMaster, sampledPpi } from '@/core/capture';
import { zoomLevels } from '@/core/image';
import { largestAt } from '@/core/sizing';
import { TILE } from '@/engine';
import { loadWorkPage } from '@/studio';

/** The capture station: the master as it was read. */
export async function loadCapture(id: string, _query: Record<string, string | undefined>) {
  const { work, master, settings, jobs } = await loadWorkPage(id);
  const reading = master && {
    cautions: adviseMaster(
      master.facts,
      work,
      master.assumedSpace,
      settings.sizing.printPpi,
    ),
    sampled: sampledPpi(master.facts, work),
    native: largestAt(master.facts, 1, settings.sizing),
    zoom: {
      tile: TILE,
      top: zoomLevels(master.facts.width, master.facts.height, TILE)[0]!.level,
    },
  };
  return { work, master, reading, job: jobs.read, printPpi: settings.sizing.printPpi };
}

export type CaptureView = Awaited<ReturnType<typeof loadCapture>>;
