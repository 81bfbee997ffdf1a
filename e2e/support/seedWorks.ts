import { plainLayout } from '@/core/size';
import { minor, mm } from '@/core/units';
import { addSizeEvent, addWork, assignNumber, declareEdition, openDatabase } from '@/data';

const at = '2026-11-02T10:00:00.000Z';

/** Works more for a studio that was seeded: each with a size on offer, an edition of 20, and two numbered. */
export async function seedWorks(
  home: string,
  works: readonly { title: string; sizeKey: string }[],
): Promise<void> {
  const db = await openDatabase(home);
  await db.write(async (tx) => {
    for (const { title, sizeKey } of works) {
      const { id: workId } = await addWork(tx, {
        title,
        artist: 'Senna Quillfeather',
        year: 2024,
        kind: 'painting',
        medium: 'Oil',
        width: mm(700),
        height: mm(1000),
        price: minor(120_000),
        currency: 'EUR',
        createdAt: at,
      });
      await addSizeEvent(tx, {
        workId,
        sizeKey,
        kind: 'offered',
        layout: plainLayout('within', mm(20)),
        judged: null,
        reason: null,
        at,
      });
      const declaration = {
        kind: 'limited',
        scope: 'perSize',
        size: 20,
        artistsProofs: 0,
      } as const;
      const editionId = await declareEdition(tx, { workId, sizeKey, declaration, at });
      for (let i = 0; i < 2; i += 1)
        await assignNumber(tx, { editionId, series: 'number', sizeKey, at });
    }
  });
  db.close();
}
