import type { InProcess } from './inProcess';

/** What a round says beside its work, size, paper and route, where a test has nothing to say of it. */
export const SENT = {
  file: '',
  too: '[]',
  intent: 'relative',
  setting: '',
  lot: '',
  sentOn: '2026-11-02',
  dueOn: '',
  cost: '12',
  remarks: '',
};

/** What is said of a round that came back, where nothing is measured. */
export const BACK = { byEye: '{}', lux: '', kelvin: '', backOn: '' };

/** A small proof sheet of one size, with a control strip. */
export const stripDesk = (sizeKey: string) => ({
  sizes: [sizeKey],
  places: [{ x: 0.5, y: 0.5, tests: 'byHand' }],
  sheet: 'A4',
  own: { width: 210, height: 297 },
  width: 40,
  height: 30,
  margin: 5,
  overview: false,
  strip: true,
});

/** A further paper in the drawer, as the first; its number. */
export async function addPaper(here: InProcess): Promise<number> {
  const columns = `maker, base, surface, weight_gsm, thickness_mm, sheet_width_mm, sheet_height_mm, price_minor,
    currency, reorder_point, printer_setting, permanence, note, created_at`;
  await here.rows(
    `INSERT INTO paper (name, ${columns}) SELECT name || ' again', ${columns} FROM paper WHERE id = 1`,
  );
  const [row] = await here.rows<{ id: number }>('SELECT max(id) AS id FROM paper');
  return row!.id;
}
