'use client';
import { useRouter } from 'next/navigation';
import { laidSheets } from '@/core/edition';
import { Bench, Surface } from '@/shell/bench';
import { NoSizes, SizePicker } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Pencil, TableHead, TitleBlock } from '@/shell/words';
import { EditionSheets } from './EditionSheets';
import { EditionSlip } from './EditionSlip';
import type { EditionView } from './view';

/** Edition: what was declared, the sheets that are out, the next number, and the ledger. */
export function EditionStation(view: EditionView) {
  const { work, offered, picked, edition, editionKeys, asked, story } = view;
  const format = useFormat();
  const router = useRouter();
  const cells = edition ? laidSheets(edition.declaration, edition.impressions) : [];
  const base = `/works/${work.id}/edition?size=${picked?.key ?? ''}`;
  const askedCell = cells.find(
    (c) => asked && c.series === asked.series && c.number === asked.number,
  );
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>{work.title}</h1>
          <p>
            {edition
              ? `${edition.declaration.kind === 'open' ? 'Open edition' : `Edition of ${edition.declaration.size}`} and ${edition.declaration.artistsProofs} artist’s proofs, ${edition.sizeKey === 'all' ? 'over all sizes' : (picked?.label ?? '')}, declared ${format.day(edition.declaredAt)}`
              : 'No edition of this size is declared yet'}
          </p>
        </TitleBlock>
        {!picked ? (
          <NoSizes workId={work.id} />
        ) : (
          <>
            <SizePicker
              path={`/works/${work.id}/edition`}
              picked={picked.key}
              sizes={offered.map((o) => ({
                key: o.key,
                label: o.label,
                note: editionKeys.includes(o.key) || editionKeys.includes('all') ? '✓' : '',
              }))}
            />
            {edition && (
              <EditionSheets
                cells={cells}
                preview={view.preview}
                picked={asked ? `${asked.series}:${asked.number}` : null}
                onPick={(c) =>
                  router.push(`${base}&impression=${c.series}:${c.number}`, {
                    scroll: false,
                  })
                }
              />
            )}
            {asked && (
              <>
                <TableHead>
                  The story of <Pencil>{asked.label}</Pencil>
                </TableHead>
                <ol style={{ display: 'grid', gap: 3 }}>
                  {story.map((line) => (
                    <li
                      key={line.id}
                      style={{ display: 'grid', gridTemplateColumns: '100px 1fr' }}
                    >
                      <span style={{ color: 'var(--soft)' }}>{format.day(line.at)}</span>
                      {line.text}
                    </li>
                  ))}
                </ol>
              </>
            )}
          </>
        )}
      </Surface>
      {picked && <EditionSlip view={view} askedCell={askedCell ?? null} />}
    </Bench>
  );
}
