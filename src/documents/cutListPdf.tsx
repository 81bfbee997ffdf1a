import {
  Circle,
  Document,
  G,
  Line,
  Page,
  Rect,
  StyleSheet,
  Svg,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { cutNumbers } from '@/core/cut';
import type { CutSheetPlan } from '@/core/cut';
import { SANS, SERIF, pt, registerFonts } from './fonts';
import { printable } from './printable';

/** One sheet as it is cut: its drawing, the cuts in order, what comes of it. */
export interface CutListSheet {
  title: string;
  about: string;
  sheet: CutSheetPlan;
  /** What each place is called on the drawing, in their order. */
  names: readonly string[];
  /** What each left-over is; empty for waste. */
  rests: readonly string[];
  steps: readonly string[];
  pieces: readonly string[];
  leftOvers: readonly string[];
  cautions: readonly string[];
}

/** The drawing on an A4 page, mm. */
const ROOM = { width: 180, height: 132 };
const MARK = 2.2;

const styles = StyleSheet.create({
  page: { fontFamily: SANS, fontSize: 8.5, color: '#161616', padding: pt(15) },
  title: { fontFamily: SERIF, fontSize: 17 },
  about: { marginTop: 2, marginBottom: pt(4) },
  head: { fontWeight: 600, marginTop: pt(3), marginBottom: 2 },
  columns: { flexDirection: 'row', gap: pt(8) },
  column: { flex: 1 },
  row: { marginBottom: 1.5 },
  foot: {
    position: 'absolute',
    left: pt(15),
    right: pt(15),
    bottom: pt(10),
    fontSize: 7.5,
  },
});

const Words = ({
  x,
  y,
  size,
  text,
}: {
  x: number;
  y: number;
  size: number;
  text: string;
}) => (
  <Text x={x} y={y} textAnchor="middle" style={{ fontFamily: SANS, fontSize: size }}>
    {printable(text)}
  </Text>
);

/** A rest with lines across it, as far apart as they can be told. */
function Hatched({
  x,
  y,
  width,
  height,
  step,
}: { step: number } & Record<'x' | 'y' | 'width' | 'height', number>) {
  const lines = [];
  for (let at = step; at < width + height; at += step)
    lines.push(
      <Line
        key={at}
        x1={x + Math.max(0, at - height)}
        y1={y + Math.min(at, height)}
        x2={x + Math.min(at, width)}
        y2={y + Math.max(0, at - width)}
        stroke="#9a9a9a"
        strokeWidth={step / 16}
      />,
    );
  return <G>{lines}</G>;
}

function Drawing({ sheet, names, rests }: CutListSheet) {
  const { width, length, places, cuts } = sheet;
  const scale = Math.min(ROOM.width / width, ROOM.height / length);
  const u = 1 / scale;
  const numbers = cutNumbers(sheet, MARK * u, true);
  return (
    <Svg
      viewBox={`${-u} ${-u} ${width + 2 * u} ${length + 2 * u}`}
      width={pt(width * scale + 2)}
      height={pt(length * scale + 2)}
    >
      <Rect
        x={0}
        y={0}
        width={width}
        height={length}
        fill="#ffffff"
        stroke="#161616"
        strokeWidth={0.4 * u}
      />
      {sheet.rests.map((r, i) => (
        <G key={i}>
          <Hatched {...r} step={3 * u} />
          {rests[i] ? (
            <Words
              x={r.x + r.width / 2}
              y={r.y + r.height / 2}
              size={2.6 * u}
              text={rests[i]}
            />
          ) : null}
        </G>
      ))}
      {places.map((p, i) => {
        const name = names[i]!;
        const size = Math.min(3 * u, (1.7 * p.width) / Math.max(1, name.length));
        return (
          <G key={i}>
            <Rect
              x={p.x}
              y={p.y}
              width={p.width}
              height={p.height}
              fill="#ffffff"
              stroke="#161616"
              strokeWidth={0.25 * u}
            />
            <Words x={p.x + p.width / 2} y={p.y + p.height / 2} size={size} text={name} />
          </G>
        );
      })}
      {cuts.map((c, i) => {
        const { x, y } = numbers[i]!;
        return (
          <G key={i}>
            <Line
              {...c}
              stroke="#161616"
              strokeWidth={0.3 * u}
              strokeDasharray={`${3 * u} ${1.2 * u}`}
            />
            <Circle cx={x} cy={y} r={MARK * u} fill="#161616" />
            <Text
              x={x}
              y={y + 0.9 * u}
              textAnchor="middle"
              style={{ fontFamily: SANS, fontSize: 2.4 * u, fontWeight: 600 }}
              fill="#ffffff"
            >
              {String(i + 1)}
            </Text>
          </G>
        );
      })}
    </Svg>
  );
}

const List = ({ title, rows }: { title: string; rows: readonly string[] }) =>
  rows.length === 0 ? null : (
    <View>
      <Text style={styles.head}>{title}</Text>
      {rows.map((row, i) => (
        <Text key={i} style={styles.row}>
          {printable(row)}
        </Text>
      ))}
    </View>
  );

/** The list of cuts of some sheets, a page each: drawn to scale, and every cut in order. */
export async function cutListPdf(sheets: readonly CutListSheet[]): Promise<Buffer> {
  registerFonts();
  return renderToBuffer(
    <Document title="Sheets to cut">
      {sheets.map((s, i) => (
        <Page key={i} size="A4" style={styles.page} wrap>
          <Text style={styles.title}>{printable(s.title)}</Text>
          <Text style={styles.about}>{printable(s.about)}</Text>
          <Drawing {...s} />
          <View style={styles.columns}>
            <View style={styles.column}>
              <List title="Cuts, in order" rows={s.steps} />
            </View>
            <View style={styles.column}>
              <List title="Pieces" rows={s.pieces} />
              <List title="Left over" rows={s.leftOvers} />
              <List title="Before the first cut" rows={s.cautions} />
            </View>
          </View>
        </Page>
      ))}
    </Document>,
  );
}
