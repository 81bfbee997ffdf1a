import { tablePdf } from '@/documents';
import { readSettings } from '@/data';
import { formatOf } from '@/shell/figures/format';
import { studio } from '@/studio';
import { loadConsignments } from './view';

/** The note that goes with prints that are lent out, to be signed by both; null for no consignment. */
export async function consignmentNote(number: string) {
  const db = (await studio()).db.read;
  const settings = await readSettings(db);
  const { rows } = await loadConsignments({});
  const lent = rows.find((r) => r.number === number);
  if (!lent) return null;
  const format = formatOf(settings);
  const money = (amount: number) => format.money(amount, lent.currency);
  const { terms } = lent;
  const whose = settings.studio || 'The studio';
  const asked = lent.prints.reduce((sum, p) => sum + p.price, 0);
  const comes = lent.prints.reduce((sum, p) => sum + p.comes, 0);
  const bytes = await tablePdf({
    title: `Consignment note ${lent.number}`,
    about: [
      `${whose}, ${format.day(lent.outOn)}`,
      `To ${[lent.name, lent.street, lent.town, lent.country].join(', ')}`,
    ],
    parts: [
      {
        title: 'Lent out to be sold',
        heads: ['Title', 'Number', 'Size', 'Asked', 'To the studio', 'Framed'],
        widths: [0.34, 0.13, 0.17, 0.13, 0.13, 0.1],
        figuresFrom: 3,
        lines: lent.prints.map((p) => [
          p.work,
          p.label,
          p.size,
          money(p.price),
          money(p.comes),
          terms.framing > 0 ? 'yes' : 'no',
        ]),
        total: `${lent.prints.length} ${lent.prints.length === 1 ? 'print' : 'prints'}, asked ${money(asked)}, to the studio ${money(comes)}`,
      },
    ],
    said: [
      `Sale or return. Every print stays the property of ${whose} until it is paid. Of a sale ${format.percent(terms.commission, 1)} is the gallery’s share; the rest is paid within ${terms.daysUntilPaid} days. No print is sold for less than is asked without asking first.`,
      `What is not sold by ${format.day(lent.fetchOn)} is given back, as it came.`,
      ...(lent.note === '' ? [] : [`Agreed beside: ${lent.note}`]),
      'Received complete and undamaged:',
    ],
    signed: [`${whose}: place, day, name`, `${lent.name}: place, day, name`],
    note: 'Tax is not in these figures. A usual wording, no legal advice: who insures it, and what holds where you are, is for your own agreement.',
  });
  return { bytes, type: 'application/pdf', name: `consignment-note_${lent.number}.pdf` };
}
