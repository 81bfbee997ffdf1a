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
