import {
  Document,
  Image,
  Page,
  StyleSheet,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { SANS, SERIF, pt, registerFonts } from './fonts';

/** A table of a report: its heads, and rows of as many words. */
export interface ReportTable {
  title: string;
  heads: readonly string[];
  rows: readonly (readonly string[])[];
  foot: string;
}

/** One round of a proof report: what was sent, what came back, what was measured, what was said. */
export interface ReportRound {
  title: string;
  verdict: string;
  facts: readonly (readonly [string, string])[];
  tables: readonly ReportTable[];
}

export interface ProofReportContent {
  studio: string;
  title: string;
  by: string;
  made: string;
  /** The picture, small; a JPEG's bytes. */
  picture: Buffer | null;
  proportion: number;
  rounds: readonly ReportRound[];
}

const styles = StyleSheet.create({
  page: { padding: pt(16), fontFamily: SERIF, fontSize: 10, color: '#161616' },
  head: { flexDirection: 'row', gap: pt(7), marginBottom: pt(5) },
  title: { fontSize: 20 },
  small: { fontFamily: SANS, fontSize: 8, color: '#444444', marginTop: 2 },
  round: { fontSize: 15, marginBottom: pt(2) },
  fact: {
    flexDirection: 'row',
    borderBottomWidth: 0.4,
    borderColor: '#aaaaaa',
    paddingVertical: 2.5,
    fontFamily: SANS,
    fontSize: 8.5,
  },
  name: { width: '24%', color: '#444444' },
  table: { marginTop: pt(5) },
  caption: { fontSize: 11, marginBottom: 2 },
  row: {
    flexDirection: 'row',
    borderBottomWidth: 0.4,
    borderColor: '#aaaaaa',
    paddingVertical: 2,
    fontFamily: SANS,
    fontSize: 8,
  },
});

const HEIGHT_MM = 26;

/** The first and the last column hold words, those between figures. */
const columnOf = (i: number, count: number) =>
  i === 0
    ? ({ width: '16%' } as const)
    : i === count - 1
      ? ({ width: `${84 - (count - 2) * 9}%`, paddingLeft: 8 } as const)
      : ({ width: '9%', textAlign: 'right' } as const);

const Row = ({ cells, head = false }: { cells: readonly string[]; head?: boolean }) => (
  <View style={[styles.row, head ? { color: '#444444' } : {}]} wrap={false}>
    {cells.map((cell, i) => (
      <Text key={i} style={columnOf(i, cells.length)}>
        {cell}
      </Text>
    ))}
  </View>
);

const Table = ({ title, heads, rows, foot }: ReportTable) => (
  <View style={styles.table}>
    <Text style={styles.caption}>{title}</Text>
    <Row cells={heads} head />
    {rows.map((cells, i) => (
      <Row key={i} cells={cells} />
    ))}
    {foot !== '' && <Text style={styles.small}>{foot}</Text>}
  </View>
);

/** The proof rounds of a work, a page each. PDF, A4. */
export async function proofReportPdf(c: ProofReportContent): Promise<Buffer> {
  registerFonts();
  const { picture, proportion } = c;
  const height = Math.min(HEIGHT_MM, (HEIGHT_MM * 1.6) / proportion);
  return renderToBuffer(
    <Document title={`Proofs of ${c.title}`}>
      {c.rounds.map((round, i) => (
        <Page key={i} size="A4" style={styles.page}>
          <View style={styles.head}>
            {picture && (
              <Image
                src={picture}
                style={{ width: pt(height * proportion), height: pt(height) }}
              />
            )}
            <View>
              <Text style={styles.title}>{c.title}</Text>
              <Text>{c.by}</Text>
              {c.studio !== '' && <Text style={styles.small}>{c.studio}</Text>}
              <Text style={styles.small}>{c.made}</Text>
            </View>
          </View>
          <Text style={styles.round}>
            {round.title}: {round.verdict}
          </Text>
          {round.facts.map(([name, said]) => (
            <View key={name} style={styles.fact} wrap={false}>
              <Text style={styles.name}>{name}</Text>
              <Text style={{ width: '76%' }}>{said}</Text>
            </View>
          ))}
          {round.tables.map((table) => (
            <Table key={table.title} {...table} />
          ))}
        </Page>
      ))}
    </Document>,
  );
}
