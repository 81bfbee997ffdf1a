import { nominalSize } from '@/core/size';
import { impressionLabel } from '@/core/edition';
import { askedOf, editionCounts, editionsPage, getWork, numberingOf } from '@/data';
import { readCertificateCode } from '@/documents';
import { studio } from '@/studio';

export type CodeCheck = { found: true; words: string } | { found: false; words: string };

async function checkCode(text: string): Promise<CodeCheck> {
  const db = (await studio()).db.read;
  const code = readCertificateCode(text);
  if (!code)
    return {
      found: false,
      words:
        'This is not the code of one of our certificates. Type it as the scanner gives it, beginning with PRINT/.',
    };
  const numbering = await numberingOf(db, code);
  if (!numbering?.hash.startsWith(code.proof))
    return {
      found: false,
      words:
        'The ledger does not know this certificate: its number was never given out like this, or was printed again since.',
    };
  const { edition } = numbering;
  const { declaredFor: declared } = edition;
  if (
    declared &&
    (declared.workId !== edition.workId || declared.sizeKey !== edition.sizeKey)
  )
    return {
      found: false,
      words: `The ledger says that this edition is of “${declared.title}” by ${declared.artist}, but its row was changed to name another work or size. The database was tampered with: check every entry, and go back to a backup.`,
    };
  const now = (await getWork(db, edition.workId))?.title ?? '';
  const title = declared?.title ?? now;
  const called = now === title ? '' : ` (now called ${now})`;
  const impression = edition.impressions.find(
    (i) => i.series === code.series && i.number === code.number,
  );
  return {
    found: true,
    words: `Genuine: ${title}${called}, ${impressionLabel(edition.declaration, code.series, code.number)}, ${impression?.state ?? ''}.`,
  };
}

/** Editions, and the check of a certificate's code if one was asked for. */
export async function loadEditions(
  query: Record<string, string | undefined>,
  lines?: number,
) {
  const db = (await studio()).db.read;
  const asked = askedOf(query, lines);
  const [page, counts] = await Promise.all([editionsPage(db, asked), editionCounts(db)]);
  const rows = page.rows.map(({ kind, of, ...row }) => ({
    ...row,
    size: nominalSize(row.sizeKey)?.label ?? 'all sizes',
    of: kind === 'open' ? null : of,
    left: kind === 'open' ? null : of - row.out,
  }));
  return {
    page: { ...page, rows },
    asked,
    counts,
    code: query.code ?? '',
    check: query.code ? await checkCode(query.code) : null,
  };
}

export type EditionsView = Awaited<ReturnType<typeof loadEditions>>;
