import { xmlText } from '@/core/text';
import { houseFont } from '../fonts';
import { sharp } from '../sharpSetup';

/** Words on a sheet: their upper left corner, pixels; size in points; no wider than `wide` pixels. */
export interface SheetWords {
  text: string;
  left: number;
  top: number;
  points: number;
  wide: number;
}

/** Words as amounts of ink, row by row. */
export async function drawnWords({ text, points, wide }: SheetWords, ppi: number) {
  const { data, info } = await sharp({
    text: { text: xmlText(text), ...houseFont(points), dpi: ppi },
  })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const width = Math.min(wide, info.width);
  return {
    rows: Array.from({ length: info.height }, (_, y) => {
      const row = new Float32Array(width);
      for (let x = 0; x < width; x += 1)
        row[x] = data[(y * info.width + x) * info.channels]! / 255;
      return row;
    }),
  };
}
