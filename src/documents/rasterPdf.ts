import { PDFDocument, PDFName, PDFString } from '@cantoo/pdf-lib';

/** A picture of a whole page: its samples as 8 bits, deflated, and the profile that they are meant in. */
export interface RasterPage {
  width: number;
  height: number;
  ppi: number;
  channels: 3 | 4;
  deflated: Uint8Array;
  icc: Uint8Array;
}

const POINTS = 72;

/**
 * A PDF of one page that is a picture, at its exact size, with its ICC profile (as the
 * picture's colour space and, for presses, as the output intent). Samples are not touched.
 */
export async function rasterPdf(
  page: RasterPage,
  about: { title: string; artist: string },
): Promise<Uint8Array> {
  const { width, height, ppi, channels, deflated, icc } = page;
  const doc = await PDFDocument.create();
  doc.setTitle(about.title);
  doc.setAuthor(about.artist);
  const { context } = doc;
  const profile = context.register(
    context.flateStream(icc, {
      N: channels,
      Alternate: channels === 4 ? 'DeviceCMYK' : 'DeviceRGB',
    }),
  );
  const picture = context.register(
    context.stream(deflated, {
      Type: 'XObject',
      Subtype: 'Image',
      Width: width,
      Height: height,
      BitsPerComponent: 8,
      ColorSpace: ['ICCBased', profile],
      Filter: 'FlateDecode',
    }),
  );
  doc.catalog.set(
    PDFName.of('OutputIntents'),
    context.obj([
      {
        Type: 'OutputIntent',
        S: 'GTS_PDFX',
        OutputConditionIdentifier: PDFString.of('Custom'),
        DestOutputProfile: profile,
      },
    ]),
  );
  const size: [number, number] = [(width / ppi) * POINTS, (height / ppi) * POINTS];
  const made = doc.addPage(size);
  made.node.set(PDFName.of('Resources'), context.obj({ XObject: { Sheet: picture } }));
  const drawing = `q ${size[0]} 0 0 ${size[1]} 0 0 cm /Sheet Do Q`;
  made.node.set(PDFName.of('Contents'), context.register(context.stream(drawing)));
  return doc.save();
}
