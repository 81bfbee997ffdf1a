import bwipjs from 'bwip-js/node';

/** A QR code (medium error correction) as a PNG data URL, with its quiet zone. */
export async function qrCode(text: string): Promise<string> {
  const options = {
    bcid: 'qrcode',
    text,
    scale: 6,
    eclevel: 'M',
    paddingwidth: 4,
    paddingheight: 4,
    backgroundcolor: 'ffffff',
  };
  const png = await bwipjs.toBuffer(options);
  return `data:image/png;base64,${Buffer.from(png).toString('base64')}`;
}
