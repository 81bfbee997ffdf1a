'use client';
import { ButtonLink } from '@/shell/actions';
import type { ProofView } from './view';

/** The ways from a recipe that was kept: it is seen on the paper before any is spent, then prepared with. */
export function NextRecipe({
  view: { work, picked },
  paperId,
  recipeId,
}: {
  view: Pick<ProofView, 'work' | 'picked'>;
  paperId: number;
  recipeId: number;
}) {
  const size = picked ? `&size=${encodeURIComponent(picked.key)}` : '';
  return (
    <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
      <ButtonLink
        $small
        href={`/works/${work.id}/proof?sheet=paper&paper=${paperId}${size}&recipe=${recipeId}`}
      >
        See it on the paper
      </ButtonLink>
      <ButtonLink $small href={`/works/${work.id}/prepare?recipe=${recipeId}${size}`}>
        Prepare with it
      </ButtonLink>
    </div>
  );
}
