import { plainLayout } from '@/core/size';
import { gsm, minor, mm } from '@/core/units';
import {
  addMaterial,
  addOrder,
  addPaper,
  addSizeEvent,
  addWork,
  assignNumber,
  declareEdition,
  moveStock,
  openDatabase,
} from '@/data';
import { USUAL_STOCK } from '@/stations/pack/usualStock';

const at = '2026-11-02T10:00:00.000Z';
const SIZE = 'metricFrames-30x40';

/** A small studio made by the repositories: one work, one paper, an edition, open orders. */
export async function seedStudio(
  home: string,
  { editionOf, numbered, orders }: { editionOf: number; numbered: number; orders: number },
): Promise<{ workId: number; editionId: number; orderNumbers: string[] }> {
  const db = await openDatabase(home);
  const seeded = await db.write(async (tx) => {
    const work = await addWork(tx, {
      title: 'Slack Water',
      artist: 'Senna Quillfeather',
      year: 2025,
      kind: 'painting',
      medium: 'Gouache',
      width: mm(300),
      height: mm(400),
      price: minor(90_000),
      createdAt: at,
    });
    const paperId = await addPaper(tx, {
      name: 'Linen 300',
      maker: 'Vatmill',
      base: 'cotton',
      surface: 'matte',
      weight: gsm(300),
      thickness: mm(0.5),
      sheetWidth: mm(594),
      sheetHeight: mm(841),
      price: minor(900),
      reorderPoint: 5,
      printerSetting: '',
      permanence: '',
      note: '',
      createdAt: at,
    });
    for (const material of USUAL_STOCK) {
      const ref = await addMaterial(tx, material);
      await moveStock(tx, { of: 'material', ref, pieces: 100, reason: 'first stock', at });
    }
    await addSizeEvent(tx, {
      workId: work.id,
      sizeKey: SIZE,
      kind: 'offered',
      layout: plainLayout('within', mm(20)),
      judged: null,
      reason: null,
      at,
    });
    const editionId = await declareEdition(tx, {
      workId: work.id,
      sizeKey: SIZE,
      declaration: { kind: 'limited', scope: 'perSize', size: editionOf, artistsProofs: 2 },
      at,
    });
    for (let i = 0; i < numbered; i += 1)
      await assignNumber(tx, { editionId, series: 'number', sizeKey: SIZE, at });
    const orderNumbers: string[] = [];
    for (let i = 1; i <= orders; i += 1) {
      const row = await addOrder(tx, {
        customer: {
          name: `Reader ${i}`,
          street: `${i} Capstan Row`,
          town: '2180 Merrow Hythe',
          country: 'Westmark',
        },
        workId: work.id,
        sizeKey: SIZE,
        paperId,
        editionId,
        series: 'number',
        impression: i,
        channel: 'own site',
        price: minor(8000),
        placedAt: at,
        dueOn: '2026-11-05',
      });
      orderNumbers.push(row.number);
    }
    return { workId: work.id, editionId, orderNumbers };
  });
  db.close();
  return seeded;
}
