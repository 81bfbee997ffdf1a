import {
  Document,
  Image,
  Page,
  StyleSheet,
  Svg,
  Rect,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { SANS, SERIF, pt, registerFonts } from './fonts';

/** One size on the sheet: words in both units, and its outlines in mm. */
export interface SizeSheetRow {
  name: string;
  image: string;
  sheet: string;
  other: string;
  border: string;
  note: string;
  outline: {
    sheet: { width: number; height: number };
    image: { left: number; top: number; width: number; height: number };
  };
}

export interface SizeSheetContent {
  studio: string;
  title: string;
  by: string;
  made: string;
  /** The picture, small; a JPEG's bytes. */
  picture: Buffer | null;
  proportion: number;
  sizes: SizeSheetRow[];
  foot: string;
}

const styles = StyleSheet.create({
  page: { padding: pt(16), fontFamily: SERIF, fontSize: 10, color: '#161616' },
  head: { flexDirection: 'row', gap: pt(8), marginBottom: pt(6) },
  title: { fontSize: 22 },
  small: { fontFamily: SANS, fontSize: 8.5, color: '#444444', marginTop: 2 },
  drawing: { height: pt(62), marginBottom: pt(4) },
  row: {
    flexDirection: 'row',
    borderBottomWidth: 0.4,
    borderColor: '#888888',
    paddingVertical: 3,
    fontFamily: SANS,
    fontSize: 8.5,
  },
  foot: { fontFamily: SANS, fontSize: 8, marginTop: pt(5), lineHeight: 1.5 },
});

const WIDTHS = ['17%', '19%', '19%', '19%', '26%'] as const;

const Row = ({ cells, head }: { cells: readonly string[]; head?: boolean }) => (
  <View style={[styles.row, head ? { color: '#444444' } : {}]} wrap={false}>
    {cells.map((text, i) => (
      <Text key={i} style={{ width: WIDTHS[i]! }}>
        {text}
      </Text>
    ))}
  </View>
);

const ROOM = { width: 178, height: 60 };
const GAP = 4;

/** All sizes on one ground line, to one scale. */
function Drawings({ sizes }: { sizes: SizeSheetRow[] }) {
  const across = sizes.reduce((total, s) => total + s.outline.sheet.width, 0);
  const tallest = Math.max(1, ...sizes.map((s) => s.outline.sheet.height));
  const scale = Math.min(
    (ROOM.width - GAP * sizes.length) / Math.max(1, across),
    (ROOM.height - 2) / tallest,
  );
  let x = 0;
  return (
    <Svg
      width={pt(ROOM.width)}
      height={pt(ROOM.height)}
      viewBox={`0 0 ${ROOM.width} ${ROOM.height}`}
    >
      {sizes.map(({ name, outline: { sheet, image } }) => {
        const left = x;
        const top = ROOM.height - 1 - sheet.height * scale;
        x += sheet.width * scale + GAP;
        return [
          <Rect
            key={name}
            x={left}
            y={top}
            width={sheet.width * scale}
            height={sheet.height * scale}
            stroke="#161616"
            strokeWidth={0.25}
            fill="#ffffff"
          />,
          <Rect
            key={`${name} image`}
            x={left + image.left * scale}
            y={top + image.top * scale}
            width={image.width * scale}
            height={image.height * scale}
            fill="#bdbdbd"
          />,
        ];
      })}
    </Svg>
  );
}

/** The sizes on offer of a work, on one page, for a customer or a print studio. PDF, A4. */
export async function sizeSheetPdf(c: SizeSheetContent): Promise<Buffer> {
  registerFonts();
  const height = Math.min(34, 48 / c.proportion);
  return renderToBuffer(
    <Document title={`Sizes of ${c.title}`}>
      <Page size="A4" style={styles.page}>
        <View style={styles.head}>
          {c.picture && (
            <Image
              src={c.picture}
              style={{ width: pt(height * c.proportion), height: pt(height) }}
            />
          )}
          <View>
            <Text style={styles.title}>{c.title}</Text>
            <Text>{c.by}</Text>
            <Text style={styles.small}>{c.studio}</Text>
            <Text style={styles.small}>{c.made}</Text>
          </View>
        </View>
        <View style={styles.drawing}>
          <Drawings sizes={c.sizes} />
        </View>
        <Row
          head
          cells={['Size', 'Image', 'Sheet', 'Sheet, other unit', 'Border; remarks']}
        />
        {c.sizes.map((s) => (
          <Row
            key={s.name}
            cells={[
              s.name,
              s.image,
              s.sheet,
              s.other,
              [s.border, s.note].filter(Boolean).join('; '),
            ]}
          />
        ))}
        <Text style={styles.foot}>{c.foot}</Text>
      </Page>
    </Document>,
  );
}
