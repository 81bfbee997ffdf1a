import type { Declaration } from '@/core/edition';
import type { Parcel } from '@/core/pack';
import { permanenceLine } from '@/studio/words/paperWords';
import { formatMass, formatSize, formatDay } from '@/core/units';
import type { Size } from '@/core/units';
import {
  certificatePdf,
  labelPdf,
  packingSlipPdf,
  printable,
  writeCertificateCode,
} from '@/documents';
import { getWork, numberingOf } from '@/data';
import type { BenchSettings, DocumentKind, Order, ParcelOf, Reading } from '@/data';
import type { BenchLine } from './benchLines';
import { partWords } from './words';

export interface MadeDocument {
  kind: DocumentKind;
  /** A certificate is of one line. */
  lineId: number | null;
  name: string;
  pdf: Buffer;
}

/** What is sent, as whom, and with whom. */
export interface Sending {
  order: Order;
  parcel: ParcelOf;
  lines: BenchLine[];
  parts: Parcel['parts'];
  total: Parcel['total'];
  carrier: string;
  service: string;
  tracking: string;
  /** ISO day. */
  today: string;
}

const proofsOutside = (d: Declaration): string =>
  d.artistsProofs === 0 ? 'none' : `${d.artistsProofs} artist’s proofs (AP)`;

const CARE =
  'Keep behind glazing, out of direct sunlight and damp. Touch by the edges, with cotton gloves. The sheet is not to be laminated or dry-mounted if it is to keep its value.';

const RETURNS =
  'Please open flat on a clean table. If anything arrived damaged, keep the packing, photograph both and write to the studio at once: carriers set a deadline.';

const bothUnits = (s: Size, { locale }: BenchSettings): string =>
  printable(`${formatSize(s, 'metric', locale)} (${formatSize(s, 'inch', locale)})`);

/** The certificate of one numbered print. */
async function certificateOf(
  db: Reading,
  line: BenchLine,
  { today, order }: Pick<Sending, 'today' | 'order'>,
  settings: BenchSettings,
): Promise<MadeDocument> {
  const { editionId, series, impression, workId, label } = line;
  if (
    editionId === null ||
    series === null ||
    impression === null ||
    workId === null ||
    label === null
  )
    throw new Error(`line ${line.id} of order ${order.number} has no number`);
  const [work, numbering] = await Promise.all([
    getWork(db, workId),
    numberingOf(db, { editionId, series, number: impression }),
  ]);
  if (!work || !numbering)
    throw new Error(`order ${order.number} is not ready for its certificate`);
  const { hash } = numbering;
  const { declaration } = numbering.edition;
  const sheet = line.sheet ?? work;
  const lasts = line.paperTraits && permanenceLine(line.paperTraits);
  const pdf = await certificatePdf({
    studio: settings.studio || work.artist,
    title: work.title,
    artist: work.artist,
    impression: label,
    rows: [
      ['Original', `${work.medium}, ${work.year}`],
      ['Its size', bothUnits(work, settings)],
      ['Print', `pigment ink print, ${today.slice(0, 4)}`],
      ['Paper', line.paperTraits?.acidFree ? `${line.paper}, acid-free` : line.paper],
      ...(!lasts ? [] : [['Lasts', lasts] as [string, string]]),
      ['Image', bothUnits(line.fit?.image ?? sheet, settings)],
      ['Sheet', bothUnits(sheet, settings)],
      [
        'Impression',
        declaration.kind === 'limited'
          ? `${label} of an edition of ${declaration.size}`
          : `${label}, open edition`,
      ],
      ['Outside it', proofsOutside(declaration)],
    ],
    care: CARE,
    code: writeCertificateCode({ editionId, series, number: impression, proof: hash }),
    codeNote: 'Scan, and have the studio hold it against its ledger.',
  });
  const name = `certificate_${order.number}_${label.replace(/[^\w]+/g, '-')}.pdf`;
  return { kind: 'certificate', lineId: line.id, name, pdf };
}

const titleOf = (line: BenchLine): string =>
  [
    line.kind === 'goods' ? line.name : line.work,
    line.label,
    line.quantity > 1 ? `${line.quantity} pieces` : null,
  ]
    .filter(Boolean)
    .join(', ');

const detailOf = (line: BenchLine, settings: BenchSettings): string =>
  [line.sheet && bothUnits(line.sheet, settings), line.paper].filter(Boolean).join(', ');

/** The certificates of a parcel: one for each numbered print. */
export async function makeCertificates(
  db: Reading,
  settings: BenchSettings,
  sending: Pick<Sending, 'order' | 'lines' | 'today'>,
): Promise<MadeDocument[]> {
  const made = [];
  for (const line of sending.lines.filter((l) => l.label !== null))
    made.push(await certificateOf(db, line, sending, settings));
  return made;
}

/** Makes the documents of a parcel: a certificate for each numbered print, packing slip, label. */
export async function makeDocuments(
  db: Reading,
  settings: BenchSettings,
  sending: Sending,
): Promise<MadeDocument[]> {
  const { order, parcel, lines, parts, total, carrier, service, tracking } = sending;
  const first = lines.find((l) => l.workId !== null);
  const work = first?.workId ? await getWork(db, first.workId) : undefined;
  const studio = settings.studio || work?.artist || 'The studio';
  const { name, street, town, country } = order.to;
  const to = [name, street, town, country];
  const mass = (g: number) => printable(formatMass(g, settings.units, settings.locale));
  const place = order.parcels.length > 1 ? `, parcel ${parcel.place}` : '';
  const file = `${order.number}${order.parcels.length > 1 ? `-${parcel.place}` : ''}`;
  const certificates = await makeCertificates(db, settings, sending);
  const packingSlip = await packingSlipPdf({
    studio,
    order: `${order.number}${place}`,
    placed: printable(formatDay(order.placedAt, settings.locale, settings.timeZone)),
    to,
    items: lines.map((l) => ({ item: titleOf(l), detail: detailOf(l, settings) })),
    packed: parts.map((p) => ({ label: partWords(p, lines), weight: mass(p.mass) })),
    total: mass(total),
    scales: parcel.weighed === null ? 'not weighed' : mass(parcel.weighed),
    carrier: `${carrier}, ${service}, ${tracking}`,
    returns: RETURNS,
  });
  const label = await labelPdf({
    from: studio,
    to,
    carrier,
    service,
    tracking,
    order: `${order.number}${place}`,
    weight: mass(parcel.weighed ?? total),
  });
  return [
    ...certificates,
    {
      kind: 'packing slip',
      lineId: null,
      name: `packing-slip_${file}.pdf`,
      pdf: packingSlip,
    },
    { kind: 'label', lineId: null, name: `label_${file}.pdf`, pdf: label },
  ];
}
