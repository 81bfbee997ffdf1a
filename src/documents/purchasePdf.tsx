import {
  Document,
  Page,
  StyleSheet,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { SANS, SERIF, pt, registerFonts } from './fonts';
import { printable } from './printable';

/** A list of what is to be ordered: a part for each supplier, of lines of five cells. */
export interface PurchaseSheet {
  title: string;
  about: string;
  parts: readonly {
    title: string;
    total: string;
    lines: readonly (readonly string[])[];
  }[];
  note: string;
}

const HEADS = ['What', 'How many', 'On the shelf', 'To be ordered', 'Comes to'];
const WIDTHS = ['38%', '17%', '14%', '17%', '14%'];

const styles = StyleSheet.create({
  page: { fontFamily: SANS, fontSize: 9, color: '#161616', padding: pt(18) },
  title: { fontFamily: SERIF, fontSize: 19 },
  about: { marginTop: 2, marginBottom: pt(5) },
  part: { marginBottom: pt(6) },
  supplier: { fontFamily: SERIF, fontSize: 13, marginBottom: 3 },
  row: {
    flexDirection: 'row',
    borderBottomWidth: 0.5,
    borderBottomColor: '#b5b5b5',
    paddingVertical: 3,
  },
  head: { fontWeight: 600 },
  figure: { textAlign: 'right' },
  total: { textAlign: 'right', marginTop: 3, fontWeight: 600 },
  note: { fontSize: 7.5, marginTop: pt(3) },
});

const Row = ({ cells, head = false }: { cells: readonly string[]; head?: boolean }) => (
  <View style={styles.row} wrap={false}>
    {cells.map((cell, i) => (
      <Text
        key={i}
        style={[
          { width: WIDTHS[i] },
          ...(i === cells.length - 1 ? [styles.figure] : []),
          ...(head ? [styles.head] : []),
        ]}
      >
        {printable(cell)}
      </Text>
    ))}
  </View>
);

/** The list as a PDF, A4, as many pages as it takes. */
export function purchasePdf({ title, about, parts, note }: PurchaseSheet): Promise<Buffer> {
  registerFonts();
  return renderToBuffer(
    <Document title={title}>
      <Page size="A4" style={styles.page}>
        <Text style={styles.title}>{printable(title)}</Text>
        <Text style={styles.about}>{printable(about)}</Text>
        {parts.length === 0 && <Text>Nothing is to be ordered.</Text>}
        {parts.map((part, i) => (
          <View key={i} style={styles.part}>
            <Text style={styles.supplier} minPresenceAhead={pt(16)}>
              {printable(part.title)}
            </Text>
            <Row cells={HEADS} head />
            {part.lines.map((cells, k) => (
              <Row key={k} cells={cells} />
            ))}
            <Text style={styles.total}>{printable(part.total)}</Text>
          </View>
        ))}
        <Text style={styles.note}>{printable(note)}</Text>
      </Page>
    </Document>,
  );
}
