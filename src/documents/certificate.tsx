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
import { SANS, SERIF, pt, registerFonts } from './fonts';

/** All lines come worded and formatted; the document only sets them. */
export interface CertificateContent {
  studio: string;
  title: string;
  artist: string;
  impression: string;
  rows: [label: string, value: string][];
  care: string;
  code: string;
  codeNote: string;
}

const styles = StyleSheet.create({
  page: { padding: pt(14), fontFamily: SERIF, color: '#161616' },
  frame: { borderWidth: 0.6, borderColor: '#161616', padding: pt(10), flexGrow: 1 },
  kicker: { fontFamily: SANS, fontSize: 8, letterSpacing: 1.2 },
  title: { fontSize: 24, fontStyle: 'italic', marginTop: pt(3) },
  artist: { fontSize: 12, marginTop: pt(1) },
  body: { flexDirection: 'row', marginTop: pt(6), flexGrow: 1 },
  rows: { width: pt(120) },
  row: { flexDirection: 'row', marginBottom: pt(1.6) },
  label: {
    fontFamily: SANS,
    fontSize: 8,
    width: pt(36),
    color: '#444444',
  },
  value: { fontSize: 10.5, width: pt(84) },
  side: { width: pt(42), alignItems: 'flex-end' },
  number: { fontSize: 28, fontStyle: 'italic' },
  code: { width: pt(30), height: pt(30), marginTop: pt(4) },
  note: {
    fontFamily: SANS,
    fontSize: 6.5,
    textAlign: 'right',
    marginTop: pt(1),
    color: '#444444',
  },
  foot: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-end' },
  care: { fontFamily: SANS, fontSize: 7.5, width: pt(86), lineHeight: 1.4 },
  line: { width: pt(70), borderTopWidth: 0.6, borderColor: '#161616', paddingTop: 3 },
  signed: { fontFamily: SANS, fontSize: 7.5 },
});

/** A5 landscape certificate of one impression, as PDF. */
export async function certificatePdf(c: CertificateContent): Promise<Buffer> {
  registerFonts();
  const code = await qrCode(c.code);
  return renderToBuffer(
    <Document title={`Certificate ${c.title} ${c.impression}`} author={c.artist}>
      <Page size={[pt(210), pt(148)]} style={styles.page}>
        <View style={styles.frame}>
          <Text style={styles.kicker}>CERTIFICATE OF AN ORIGINAL PRINT</Text>
          <Text style={styles.title}>{c.title}</Text>
          <Text style={styles.artist}>{c.artist}</Text>
          <View style={styles.body}>
            <View style={styles.rows}>
              {c.rows.map(([label, value]) => (
                <View key={label} style={styles.row}>
                  <Text style={styles.label}>{label}</Text>
                  <Text style={styles.value}>{value}</Text>
                </View>
              ))}
            </View>
            <View style={styles.side}>
              <Text style={styles.number}>{c.impression}</Text>
              <Image style={styles.code} src={code} />
              <Text style={styles.note}>{c.codeNote}</Text>
            </View>
          </View>
          <View style={styles.foot}>
            <Text style={styles.care}>{c.care}</Text>
            <View style={styles.line}>
              <Text style={styles.signed}>signature and date</Text>
              <Text style={styles.signed}>{c.studio}</Text>
            </View>
          </View>
        </View>
      </Page>
    </Document>,
  );
}
