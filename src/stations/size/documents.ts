import { readFile } from 'node:fs/promises';
import {
  leavesRoom,
  measureLines,
  nominalSize,
  rung,
  sheetDrawing,
  tilePages,
} from '@/core/size';
import type { DrawnMeasure, Rung } from '@/core/size';
import { formatDay, formatLength, formatSize } from '@/core/units';
import type { UnitMode } from '@/core/units';
import { readSettings } from '@/data';
import type { BenchSettings } from '@/data';
import { drawingPdf, drawingSvg, printable, sizeSheetPdf } from '@/documents';
import type { DrawingContent } from '@/documents';
import { storePaths } from '@/engine';
import { loadWorkPage, now, offeredRungs, studio } from '@/studio';
import type { WorkPage } from '@/studio';
import { choice, defineForm, text } from '@/core/input';
import { slug } from '@/core/prepare';
import { LAYOUT_FIELDS, layoutOf } from './layoutForm';
import { SIGN_PLACES } from './sheetWords';

/** Chains of measures lie so far apart on the drawing, mm. */
const CHAIN_MM = 8;
/** Room beside the drawing for its measures and marks, mm. */
const AROUND = { above: 34, right: 34, below: 12, left: 12 };

const asked = defineForm({
  size: text('Size', { max: 60 }),
  form: choice('Form', ['pdf', 'a4', 'letter', 'svg']),
  ...LAYOUT_FIELDS,
});

const wordOf = (m: DrawnMeasure, words: string) => ({
  x: m.upright ? m.at - 2.4 : (m.from + m.to) / 2,
  y: m.upright ? (m.from + m.to) / 2 : m.at - 2.4,
  text: words,
  upright: m.upright,
  pencilled: false,
});

/** The drawing of a size with its measures written in the studio's units. */
function contentOf(page: WorkPage, r: Rung): DrawingContent {
  const { units, locale, size: rules } = page.settings;
  const drawing = sheetDrawing(r.fit, rules, CHAIN_MM);
  const { paper } = r.fit;
  const title = `${page.work.title}, ${r.label}`;
  return {
    title,
    caption: `${title} at 1 : 1`,
    area: {
      left: -AROUND.left,
      top: -AROUND.above,
      width: paper.width + AROUND.left + AROUND.right,
      height: paper.height + AROUND.above + AROUND.below,
    },
    lines: [...drawing.lines, ...drawing.measures.flatMap((m) => measureLines(m, 1.5))],
    texts: [
      ...drawing.measures.map((m) =>
        wordOf(m, printable(formatLength(m.length, units, locale))),
      ),
      ...drawing.labels.flatMap((l) =>
        l.says.kind === 'place'
          ? [{ ...l, y: l.y - 2, text: SIGN_PLACES[l.says.place], pencilled: true }]
          : [],
      ),
    ],
  };
}

export interface SentDocument {
  bytes: Uint8Array;
  type: string;
  name: string;
}

/** The drawing of a sheet at 1 : 1; or a sentence of what cannot be read. Null without a master. */
export async function sheetDocument(
  id: string,
  typed: Record<string, string>,
): Promise<SentDocument | { refused: string } | null> {
  const settings: BenchSettings = await readSettings((await studio()).db.read);
  const read = asked.read(typed, settings);
  if (!read.ok)
    return { refused: Object.values(read.fields)[0] ?? 'Nothing was asked for.' };
  const { size, form, ...said } = read.value;
  const nominal = nominalSize(size);
  if (!nominal) return { refused: `Size: “${size}” is no size that can be printed.` };
  const layout = layoutOf(said);
  const page = await loadWorkPage(id);
  if (!page.master) return null;
  const r = leavesRoom(nominal, layout)
    ? rung(nominal, page.master.facts, layout, settings.size)
    : null;
  if (!r) return { refused: `Border: it leaves nothing of ${nominal.label} to print on.` };
  const content = contentOf(page, r);
  const base = `${slug(r.label)}_${slug(page.work.title)}_sheet`;
  if (form === 'svg')
    return {
      bytes: new TextEncoder().encode(drawingSvg(content)),
      type: 'image/svg+xml',
      name: `${base}.svg`,
    };
  const plan = form === 'pdf' ? null : tilePages(content.area as never, form);
  return {
    bytes: await drawingPdf(content, plan),
    type: 'application/pdf',
    name: `${base}${form === 'pdf' ? '' : `_${form}`}.pdf`,
  };
}

const OTHER: Record<UnitMode, UnitMode> = { metric: 'inch', inch: 'metric' };

function bordersSaid(r: Rung, units: UnitMode, locale: string): string {
  const { left, right, above, below } = r.fit;
  const said = (n: typeof left) => printable(formatLength(n, units, locale));
  const even = [right, above, below].every((b) => Math.abs(b - left) < 0.5);
  if (even) return left < 0.5 ? 'no border' : `border ${said(left)}`;
  return Math.abs(left - right) < 0.5
    ? `border ${said(above)} above, ${said(left)} sides, ${said(below)} below`
    : `border ${said(above)}, ${said(right)}, ${said(below)}, ${said(left)} (from above, clockwise)`;
}

/** The sizes on offer on one page; null when none is. */
export async function sizeSheetDocument(id: string): Promise<SentDocument | null> {
  const page = await loadWorkPage(id);
  const { work, settings, master } = page;
  const { offered } = await offeredRungs(page, undefined);
  if (!master || offered.length === 0) return null;
  const { units, locale, timeZone } = settings;
  const picture = await readFile(
    storePaths(page.studio.home).preview(master.picture),
  ).catch(() => null);
  const bytes = await sizeSheetPdf({
    studio: settings.studio,
    title: work.title,
    by: `${work.artist}, ${work.year}. ${work.medium}, ${printable(formatSize(work, units, locale))}`,
    made: `Sizes on offer on ${formatDay(now(), locale, timeZone)}`,
    picture,
    proportion: master.facts.width / master.facts.height,
    sizes: offered.map((r) => ({
      name: r.label,
      image: printable(formatSize(r.fit.image, units, locale)),
      sheet: printable(formatSize(r.fit.sheet, units, locale)),
      other: printable(formatSize(r.fit.sheet, OTHER[units], locale)),
      border: bordersSaid(r, units, locale),
      note: [
        r.fit.printed.bleed.left + r.fit.printed.bleed.above > 0
          ? printable(`bleed ${formatLength(r.layout.bleed, units, locale)}`)
          : '',
        r.layout.deckle > 0 ? 'deckle edges' : '',
        r.fit.cropShare > 0.0005
          ? `cropped, ${(r.fit.cropShare * 100).toFixed(1)} % lost`
          : '',
      ]
        .filter(Boolean)
        .join('; '),
      outline: {
        sheet: r.fit.sheet,
        image: { left: r.fit.left, top: r.fit.above, ...r.fit.image },
      },
    })),
    foot: 'Sizes are width by height as the picture hangs. Sheets are drawn to one scale; the picture is the grey part.',
  });
  return {
    bytes,
    type: 'application/pdf',
    name: `sizes_${slug(work.title)}.pdf`,
  };
}
