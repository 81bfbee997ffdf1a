'use client';
import type { Recipe } from '@/core/prepare';
import { standingReference } from '@/core/proof';
import { Overrule } from '@/shell/said';
import { Small } from '@/shell/words';
import { referenceWords } from '@/studio/words/proofWords';
import type { SheetProps } from './sheetProps';

/** What speaks against the approved proof for a file of this recipe; empty where it holds, or none is there. */
export function referenceAgainst(
  { approved, sizeFactor }: Pick<SheetProps['view'], 'approved' | 'sizeFactor'>,
  { picked, master }: Pick<SheetProps, 'picked' | 'master'>,
  recipe: Recipe,
): string {
  const { width, height } = picked.fit.sheet;
  const standing = standingReference(
    approved,
    { sizeKey: picked.key, area: width * height, masterId: master.id, recipe },
    sizeFactor,
  );
  return standing ? referenceWords({ ...standing.round, reasons: standing.reasons }) : '';
}

/** That a file would be another than the approved proof, and room to say why it is written. */
export const ReferenceNotice = ({
  against,
  reason,
  onReason,
}: {
  against: string;
  reason: string;
  onReason: (reason: string) => void;
}) => (
  <div data-testid="reference" style={{ display: 'grid', gap: 5 }}>
    <Small style={{ color: 'var(--ochre)' }}>
      ▲ No valid reference: {against}. A file for the next proof needs none; one for prints
      does.
    </Small>
    <Overrule label="Written all the same, because" value={reason} onChange={onReason} />
  </div>
);
