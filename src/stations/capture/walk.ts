import type { SpeckReading } from '@/core/capture/specks';

/** One stop of the walk: a speck, or a tile in which none can be told. Pixels of the file. */
export type Stop =
  | {
      kind: 'speck';
      /** Its place among all that were found. */
      index: number;
      x: number;
      y: number;
      diameter: number;
      length: number;
      contrast: number;
      confidence: number;
    }
  | { kind: 'tile'; x: number; y: number; width: number; height: number };

/** Height of the swaths in which a picture is walked to and fro, pixels. */
const SWATH = 600;

/** Specks at least so sure, and then busy tiles, each in the order in which an eye would sweep the picture. */
export function stopsOf(
  { found, busy }: SpeckReading,
  least: number,
  width: number,
): Stop[] {
  const specks = found.flatMap((s, index): Stop[] =>
    s.confidence >= least ? [{ kind: 'speck', index, ...s }] : [],
  );
  const tiles = busy.map((t): Stop => ({
    kind: 'tile',
    x: t.left + t.width / 2,
    y: t.top + t.height / 2,
    width: t.width,
    height: t.height,
  }));
  const along = ({ x, y }: Stop) => {
    const swath = Math.floor(y / SWATH);
    return swath * width + (swath % 2 === 0 ? x : width - x);
  };
  const swept = (stops: Stop[]) => stops.sort((a, b) => along(a) - along(b));
  return [...swept(specks), ...swept(tiles)];
}
