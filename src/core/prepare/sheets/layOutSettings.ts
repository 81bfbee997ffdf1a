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
  /** Pixels of a control strip that is to lie under the cells; null: none does. */
  strip: { width: number; height: number } | null;
}

/** Cells in rows, each with its row of words; pixels. */
export interface SettingsLayout {
  places: PixelRect[];
  words: WordsPlace[];
  /** Where the control strip lies, and its row of words. */
  strip: { place: PixelRect; words: WordsPlace } | null;
  foot: WordsPlace[];
}

/** Between cells, under a cell for its label, under a strip, and at the foot, mm; a smaller cell tells nothing. */
const GUTTER = 3;
const LABEL = 7.5;
const STRIP_LABEL = 4;
const FOOT = 12;
const LEAST = 12;

/**
 * Places of equal cells in rows, as large as the sheet allows; null when they get too small, or the
 * sheet too narrow for the strip.
 */
export function layOutSettings(wish: SettingsWish): SettingsLayout | null {
  const { width, height, ppi, columns, count, proportion, strip } = wish;
  const px = (length: number) => pixelsFor(mm(length), ppi);
  const rows = Math.ceil(count / columns);
  const margin = Math.max(1, px(wish.margin));
  const inner = width - 2 * margin;
  if (strip && strip.width > inner) return null;
  const under = strip ? strip.height + px(STRIP_LABEL) + px(GUTTER) : 0;
  const room = {
    width: (inner - (columns - 1) * px(GUTTER)) / columns,
    height:
      (height - 2 * margin - px(FOOT) - under - (rows - 1) * px(GUTTER)) / rows - px(LABEL),
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
  const stripAt = { left: margin, top: height - margin - px(FOOT) - under + px(GUTTER) };
  const footTop = height - margin - px(FOOT) + px(2);
  return {
    places,
    words: places.map((p) => ({ left: p.left, top: p.top + down + px(0.5), wide: across })),
    strip: strip && {
      place: { ...stripAt, ...strip },
      words: {
        left: margin,
        top: stripAt.top + strip.height + px(0.6),
        wide: strip.width,
      },
    },
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
  laid: SettingsLayout | null;
}
