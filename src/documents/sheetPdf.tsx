import {
  Document,
  Line,
  Page,
  StyleSheet,
  Svg,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import type { DrawnLine, LineKind, TilePlan } from '@/core/size';
import { PAGE_MARGIN, PAGE_OVERLAP, clipped } from '@/core/size';
import { xmlText } from '@/core/text';
import { SANS, SERIF, pt, registerFonts } from './fonts';

/** A figure or word of a drawing, mm; `upright` reads from below. */
export interface DrawnText {
  x: number;
  y: number;
  text: string;
  upright: boolean;
  pencilled: boolean;
}

/** A drawing at 1 : 1: what is drawn, the area that it takes (mm), and what it is called. */
export interface DrawingContent {
  title: string;
  caption: string;
  area: { left: number; top: number; width: number; height: number };
  lines: DrawnLine[];
  texts: DrawnText[];
}

const CHECK_MM = 100;
const TEXT_MM = 3.4;

const STROKES: Record<LineKind, { width: number; dash?: string; colour: string }> = {
  paper: { width: 0.35, colour: '#000000' },
  sheet: { width: 0.35, dash: '4 1.5', colour: '#000000' },
  image: { width: 0.25, colour: '#000000' },
  bleed: { width: 0.2, dash: '1.2 1.2', colour: '#000000' },
  unprintable: { width: 0.18, dash: '0.5 2', colour: '#777777' },
  trimMark: { width: 0.25, colour: '#000000' },
  centreMark: { width: 0.25, colour: '#000000' },
  sign: { width: 0.2, colour: '#555555' },
  dimension: { width: 0.18, colour: '#000000' },
};

const styles = StyleSheet.create({
  page: { fontFamily: SANS, fontSize: 8, color: '#161616' },
  foot: { position: 'absolute', fontSize: 7.5 },
  word: { position: 'absolute', width: pt(60), textAlign: 'center' },
});

/** Lines on a page: `at` is where the window's corner lies on it, mm. */
const Lines = ({
  lines,
  shift,
}: {
  lines: DrawnLine[];
  shift: { x: number; y: number };
}) => (
  <>
    {lines.map((l, i) => {
      const { width, dash, colour } = STROKES[l.kind];
      return (
        <Line
          key={i}
          x1={l.x1 + shift.x}
          y1={l.y1 + shift.y}
          x2={l.x2 + shift.x}
          y2={l.y2 + shift.y}
          stroke={colour}
          strokeWidth={width}
          {...(dash ? { strokeDasharray: dash } : {})}
        />
      );
    })}
  </>
);

const Words = ({
  texts,
  shift,
}: {
  texts: DrawnText[];
  shift: { x: number; y: number };
}) => (
  <>
    {texts.map((t, i) => (
      <Text
        key={i}
        style={[
          styles.word,
          {
            left: pt(t.x + shift.x - 30),
            top: pt(t.y + shift.y - TEXT_MM / 2),
            fontSize: pt(TEXT_MM),
            ...(t.pencilled ? { fontFamily: SERIF, fontStyle: 'italic' as const } : {}),
            ...(t.upright ? { transform: 'rotate(-90deg)' } : {}),
          },
        ]}
      >
        {t.text}
      </Text>
    ))}
  </>
);

/** The line that must measure 100 mm when it is printed, with strokes at its ends. */
const checkLines = (x: number, y: number): DrawnLine[] => {
  const dimension = (x1: number, y1: number, x2: number, y2: number): DrawnLine => ({
    kind: 'dimension',
    x1,
    y1,
    x2,
    y2,
  });
  return [
    dimension(x, y, x + CHECK_MM, y),
    dimension(x, y - 1.5, x, y + 1.5),
    dimension(x + CHECK_MM, y - 1.5, x + CHECK_MM, y + 1.5),
  ];
};

const CHECK_WORDS = 'This line measures 100 mm. If it does not, print again at 100 %.';

interface OnePage {
  key: string;
  size: { width: number; height: number };
  lines: DrawnLine[];
  texts: DrawnText[];
  shift: { x: number; y: number };
  foot: string;
}

const Sheet = ({ size, lines, texts, shift, foot }: OnePage) => {
  const check = { x: PAGE_MARGIN, y: size.height - 6 };
  return (
    <Page size={[pt(size.width), pt(size.height)]} style={styles.page}>
      {/* Not to be divided: what stands near the foot would go to a page of its own. */}
      <View wrap={false} style={{ width: pt(size.width), height: pt(size.height) - 2 }}>
        <Svg
          width={pt(size.width)}
          height={pt(size.height)}
          viewBox={`0 0 ${size.width} ${size.height}`}
          style={{ position: 'absolute', left: 0, top: 0 }}
        >
          <Lines lines={lines} shift={shift} />
          <Lines lines={checkLines(check.x, check.y)} shift={{ x: 0, y: 0 }} />
        </Svg>
        <Words texts={texts} shift={shift} />
        <View style={[styles.foot, { left: pt(PAGE_MARGIN), top: pt(size.height - 11.5) }]}>
          <Text>{CHECK_WORDS}</Text>
        </View>
        <View style={[styles.foot, { left: pt(PAGE_MARGIN), top: pt(4) }]}>
          <Text>{foot}</Text>
        </View>
      </View>
    </Page>
  );
};

/** Where a page lies over the one before it: dashed, to be laid edge on line. */
function overlapLines(
  { columns, rows, window }: TilePlan,
  column: number,
  row: number,
): DrawnLine[] {
  const mark = (x1: number, y1: number, x2: number, y2: number): DrawnLine => ({
    kind: 'bleed',
    x1,
    y1,
    x2,
    y2,
  });
  const { width, height } = window;
  return [
    ...(column > 0 ? [mark(PAGE_OVERLAP, 0, PAGE_OVERLAP, height)] : []),
    ...(column < columns - 1
      ? [mark(width - PAGE_OVERLAP, 0, width - PAGE_OVERLAP, height)]
      : []),
    ...(row > 0 ? [mark(0, PAGE_OVERLAP, width, PAGE_OVERLAP)] : []),
    ...(row < rows - 1
      ? [mark(0, height - PAGE_OVERLAP, width, height - PAGE_OVERLAP)]
      : []),
  ];
}

function onTiles(content: DrawingContent, plan: TilePlan): OnePage[] {
  return plan.tiles.map((tile) => {
    const window = { left: tile.left, top: tile.top, ...plan.window };
    const within = (t: DrawnText) =>
      t.x >= window.left &&
      t.x <= window.left + window.width &&
      t.y >= window.top &&
      t.y <= window.top + window.height;
    const shift = { x: PAGE_MARGIN - tile.left, y: PAGE_MARGIN - tile.top };
    const overlaps = overlapLines(plan, tile.column, tile.row).map((l) => ({
      ...l,
      x1: l.x1 + tile.left,
      x2: l.x2 + tile.left,
      y1: l.y1 + tile.top,
      y2: l.y2 + tile.top,
    }));
    return {
      key: `${tile.column} ${tile.row}`,
      size: plan.page,
      lines: [...content.lines.flatMap((l) => clipped(l, window) ?? []), ...overlaps],
      texts: content.texts.filter(within),
      shift,
      foot: `${content.caption} · row ${tile.row + 1} of ${plan.rows}, column ${tile.column + 1} of ${plan.columns} · lay each page to the dashed line of the next`,
    };
  });
}

function onOne(content: DrawingContent): OnePage[] {
  const { area } = content;
  const width = Math.max(area.width + 2 * PAGE_MARGIN, CHECK_MM + 2 * PAGE_MARGIN);
  return [
    {
      key: 'one',
      size: { width, height: area.height + 2 * PAGE_MARGIN },
      lines: content.lines,
      texts: content.texts,
      shift: { x: PAGE_MARGIN - area.left, y: PAGE_MARGIN - area.top },
      foot: content.caption,
    },
  ];
}

/** A drawing at 1 : 1 as PDF: on one page as large as it is, or tiled on pages that lie over one another. */
export async function drawingPdf(
  content: DrawingContent,
  plan: TilePlan | null,
): Promise<Buffer> {
  registerFonts();
  const pages = plan ? onTiles(content, plan) : onOne(content);
  return renderToBuffer(
    <Document title={content.title}>
      {pages.map(({ key, ...page }) => (
        <Sheet key={key} {...page} />
      ))}
    </Document>,
  );
}

const figure = (n: number) => String(Number(n.toFixed(3)));

/** The same drawing as SVG, in mm. */
export function drawingSvg({ title, area, lines, texts }: DrawingContent): string {
  const drawn = lines.map((l) => {
    const { width, dash, colour } = STROKES[l.kind];
    const dashed = dash ? ` stroke-dasharray="${dash}"` : '';
    return `<line class="${l.kind}" x1="${figure(l.x1)}" y1="${figure(l.y1)}" x2="${figure(l.x2)}" y2="${figure(l.y2)}" stroke="${colour}" stroke-width="${width}"${dashed}/>`;
  });
  const words = texts.map((t) => {
    const turn = t.upright ? ` transform="rotate(-90 ${figure(t.x)} ${figure(t.y)})"` : '';
    const face = t.pencilled ? ' font-family="serif" font-style="italic"' : '';
    return `<text x="${figure(t.x)}" y="${figure(t.y + TEXT_MM / 3)}"${turn}${face}>${xmlText(t.text)}</text>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${figure(area.width)}mm" height="${figure(area.height)}mm" viewBox="${[area.left, area.top, area.width, area.height].map(figure).join(' ')}">
<title>${xmlText(title)}</title>
<g fill="none">
${drawn.join('\n')}
</g>
<g font-family="sans-serif" font-size="${TEXT_MM}" text-anchor="middle">
${words.join('\n')}
</g>
</svg>
`;
}
