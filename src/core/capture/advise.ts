import type { MasterFacts } from '../image';
import { ppi, toInches, mmOf } from '../units';
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

/** What a file's tags say or leave unsaid; needs no pixels. */
export type TagCaution =
  | { code: 'untagged' }
  | { code: 'strangeProfile'; remark: NonNullable<MasterFacts['iccRemark']> }
  | { code: 'eightBits' }
  | { code: 'ppiAbsent'; sampled: number | null }
  | { code: 'ppiWrong'; tag: number; sampled: number }
  | { code: 'ppiNonsense'; tag: number };

/** What its pixels amount to over the original. */
export type SizeCaution =
  { code: 'proportion'; percent: number } | { code: 'small'; longestMm: number };

/** Tag and true sampling may differ by this much before it is worth a word. */
const PPI_SLACK = 0.03;
/** Proportions of master and original may differ by this much (trim, bed edges). */
const PROPORTION_SLACK = 0.01;
/** No capture is tagged outside this, pixels per inch. */
const SENSIBLE_PPI = { least: 20, most: 30000 };

/** What to know of a file's tags. `sampled`: its resolution over the original, where that is known. */
export function adviseTags(
  facts: MasterFacts,
  sampled: number | null,
  assumedSpace: string | null,
): TagCaution[] {
  const cautions: TagCaution[] = [];
  if (facts.iccDescription === null && assumedSpace === null)
    cautions.push({ code: 'untagged' });
  if (facts.iccRemark) cautions.push({ code: 'strangeProfile', remark: facts.iccRemark });
  if (facts.bitsPerChannel < 16) cautions.push({ code: 'eightBits' });
  const tag = facts.ppiTag;
  if (tag === null) cautions.push({ code: 'ppiAbsent', sampled });
  else if (tag < SENSIBLE_PPI.least || tag > SENSIBLE_PPI.most)
    cautions.push({ code: 'ppiNonsense', tag });
  else if (sampled !== null && Math.abs(tag / sampled - 1) > PPI_SLACK)
    cautions.push({ code: 'ppiWrong', tag, sampled });
  return cautions;
}

/**
 * What to know of a picture's size over the original. `nativePpi` is the resolution a print
 * is fed with; a master that does not reach the original's own size at it is called small.
 */
export function adviseSize(
  picture: Pick<MasterFacts, 'width' | 'height'>,
  original: Size,
  nativePpi: number,
): SizeCaution[] {
  const cautions: SizeCaution[] = [];
  const { across, down } = sampledPpi(picture, original);
  const off = across / down - 1;
  if (Math.abs(off) > PROPORTION_SLACK)
    cautions.push({ code: 'proportion', percent: off * 100 });
  if (Math.min(across, down) < nativePpi) {
    const longest = Math.max(picture.width, picture.height) / nativePpi;
    cautions.push({ code: 'small', longestMm: mmOf(longest, 1) });
  }
  return cautions;
}
