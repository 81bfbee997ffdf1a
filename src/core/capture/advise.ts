import type { MasterFacts } from '../image';
import { mm, ppi, toInches } from '../units';
import type { Ppi, Size } from '../units';

/** Resolution at which the original was sampled, per axis: pixels / inches of the original. */
export function sampledPpi(
  facts: Pick<MasterFacts, 'width' | 'height'>,
  original: Size,
): { across: Ppi; down: Ppi } {
  return {
    across: ppi(facts.width / toInches(original.width)),
    down: ppi(facts.height / toInches(original.height)),
  };
}

export type MasterCaution =
  | { code: 'untagged' }
  | { code: 'eightBits' }
  | { code: 'ppiAbsent'; sampled: number }
  | { code: 'ppiWrong'; tag: number; sampled: number }
  | { code: 'proportion'; percent: number }
  | { code: 'small'; longestMm: number };

/** Tag and true sampling may differ by this much before it is worth a word. */
const PPI_SLACK = 0.03;
/** Proportions of master and original may differ by this much (trim, bed edges). */
const PROPORTION_SLACK = 0.01;

/**
 * What to know about a master before sizes are chosen. `nativePpi` is the resolution a print
 * is fed with; a master that does not reach the original's own size at it is called small.
 */
export function adviseMaster(
  facts: MasterFacts,
  original: Size,
  assumedSpace: string | null,
  nativePpi: number,
): MasterCaution[] {
  const cautions: MasterCaution[] = [];
  const { across, down } = sampledPpi(facts, original);
  const sampled = Math.min(across, down);
  if (facts.iccDescription === null && assumedSpace === null)
    cautions.push({ code: 'untagged' });
  if (facts.bitsPerChannel < 16) cautions.push({ code: 'eightBits' });
  if (facts.ppiTag === null) cautions.push({ code: 'ppiAbsent', sampled });
  else if (Math.abs(facts.ppiTag / sampled - 1) > PPI_SLACK)
    cautions.push({ code: 'ppiWrong', tag: facts.ppiTag, sampled });
  const off = across / down - 1;
  if (Math.abs(off) > PROPORTION_SLACK)
    cautions.push({ code: 'proportion', percent: off * 100 });
  if (sampled < nativePpi) {
    const longestMm = mm((Math.max(facts.width, facts.height) / nativePpi) * 25.4);
    cautions.push({ code: 'small', longestMm });
  }
  return cautions;
}
