import type { ReactNode } from 'react';
import type { MasterView } from '@/studio';
import type { CaptureView, FoundMaster } from '../view';

/** What every sheet about a master is given. */
export interface SheetProps {
  view: CaptureView;
  master: MasterView;
  found: FoundMaster;
  /** Title and the other sheets. */
  head: ReactNode;
}
