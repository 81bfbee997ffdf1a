import { calendarText } from '.';

it('days are whole days, each once, with what they are', () => {
  const text = calendarText(
    'Weir Lane Studio',
    [
      {
        id: 'order-0401',
        day: '2026-12-31',
        what: 'Order 0401 leaves',
        note: 'Low Sun, 3/30',
      },
      { id: 'proof-7', day: '2026-02-28', what: 'Proof, round 2', note: 'a; b, c\nd' },
    ],
    '2026-11-28T10:00:00.000Z',
  );
  const lines = text.split('\r\n');
  expect(lines[0]).toBe('BEGIN:VCALENDAR');
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(2);
  expect(lines).toContain('DTSTART;VALUE=DATE:20261231');
  expect(lines).toContain('DTSTART;VALUE=DATE:20260228');
  expect(lines).toContain('UID:order-0401');
  expect(lines).toContain('SUMMARY:Order 0401 leaves');
  expect(lines).toContain('DESCRIPTION:a\\; b\\, c\\nd');
  // A calendar that is taken in again changes the same days.
  expect(lines.filter((l) => l.startsWith('DTSTAMP:'))).toEqual([
    'DTSTAMP:20261128T100000Z',
    'DTSTAMP:20261128T100000Z',
  ]);
});
