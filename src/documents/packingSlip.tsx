import {
  Document,
  Page,
  StyleSheet,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { SANS, SERIF, pt, registerFonts } from './fonts';

export interface PackingSlipContent {
  studio: string;
  order: string;
  placed: string;
  to: string[];
  items: { item: string; detail: string }[];
  packed: { label: string; weight: string }[];
  total: string;
  scales: string;
  carrier: string;
  returns: string;
}

const styles = StyleSheet.create({
  page: { padding: pt(20), fontFamily: SERIF, fontSize: 11, color: '#161616' },
  kicker: { fontFamily: SANS, fontSize: 9 },
  head: { fontSize: 22, marginTop: pt(2), marginBottom: pt(8) },
  columns: { flexDirection: 'row', marginBottom: pt(10) },
  column: { width: pt(85) },
  label: { fontFamily: SANS, fontSize: 8, color: '#444444', marginBottom: 2 },
  address: { marginBottom: 2.5 },
  row: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    borderBottomWidth: 0.4,
    borderColor: '#888888',
    paddingVertical: 4,
  },
  figure: { fontFamily: SANS, fontSize: 10 },
  note: { fontFamily: SANS, fontSize: 8.5, marginTop: pt(10), lineHeight: 1.5 },
});

/** A4 packing slip of one order, as PDF. */
export async function packingSlipPdf(c: PackingSlipContent): Promise<Buffer> {
  registerFonts();
  return renderToBuffer(
    <Document title={`Packing slip ${c.order}`}>
      <Page size="A4" style={styles.page}>
        <Text style={styles.kicker}>{c.studio}</Text>
        <Text style={styles.head}>Packing slip, order {c.order}</Text>
        <View style={styles.columns}>
          <View style={styles.column}>
            <Text style={styles.label}>To</Text>
            {c.to.map((line, i) => (
              <Text key={i} style={styles.address}>
                {line}
              </Text>
            ))}
          </View>
          <View style={styles.column}>
            <Text style={styles.label}>Ordered</Text>
            <Text>{c.placed}</Text>
            <Text style={[styles.label, { marginTop: 8 }]}>Sent with</Text>
            <Text>{c.carrier}</Text>
          </View>
        </View>
        <Text style={styles.label}>{c.items.length === 1 ? 'Item' : 'Items'}</Text>
        {c.items.map(({ item, detail }, i) => (
          <View key={i}>
            <Text>{item}</Text>
            <Text style={[styles.kicker, { marginTop: 3, marginBottom: pt(3) }]}>
              {detail}
            </Text>
          </View>
        ))}
        <View style={{ height: pt(5) }} />
        <Text style={styles.label}>In the parcel, counted twice</Text>
        {c.packed.map((p, i) => (
          <View key={i} style={styles.row}>
            <Text>{p.label}</Text>
            <Text style={styles.figure}>{p.weight}</Text>
          </View>
        ))}
        <View style={styles.row}>
          <Text>Weight, computed</Text>
          <Text style={styles.figure}>{c.total}</Text>
        </View>
        <View style={styles.row}>
          <Text>Weight, on the scales</Text>
          <Text style={styles.figure}>{c.scales}</Text>
        </View>
        <Text style={styles.note}>{c.returns}</Text>
      </Page>
    </Document>,
  );
}
