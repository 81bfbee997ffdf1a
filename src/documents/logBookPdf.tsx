import {
  Document,
  Page,
  StyleSheet,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { SANS, SERIF, pt, registerFonts } from './fonts';

export interface LogBookRow {
  day: string;
  what: string;
  made: string;
  recipe: string;
  thought: string;
}

const styles = StyleSheet.create({
  page: { padding: pt(14), fontFamily: SANS, fontSize: 8, color: '#161616' },
  title: { fontFamily: SERIF, fontSize: 18, marginBottom: pt(4) },
  row: {
    flexDirection: 'row',
    gap: pt(3),
    borderBottomWidth: 0.4,
    borderColor: '#888888',
    paddingVertical: 3,
  },
});

const WIDTHS = ['11%', '27%', '20%', '20%', '22%'] as const;

const Line = ({ cells }: { cells: string[] }) => (
  <View style={styles.row} wrap={false}>
    {cells.map((cell, i) => (
      <Text key={i} style={{ width: WIDTHS[i] }}>
        {cell}
      </Text>
    ))}
  </View>
);

/** The log book of what was printed, A4 lying, as many pages as it takes. */
export async function logBookPdf(book: {
  studio: string;
  made: string;
  rows: LogBookRow[];
}): Promise<Uint8Array> {
  registerFonts();
  const heads = ['day', 'print', 'made from and on', 'recipe', 'what was thought of it'];
  return renderToBuffer(
    <Document title="Log book">
      <Page size="A4" orientation="landscape" style={styles.page}>
        <Text style={styles.title}>
          Log book{book.studio ? `, ${book.studio}` : ''}, {book.made}
        </Text>
        <Line cells={heads} />
        {book.rows.map((r, i) => (
          <Line key={i} cells={[r.day, r.what, r.made, r.recipe, r.thought]} />
        ))}
      </Page>
    </Document>,
  );
}
