import { inflateSync } from 'node:zlib';
import { inProcess } from '../../../e2e/support/inProcess';
import type { InProcess } from '../../../e2e/support/inProcess';
import { saveSettings } from '@/data';
import { sheetDocument, sizeSheetDocument } from './documents';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));

let here: InProcess;
beforeAll(async () => {
  here = await inProcess();
});
afterAll(() => here.end());

const PT = 72 / 25.4;
type Matrix = [number, number, number, number, number, number];

/** Matrix m applied before n, as PDF's `cm` joins them. */
const joined = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[1] * n[2],
  m[0] * n[1] + m[1] * n[3],
  m[2] * n[0] + m[3] * n[2],
  m[2] * n[1] + m[3] * n[3],
  m[4] * n[0] + m[5] * n[2] + n[4],
  m[4] * n[1] + m[5] * n[3] + n[5],
];

interface PdfPage {
  width: number;
  height: number;
  /** Lines stroked on it, mm from the page's top left corner. */
  lines: { x1: number; y1: number; x2: number; y2: number }[];
}

/** Boxes and stroked lines of a PDF's pages, out of its bytes. */
function pagesOf(bytes: Uint8Array): PdfPage[] {
  const file = Buffer.from(bytes);
  const text = file.toString('latin1');
  const boxes = [...text.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)];
  const streams = [...text.matchAll(/\/FlateDecode[^>]*>>\s*stream\r?\n/g)].flatMap((m) => {
    try {
      const from = m.index + m[0].length;
      const found = inflateSync(file.subarray(from)).toString('latin1');
      return / cm\n/.test(found) && /\bS\n/.test(found) ? [found] : [];
    } catch {
      return [];
    }
  });
  expect(streams).toHaveLength(boxes.length);
  return streams.map((content, i) => {
    const [, w = '0', h = '0'] = boxes[i]!;
    const lines: PdfPage['lines'] = [];
    const kept: Matrix[] = [];
    let now: Matrix = [1, 0, 0, 1, 0, 0];
    let from = { x: 0, y: 0 };
    let waiting: PdfPage['lines'] = [];
    const at = (x: number, y: number) => ({
      x: (now[0] * x + now[2] * y + now[4]) / PT,
      y: (Number(h) - (now[1] * x + now[3] * y + now[5])) / PT,
    });
    for (const line of content.split('\n')) {
      const words = line.trim().split(/\s+/);
      const verb = words.at(-1);
      const n = words.slice(0, -1).map(Number);
      if (verb === 'q') kept.push(now);
      else if (verb === 'Q') now = kept.pop()!;
      else if (verb === 'cm') now = joined(n as Matrix, now);
      else if (verb === 'm') from = at(n[0]!, n[1]!);
      else if (verb === 'l') {
        const to = at(n[0]!, n[1]!);
        waiting.push({ x1: from.x, y1: from.y, x2: to.x, y2: to.y });
      } else if (verb === 'S') {
        lines.push(...waiting);
        waiting = [];
      } else if (verb === 'n' || verb === 'f') waiting = [];
    }
    return { width: Number(w) / PT, height: Number(h) / PT, lines };
  });
}

const asked = { size: 'metricFrames-40x50', fit: 'fill', border: '20 mm' };
const drawing = async (over: Record<string, string>) => {
  const made = await sheetDocument('1', { ...asked, ...over });
  if (!made || 'refused' in made) throw new Error(JSON.stringify(made));
  return made;
};

const lengths = (page: PdfPage, upright: boolean) =>
  page.lines
    .filter((l) => (upright ? Math.abs(l.x1 - l.x2) : Math.abs(l.y1 - l.y2)) < 1e-3)
    .map((l) => (upright ? Math.abs(l.y2 - l.y1) : Math.abs(l.x2 - l.x1)));
const has = (found: number[], wanted: number) =>
  found.filter((n) => Math.abs(n - wanted) < 0.01).length;

it('on one page measures what it says: sheet, image and check line at 1 : 1', async () => {
  const { bytes, type, name } = await drawing({ form: 'pdf' });
  expect([type, name]).toEqual(['application/pdf', '40-50-cm_slack-water_sheet.pdf']);
  const [page, ...more] = pagesOf(bytes);
  expect(more).toEqual([]);
  // 400 x 500 mm, room for the measures around it, and the margins of the page.
  expect(page!.width).toBeCloseTo(400 + 12 + 34 + 24, 1);
  expect(page!.height).toBeCloseTo(500 + 34 + 12 + 24, 1);
  const across = lengths(page!, false);
  const down = lengths(page!, true);
  // Paper above and below, and the measure of the whole; image above and below, and its measure.
  expect(has(across, 400)).toBe(3);
  expect(has(down, 500)).toBe(3);
  expect(has(across, 360)).toBe(3);
  expect(has(down, 460)).toBe(3);
  expect(has(across, 100)).toBe(1);
});

it.each([
  ['a4', 210, 297],
  ['letter', 215.9, 279.4],
])('tiled on %s it is as large when the pages lie over one another', async (form, w, h) => {
  const pages = pagesOf((await drawing({ form })).bytes);
  expect(pages.length).toBeGreaterThan(5);
  for (const page of pages) {
    const lying = page.width > page.height;
    expect(page.width).toBeCloseTo(lying ? h : w, 1);
    expect(page.height).toBeCloseTo(lying ? w : h, 1);
    // Every page carries the line that must measure 100 mm.
    expect(has(lengths(page, false), 100)).toBeGreaterThanOrEqual(1);
    for (const l of page.lines)
      for (const [x, y] of [
        [l.x1, l.y1],
        [l.x2, l.y2],
      ] as const) {
        expect(x).toBeGreaterThan(11.9);
        expect(x).toBeLessThan(page.width - 11.9);
        expect(y).toBeLessThan(page.height);
      }
  }
  // The top edge of the paper, put together from the first row of pages.
  const columns = Math.round((400 + 46 - 10) / (pages[0]!.width - 34) + 0.4999);
  const step = pages[0]!.width - 24 - 10;
  const top = pages
    .slice(0, columns)
    .flatMap((page, column) =>
      page.lines
        .filter((l) => Math.abs(l.y1 - l.y2) < 1e-3 && Math.abs(l.y1 - (12 + 34)) < 0.01)
        .map(
          (l) => [l.x1, l.x2].map((x) => x - 12 - 12 + column * step) as [number, number],
        ),
    );
  expect(Math.min(...top.flat().filter((x) => x > -1))).toBeCloseTo(0, 1);
  expect(top.some(([a, b]) => Math.abs(Math.max(a, b) - 400) < 0.05)).toBe(true);
});

it('is SVG in millimetres too, with the words of the studio’s units', async () => {
  const text = async () => Buffer.from((await drawing({ form: 'svg' })).bytes).toString();
  const metric = await text();
  expect(metric).toContain('width="446mm" height="546mm" viewBox="-12 -34 446 546"');
  expect(metric).toContain('<line class="paper" x1="0" y1="0" x2="400" y2="0"');
  expect(metric).toContain('<line class="image" x1="20" y1="20" x2="380" y2="20"');
  expect(metric).toContain('>400\u00a0mm</text>');
  expect(metric).toMatch(/font-style="italic">signature<\/text>/);
  await here.open.db.write((tx) => saveSettings(tx, { units: 'inch' }));
  expect(await text()).toContain('>15.75\u00a0in</text>');
  await here.open.db.write((tx) => saveSettings(tx, { units: 'metric' }));
});

it.each([
  [{ border: 'wide' }, /Border: “wide” cannot be read/],
  [{ border: '250 mm' }, /Border: it leaves nothing of 40 × 50 cm/],
  [{ size: 'own-1x2cm' }, /no size that can be printed/],
  [{ form: 'docx' }, /Form/],
  [{ bleed: '90 mm' }, /Bleed past the edge: 90.mm is too much/],
])('refuses %j in words', async (over, message) =>
  expect(await sheetDocument('1', { ...asked, form: 'pdf', ...over })).toEqual({
    refused: expect.stringMatching(message) as string,
  }),
);

it('puts the sizes on offer on one page, in both units', async () => {
  const made = (await sizeSheetDocument('1'))!;
  expect(made.name).toBe('sizes_slack-water.pdf');
  const text = Buffer.from(made.bytes).toString('latin1');
  expect(text.match(/\/MediaBox/g)).toHaveLength(1);
  expect(text.startsWith('%PDF-1.')).toBe(true);
});
