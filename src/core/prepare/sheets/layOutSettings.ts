import { mm, pixelsFor } from '../../units';
import type { PixelRect } from '../printPlan';
import type { WordsPlace } from './layOutProof';

export interface SettingsWish {
  /** Pixels of the sheet. */
  width: number;
  height: number;
  ppi: number;
  /** mm. */
  margin: number;
  columns: number;
  count: number;
  /** Width over height of what is seen in a cell. */
  proportion: number;
}

/** Between cells, under a cell for its label, and at the foot, mm; a smaller cell tells nothing. */
const GUTTER = 3;
const LABEL = 7.5;
const FOOT = 12;
const LEAST = 12;

/** Places of equal cells in rows, as large as the sheet allows; null when they get too small. */
export function layOutSettings(
  wish: SettingsWish,
): { places: PixelRect[]; words: WordsPlace[]; foot: WordsPlace[] } | null {
  const { width, height, ppi, columns, count, proportion } = wish;
  const px = (length: number) => pixelsFor(mm(length), ppi);
  const rows = Math.ceil(count / columns);
  const margin = Math.max(1, px(wish.margin));
  const inner = width - 2 * margin;
  const room = {
    width: (inner - (columns - 1) * px(GUTTER)) / columns,
    height: (height - 2 * margin - px(FOOT) - (rows - 1) * px(GUTTER)) / rows - px(LABEL),
  };
  const across = Math.floor(Math.min(room.width, room.height * proportion));
  const down = Math.floor(across / proportion);
  if (Math.min(across, down) < px(LEAST)) return null;
  const places = Array.from({ length: count }, (_, i) => ({
    left: margin + (i % columns) * (across + px(GUTTER)),
    top: margin + Math.floor(i / columns) * (down + px(LABEL) + px(GUTTER)),
    width: across,
    height: down,
  }));
  const footTop = height - margin - px(FOOT) + px(2);
  return {
    places,
    words: places.map((p) => ({ left: p.left, top: p.top + down + px(0.5), wide: across })),
    foot: [0, 1].map((i) => ({ left: margin, top: footTop + i * px(4), wide: inner })),
  };
}

/** The same on a sheet that may be turned: the way in which the cells get larger; null where neither holds them. */
export function layOutSettingsEitherWay(wish: SettingsWish) {
  const [upright, lying] = [wish, { ...wish, width: wish.height, height: wish.width }].map(
    (way) => ({ way, laid: layOutSettings(way) }),
  ) as [Laid, Laid];
  const wide = ({ laid }: Laid) => laid?.places[0]?.width ?? 0;
  const { way, laid } = wide(lying) > wide(upright) ? lying : upright;
  return laid && { ...laid, width: way.width, height: way.height };
}

interface Laid {
  way: SettingsWish;
  laid: ReturnType<typeof layOutSettings>;
}
