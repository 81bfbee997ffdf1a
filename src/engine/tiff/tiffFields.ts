import type { Compression } from '@/core/prepare';
import { keptCharacters, xmlText } from '@/core/text';

/** What a file says of the picture in it. */
export interface FileAbout {
  title: string;
  artist: string;
  copyright: string;
}

export interface TiffLayout {
  width: number;
  height: number;
  /** Grey, RGB or CMYK. */
  channels: 1 | 3 | 4;
  bits: 8 | 16;
  ppi: number;
  icc: Uint8Array | null;
  compression?: Compression;
  about?: FileAbout;
}

/** ASCII, short, long, rational, undefined (TIFF 6.0, section 2); bytes are 1. */
type FieldType = 1 | 2 | 3 | 4 | 5 | 7;

interface Field {
  tag: number;
  type: FieldType;
  count: number;
  data: Buffer;
}

const shorts = (tag: number, ...values: number[]): Field => {
  const data = Buffer.alloc(values.length * 2);
  values.forEach((v, i) => data.writeUInt16LE(v, i * 2));
  return { tag, type: 3, count: values.length, data };
};

const longs = (tag: number, values: number[]): Field => {
  const data = Buffer.alloc(values.length * 4);
  values.forEach((v, i) => data.writeUInt32LE(v, i * 4));
  return { tag, type: 4, count: values.length, data };
};

const rational = (tag: number, value: number): Field => {
  const data = Buffer.alloc(8);
  data.writeUInt32LE(Math.round(value * 1000), 0);
  data.writeUInt32LE(1000, 4);
  return { tag, type: 5, count: 1, data };
};

const bytes = (tag: number, type: FieldType, data: Buffer): Field => ({
  tag,
  type,
  count: data.length,
  data,
});

const words = (tag: number, said: string): Field[] =>
  said === '' ? [] : [bytes(tag, 2, Buffer.from(`${keptCharacters(said)}\0`, 'utf8'))];

/** The same words as an XMP packet (ISO 16684-1), which holds any letters. */
export function xmpOf({ title, artist, copyright }: FileAbout): string {
  const alt = (name: string, said: string) =>
    `<dc:${name}><rdf:Alt><rdf:li xml:lang="x-default">${xmlText(said)}</rdf:li></rdf:Alt></dc:${name}>`;
  return [
    '<?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>',
    '<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">',
    '<rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/">',
    alt('title', title),
    `<dc:creator><rdf:Seq><rdf:li>${xmlText(artist)}</rdf:li></rdf:Seq></dc:creator>`,
    alt('rights', copyright),
    '</rdf:Description></rdf:RDF></x:xmpmeta><?xpacket end="r"?>',
  ].join('');
}

/** None, LZW, deflate. */
const SCHEMES: Record<Compression, number> = { none: 1, lzw: 5, deflate: 8 };

/** All fields of the one directory, in the order of their tags. */
export function tiffFields(
  layout: TiffLayout,
  offsets: number[],
  counts: number[],
  rowsPerStrip: number,
): Field[] {
  const { width, height, channels, bits, compression = 'none', about, icc } = layout;
  const photometric = { 1: 1, 3: 2, 4: 5 }[channels];
  return [
    longs(256, [width]),
    longs(257, [height]),
    shorts(258, ...new Array<number>(channels).fill(bits)),
    shorts(259, SCHEMES[compression]),
    shorts(262, photometric),
    ...(about ? words(270, about.title) : []),
    longs(273, offsets),
    shorts(274, 1),
    shorts(277, channels),
    longs(278, [rowsPerStrip]),
    longs(279, counts),
    rational(282, layout.ppi),
    rational(283, layout.ppi),
    shorts(284, 1),
    shorts(296, 2),
    ...(about ? words(315, about.artist) : []),
    ...(compression === 'none' ? [] : [shorts(317, 2)]),
    ...(channels === 4 ? [shorts(332, 1)] : []),
    ...(about ? [bytes(700, 1, Buffer.from(xmpOf(about), 'utf8'))] : []),
    ...(about ? words(33432, about.copyright) : []),
    ...(icc ? [bytes(34675, 7, Buffer.from(icc))] : []),
  ];
}

/** Lays the directory out at a file offset, larger values behind it. */
export function serialise(fields: Field[], at: number): Buffer {
  const head = Buffer.alloc(2 + fields.length * 12 + 4);
  head.writeUInt16LE(fields.length, 0);
  const behind: Buffer[] = [];
  let free = at + head.length;
  fields.forEach((field, i) => {
    const entry = 2 + i * 12;
    head.writeUInt16LE(field.tag, entry);
    head.writeUInt16LE(field.type, entry + 2);
    head.writeUInt32LE(field.count, entry + 4);
    if (field.data.length <= 4) field.data.copy(head, entry + 8);
    else {
      head.writeUInt32LE(free, entry + 8);
      const padded = Buffer.concat([field.data, Buffer.alloc(field.data.length & 1)]);
      behind.push(padded);
      free += padded.length;
    }
  });
  return Buffer.concat([head, ...behind]);
}
