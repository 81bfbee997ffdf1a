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

/** A part of a page: a table with its heads, or lines of words. */
export interface TablePart {
  title: string;
  heads: readonly string[];
  /** Share of the width of each column; they add up to 1. */
  widths: readonly number[];
  /** Columns of figures stand to the right, counted from here on. */
  figuresFrom: number;
  lines: readonly (readonly string[])[];
  total?: string;
}

/** A page of tables with a head, paragraphs, and lines to be signed on. */
export interface TableSheet {
  title: string;
  about: readonly string[];
  parts: readonly TablePart[];
  said: readonly string[];
  /** Who signs, side by side; none where nobody does. */
  signed: readonly string[];
  note: string;
}

const styles = StyleSheet.create({
  page: { fontFamily: SANS, fontSize: 9, color: '#161616', padding: pt(18) },
  title: { fontFamily: SERIF, fontSize: 19, marginBottom: pt(2) },
  about: { marginBottom: 2 },
  part: { marginTop: pt(5) },
  head: { fontFamily: SERIF, fontSize: 13, marginBottom: 3 },
  row: {
    flexDirection: 'row',
    borderBottomWidth: 0.5,
    borderBottomColor: '#b5b5b5',
    paddingVertical: 3,
  },
  heads: { fontWeight: 600 },
  figure: { textAlign: 'right' },
  total: { textAlign: 'right', marginTop: 3, fontWeight: 600 },
  said: { marginTop: pt(3) },
  signs: { flexDirection: 'row', marginTop: pt(18), gap: pt(10) },
  sign: { flexGrow: 1, borderTopWidth: 0.6, borderTopColor: '#161616', paddingTop: 3 },
  note: { fontSize: 7.5, marginTop: pt(5) },
});

function Row({
  part: { widths, figuresFrom },
  cells,
  head = false,
}: {
  part: TablePart;
  cells: readonly string[];
  head?: boolean;
}) {
  return (
    <View style={styles.row} wrap={false}>
      {cells.map((cell, i) => (
        <Text
          key={i}
          style={[
            { width: `${100 * (widths[i] ?? 0)}%`, paddingRight: 4 },
            ...(i >= figuresFrom ? [styles.figure] : []),
            ...(head ? [styles.heads] : []),
          ]}
        >
          {printable(cell)}
        </Text>
      ))}
    </View>
  );
}

/** Tables on A4, as many pages as they take, as PDF. */
export function tablePdf(sheet: TableSheet): Promise<Buffer> {
  registerFonts();
  return renderToBuffer(
    <Document title={sheet.title}>
      <Page size="A4" style={styles.page}>
        <Text style={styles.title}>{printable(sheet.title)}</Text>
        {sheet.about.map((line, i) => (
          <Text key={i} style={styles.about}>
            {printable(line)}
          </Text>
        ))}
        {sheet.parts.map((part, i) => (
          <View key={i} style={styles.part}>
            {part.title !== '' && (
              <Text style={styles.head} minPresenceAhead={pt(16)}>
                {printable(part.title)}
              </Text>
            )}
            <Row part={part} cells={part.heads} head />
            {part.lines.map((cells, k) => (
              <Row key={k} part={part} cells={cells} />
            ))}
            {part.total !== undefined && (
              <Text style={styles.total}>{printable(part.total)}</Text>
            )}
          </View>
        ))}
        {sheet.said.map((line, i) => (
          <Text key={i} style={styles.said}>
            {printable(line)}
          </Text>
        ))}
        {sheet.signed.length > 0 && (
          <View style={styles.signs} wrap={false}>
            {sheet.signed.map((who) => (
              <Text key={who} style={styles.sign}>
                {printable(who)}
              </Text>
            ))}
          </View>
        )}
        <Text style={styles.note}>{printable(sheet.note)}</Text>
      </Page>
    </Document>,
  );
}
