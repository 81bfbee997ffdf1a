import { plainLayout } from '@/core/size';
import { gsm, minor, mm } from '@/core/units';
import {
  addMaterial,
  addPaper,
  addSizeEvent,
  addWork,
  assignNumber,
  declareEdition,
  moveStock,
  openDatabase,
} from '@/data';
import { USUAL_STOCK } from '@/core/pack';
import { usualName } from '@/drawers/materials/words';
import { impressionLine, orderOf } from './orders';

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
      currency: 'EUR',
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
      currency: 'EUR',
      reorderPoint: 5,
      printerSetting: '',
      permanence: '',
      note: '',
      createdAt: at,
    });
    for (const piece of USUAL_STOCK) {
      const shelf = { name: usualName(piece), cost: minor(0), reorderPoint: 0 };
      const ref = await addMaterial(tx, { ...piece, ...shelf, currency: 'EUR' }, at);
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
      const of = { workId: work.id, sizeKey: SIZE, paperId, editionId, impression: i };
      const reader = { at, name: `Reader ${i}`, street: `${i} Capstan Row` };
      const row = await orderOf(tx, impressionLine(of), reader);
      orderNumbers.push(row.number);
    }
    return { workId: work.id, editionId, orderNumbers };
  });
  db.close();
  return seeded;
}
