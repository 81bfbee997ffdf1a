import { nominalSize } from '@/core/sizing';
import { impressionLabel } from '@/core/edition';
import { getEdition, listEditions, listWorks, numberingHash } from '@/data';
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
  const [edition, hash] = await Promise.all([
    getEdition(db, code.editionId),
    numberingHash(db, code.editionId, code.series, code.number),
  ]);
  if (!edition || !hash?.startsWith(code.proof))
    return {
      found: false,
      words:
        'The ledger does not know this certificate: its number was never given out like this, or was printed again since.',
    };
  const works = await listWorks(db);
  const title = works.find((w) => w.id === edition.workId)?.title ?? '';
  const impression = edition.impressions.find(
    (i) => i.series === code.series && i.number === code.number,
  );
  return {
    found: true,
    words: `Genuine: ${title}, ${impressionLabel(edition.declaration, code.series, code.number)}, ${impression?.state ?? ''}.`,
  };
}

/** All editions, and the check of a certificate's code if one was asked for. */
export async function loadEditions(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const [editions, works] = await Promise.all([listEditions(db), listWorks(db)]);
  const titles = new Map(works.map((w) => [w.id, w.title]));
  const rows = editions.map((e) => {
    const count = (state: string) =>
      e.impressions.filter((i) => i.series === 'number' && i.state === state).length;
    const out = count('numbered') + count('ordered') + count('sold');
    return {
      id: e.id,
      workId: e.workId,
      sizeKey: e.sizeKey,
      work: titles.get(e.workId) ?? '',
      size: nominalSize(e.sizeKey)?.label ?? 'all sizes',
      of: e.declaration.kind === 'open' ? null : e.declaration.size,
      aps: e.declaration.artistsProofs,
      here: count('numbered'),
      ordered: count('ordered'),
      sold: count('sold'),
      spoiled: e.impressions.reduce(
        (t, i) => t + i.printing - (i.state === 'spoiled' ? 0 : 1),
        0,
      ),
      left: e.declaration.kind === 'open' ? null : e.declaration.size - out,
    };
  });
  return {
    rows,
    code: query.code ?? '',
    check: query.code ? await checkCode(query.code) : null,
  };
}

export type EditionsView = Awaited<ReturnType<typeof loadEditions>>;
