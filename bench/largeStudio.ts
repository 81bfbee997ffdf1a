import { link } from '@/core/edition';
import type { LedgerEntry } from '@/core/edition';
import { plainLayout } from '@/core/size';
import { startPrice } from '@/core/price';
import { gsm, minor, mm } from '@/core/units';
import type { OpenDatabase } from '@/data';
import * as t from '@/data/schema';
import { insert } from './insert';
import { insertOrders } from './largeOrders';
import { FIRST, LAST, SIZES, day, ledgerFacts, pick, sha256 } from './largeFacts';

export interface LargeStudio {
  works: number;
  impressionsEach: number;
  ordersEach: number;
  /** Size key of every edition, one that the size families know. */
  sizeKeys?: string[];
}

/**
 * Fills an empty database with made-up trade, the same every time: works with a master,
 * sizes, proofs, an edition with its ledger entries, prices, orders with their events and
 * lines in the log book.
 */
export async function fillLargeStudio(
  db: OpenDatabase,
  { works, impressionsEach, ordersEach, sizeKeys = SIZES }: LargeStudio,
): Promise<void> {
  const ids = Array.from({ length: works }, (_, i) => i + 1);
  const size = (id: number) => pick(sizeKeys, id);
  const orders = ids.flatMap((work) =>
    Array.from({ length: ordersEach }, (_, k) => ({
      id: (work - 1) * ordersEach + k + 1,
      work,
      k,
    })),
  );
  const facts = ids.flatMap((id) => ledgerFacts(id, impressionsEach, ordersEach, size(id)));
  const shipped = (work: number, k: number) => !(work % 4 === 0 && k === ordersEach - 1);
  let last: LedgerEntry | undefined;
  const entries = facts.map((fact) => (last = link(fact, last, sha256)));
  await db.write(async (tx) => {
    await insert(
      tx,
      t.works,
      ids.map((id) => ({
        title: `${pick(FIRST, id)} ${pick(LAST, Math.floor(id / 10))} ${id}`,
        artist: 'Senna Quillfeather',
        year: 2015 + (id % 11),
        kind: 'painting',
        medium: pick(['Gouache', 'Tempera', 'Linocut'], id),
        width: mm(300 + (id % 50) * 10),
        height: mm(400 + (id % 40) * 10),
        price: minor(50_000 + id),
        currency: 'EUR',
        createdAt: day(id % 300),
      })),
    );
    await insert(
      tx,
      t.papers,
      Array.from({ length: 12 }, (_, i) => ({
        name: `Sheet ${i + 1}`,
        maker: 'Vatmill',
        base: 'cotton',
        surface: 'matte',
        weight: gsm(300),
        thickness: mm(0.5),
        sheetWidth: mm(594),
        sheetHeight: mm(841),
        price: minor(900),
        currency: 'EUR',
        reorderPoint: 10,
        printerSetting: '',
        permanence: '',
        note: '',
        createdAt: day(0),
      })),
    );
    await insert(
      tx,
      t.files,
      ids.map((id) => ({
        sha256: sha256(`master ${id}`),
        bytes: 1e8,
        format: 'tiff',
        width: 6000 + (id % 70) * 100,
        height: 8000,
        bitsPerChannel: 16,
        channels: 3,
        colourModel: 'rgb',
        ppiTag: 600,
        iccDescription: id % 40 === 0 ? null : 'sRGB',
        orientation: 1,
        storedAt: day(id % 300),
      })),
    );
    await insert(
      tx,
      t.masters,
      ids.map((id) => ({
        workId: id,
        sha256: sha256(`master ${id}`),
        name: `work-${id}.tif`,
        assumedSpace: null,
        at: day(id % 300),
      })),
    );
    await insert(
      tx,
      t.jobs,
      ids.map((id) => ({
        kind: 'read',
        workId: id,
        spec: {},
        state: 'done',
        stage: 'cutting tiles',
        at: day(id % 300),
      })),
    );
    await insert(
      tx,
      t.sizeEvents,
      ids.flatMap((id) =>
        sizeKeys.map((sizeKey) => ({
          workId: id,
          sizeKey,
          kind: 'offered',
          layout: plainLayout('within', mm(20)),
          reason: null,
          at: day(id % 300),
        })),
      ),
    );
    await insert(
      tx,
      t.proofRounds,
      ids.flatMap((id) =>
        [1, 2].map((round) => ({
          workId: id,
          sizeKey: size(id),
          paperId: 1 + (id % 12),
          round,
          route: 'own printer',
          printFileId: null,
          cost: minor(1200),
          currency: 'EUR',
          remarks: '',
          sentAt: day(id % 300),
        })),
      ),
    );
    await insert(
      tx,
      t.proofReturns,
      ids.flatMap((id) =>
        (id % 10 === 0 ? [1] : [1, 2]).map((round) => ({
          roundId: (id - 1) * 2 + round,
          seen: 'well',
          toChange: '',
          verdict: round === 2 ? 'approved' : 'changeAndRepeat',
          backAt: day((id % 300) + 5),
        })),
      ),
    );
    await insert(
      tx,
      t.editions,
      ids.map((id) => ({ workId: id, sizeKey: size(id), createdAt: day(id % 300) })),
    );
    await insert(tx, t.ledger, entries);
    await insert(
      tx,
      t.prices,
      ids.map((id) => ({
        workId: id,
        sizeKey: size(id),
        channel: 'own site',
        values: startPrice({
          currency: 'EUR',
          printing: null,
          paper: null,
          capture: null,
          proofs: null,
          editionSize: null,
        }),
        currency: 'EUR',
        cost: minor(4000),
        fees: minor(900),
        price: minor(20_000 + id),
        net: minor(15_000),
        at: day(0),
      })),
    );
    await insertOrders(tx, orders, { size, shipped });
    await insert(
      tx,
      t.logLines,
      entries.map((e) => ({
        at: e.at,
        what: `edition.${e.kind}`,
        workId: e.editionId,
        sizeKey: size(e.editionId),
        editionId: e.editionId,
        series: e.series,
        impression: e.number,
        orderId: null,
        detail: e.payload,
      })),
    );
  });
}
