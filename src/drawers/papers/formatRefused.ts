import type { Answer } from '@/core/input';
import { formatFault } from '@/core/paper';
import type { PaperFormat, PricedBy } from '@/core/paper';
import { refuse } from '@/studio';

/** Refuses what paper cannot come as: a sheet on a core, or sold by the metre; null where it can. */
export function formatRefused(
  typed: Pick<PaperFormat, 'kind' | 'width' | 'height' | 'core'> & { per: PricedBy },
): Answer<never> | null {
  const fault = formatFault(typed, typed.per);
  return fault && refuse(fault.words, { [fault.field]: fault.words });
}
