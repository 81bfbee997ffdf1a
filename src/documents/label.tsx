import {
  Document,
  Image,
  Page,
  StyleSheet,
  Text,
  View,
  renderToBuffer,
} from '@react-pdf/renderer';
import { qrCode } from './code';
import { SANS, pt, registerFonts } from './fonts';

export interface LabelContent {
  from: string;
  to: string[];
  carrier: string;
  service: string;
  tracking: string;
  order: string;
  weight: string;
}

const styles = StyleSheet.create({
  page: { padding: pt(6), fontFamily: SANS, fontSize: 10, color: '#000000' },
  from: { fontSize: 8, paddingBottom: 6, borderBottomWidth: 1, borderColor: '#000000' },
  carrier: { fontSize: 17, fontWeight: 600, marginTop: pt(5) },
  to: { marginTop: pt(7), minHeight: pt(40) },
  toLine: { fontSize: 14, lineHeight: 1.35 },
  code: { width: pt(44), height: pt(44) },
  row: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-end' },
  tracking: { fontSize: 12, fontWeight: 600, marginTop: pt(3) },
  simulated: { fontSize: 7, marginTop: pt(2) },
});

/** Shipping label, 100 x 150 mm, for a 203 dpi label printer, as PDF. */
export async function labelPdf(c: LabelContent): Promise<Buffer> {
  registerFonts();
  const code = await qrCode(c.tracking);
  return renderToBuffer(
    <Document title={`Label ${c.order}`}>
      <Page size={[pt(100), pt(150)]} style={styles.page}>
        <Text style={styles.from}>From {c.from}</Text>
        <Text style={styles.carrier}>{c.carrier}</Text>
        <Text>{c.service}</Text>
        <View style={styles.to}>
          {c.to.map((line, i) => (
            <Text key={i} style={styles.toLine}>
              {line}
            </Text>
          ))}
        </View>
        <View style={styles.row}>
          <Image style={styles.code} src={code} />
          <View>
            <Text>Order {c.order}</Text>
            <Text>{c.weight}</Text>
          </View>
        </View>
        <Text style={styles.tracking}>{c.tracking}</Text>
        <Text style={styles.simulated}>Simulated carrier: not valid for posting.</Text>
      </Page>
    </Document>,
  );
}
