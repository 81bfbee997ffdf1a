import type { DocumentKind, Order, Reading } from '@/data';
import { getWork, numberingHash, readSettings } from '@/data';
import { impressionLabel } from '@/core/edition';
import type { Declaration } from '@/core/edition';
import { formatMass, formatSize } from '@/core/units';
import {
  certificatePdf,
  labelPdf,
  packingSlipPdf,
  printable,
  writeCertificateCode,
} from '@/documents';
import type { ReckonedParcel } from './parcel';

export interface MadeDocument {
  kind: DocumentKind;
  name: string;
  pdf: Buffer;
}

const proofsOutside = (d: Declaration): string =>
  d.artistsProofs === 0 ? 'none' : `${d.artistsProofs} artist’s proofs (AP)`;

const CARE =
  'Keep behind glazing, out of direct sunlight and damp. Touch by the edges, with cotton gloves. The sheet is not to be laminated or dry-mounted if it is to keep its value.';

/** Makes the three documents of an order: certificate, packing slip, label. */
export async function makeDocuments(
  db: Reading,
  order: Order,
  reckoned: ReckonedParcel,
  today: string,
): Promise<MadeDocument[]> {
  const [settings, work, hash] = await Promise.all([
    readSettings(db),
    getWork(db, order.workId),
    numberingHash(db, order.editionId, order.series, order.impression),
  ]);
  const { edition, parcel, fit } = reckoned;
  if (!work || !edition || !hash || !parcel || !order.label)
    throw new Error(`order ${order.number} is not ready for its documents`);
  const both = (s: { width: number; height: number }) => {
    const size = s as Parameters<typeof formatSize>[0];
    return printable(
      `${formatSize(size, 'metric', settings.locale)} (${formatSize(size, 'inch', settings.locale)})`,
    );
  };
  const label = impressionLabel(edition.declaration, order.series, order.impression);
  const studio = settings.studio || work.artist;
  const { customer } = order;
  const to = [customer.name, customer.street, customer.town, customer.country];
  const mass = (g: number) => printable(formatMass(g, settings.locale));
  const code = writeCertificateCode({
    editionId: order.editionId,
    series: order.series,
    number: order.impression,
    proof: hash,
  });
  const limited = edition.declaration.kind === 'limited';
  const certificate = await certificatePdf({
    studio,
    title: work.title,
    artist: work.artist,
    impression: label,
    rows: [
      ['Original', `${work.medium}, ${work.year}, ${both(work)}`],
      ['Print', `pigment ink print, ${today.slice(0, 4)}`],
      ['Paper', order.paper],
      ['Image', both(fit?.image ?? reckoned.print)],
      ['Sheet', both(reckoned.print)],
      [
        'Impression',
        limited
          ? `${label} of an edition of ${edition.declaration.size}`
          : `${label}, open edition`,
      ],
      ['Outside it', proofsOutside(edition.declaration)],
    ],
    care: CARE,
    code,
    codeNote: 'Scan, and have the studio hold it against its ledger.',
  });
  const packingSlip = await packingSlipPdf({
    studio,
    order: order.number,
    placed: order.placedAt.slice(0, 10),
    to,
    item: `${work.title}, ${label}`,
    itemDetail: `${both(reckoned.print)}, ${order.paper}`,
    packed: parcel.parts.map((p) => ({ label: p.name, weight: mass(p.mass) })),
    total: mass(parcel.total),
    scales: order.weighed === null ? 'not weighed' : mass(order.weighed),
    carrier: `${order.label.carrier}, ${order.label.service}, ${order.label.tracking}`,
    returns:
      'Please open flat on a clean table. If anything arrived damaged, keep the packing, photograph both and write to the studio at once: carriers set a deadline.',
  });
  const shipping = await labelPdf({
    from: studio,
    to,
    carrier: order.label.carrier,
    service: order.label.service,
    tracking: order.label.tracking,
    order: order.number,
    weight: mass(order.weighed ?? parcel.total),
  });
  return [
    { kind: 'certificate', name: `certificate_${order.number}.pdf`, pdf: certificate },
    { kind: 'packing slip', name: `packing-slip_${order.number}.pdf`, pdf: packingSlip },
    { kind: 'label', name: `label_${order.number}.pdf`, pdf: shipping },
  ];
}
