import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { STATIONS, markStations } from '@/core/work';
import type { WorkFacts } from '@/core/work';
import { fitToSheet, plainLayout } from '@/core/size';
import { mm, size } from '@/core/units';
import { draw } from '../../e2e/support/draw';
import { DataTable } from './table/DataTable';
import { Dimension } from './drawing/Dimension';
import { JobLine } from './running';
import { PrintOnSheet } from './drawing/PrintOnSheet';
import { Rule } from './frame/Rule';
import { markReasons } from '@/studio/words/markWords';
import { StationMark } from './drawing/marks';
import { splitUnit } from './slip/Figures';
import type { JobView } from './running';

jest.mock('next/navigation', () => ({
  useRouter: () => ({}),
  usePathname: () => '/works/3/size',
  useSearchParams: () => new URLSearchParams('find=salt'),
}));

const words = (markup: string) =>
  markup
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const page = (element: ReactElement) => renderToStaticMarkup(element);

const JOB: JobView = {
  id: 4,
  state: 'running',
  stage: 'cutting tiles',
  share: 0.4,
  error: null,
  ahead: 0,
  secondsLeft: null,
};
const job = (over: Partial<JobView>) =>
  words(page(<JobLine job={{ ...JOB, ...over }} what="Reading" />));

it.each([
  [{}, /Reading: cutting tiles(?!,) .*Stop/],
  [{ secondsLeft: 0.4 }, /cutting tiles(?!, about)/],
  [{ secondsLeft: 12 }, /cutting tiles, about 10 s left/],
  [{ secondsLeft: 89 }, /about 90 s left/],
  [{ secondsLeft: 200 }, /about 3 min left/],
  [{ state: 'queued', ahead: 0 }, /waiting, next in line/],
  [{ state: 'queued', ahead: 3 }, /waiting, 3 before it/],
  [{ state: 'cancelled' }, /stopped\. Nothing of it was kept\. Run it again/],
  [
    { state: 'failed', error: 'The disk is full' },
    /did not finish: The disk is full\. Run it again/,
  ],
  [
    { state: 'cutOff', error: 'Glassine was stopped' },
    /did not finish: Glassine was stopped\./,
  ],
] as const)('a job with %j says %s', (over, said) => expect(job(over)).toMatch(said));

it('a job that is done says nothing more', () => expect(job({ state: 'done' })).toBe(''));

it('the progress of a job is there for those who do not see the bar', () => {
  const markup = page(<JobLine job={JOB} what="Reading" />);
  expect(markup).toMatch(/role="progressbar"/);
  expect(markup).toMatch(/aria-valuenow="40"/);
});

interface Row {
  n: number;
  name: string;
}
const ROWS: Row[] = [
  { n: 2, name: 'Tide Lines' },
  { n: 10, name: 'Low Sun' },
];
const table = (over: Partial<Parameters<typeof DataTable<Row>>[0]> = {}) =>
  page(
    <DataTable<Row>
      label="Works"
      rows={ROWS}
      columns={[
        { key: 'n', head: 'Number', value: (r) => r.n, figure: true },
        { key: 'name', head: 'Name', value: (r) => r.name },
        { key: 'bar', head: '', value: () => '', unsorted: true },
      ]}
      id={(r) => r.n}
      {...over}
    />,
  );

it('a table names itself, its columns, and what it is sorted by', () => {
  expect(table()).toContain('aria-label="Works"');
  const asked = { sort: 'name', down: true, page: 1, find: '', lines: 30 };
  const sorted = table({ list: { asked, total: 2 } });
  expect(sorted.match(/aria-sort="descending"/g)).toHaveLength(1);
  expect(table({ list: { asked: { ...asked, down: false }, total: 2 } })).toContain(
    'aria-sort="ascending"',
  );
});

it('lines that lead somewhere can be reached and are told apart', () => {
  const markup = table({ href: (r) => `/x/${r.n}`, picked: 10 });
  expect(markup.match(/<a [^>]*href="\/x\/(2|10)"/g)).toHaveLength(2);
  expect(markup).toMatch(
    /<a [^>]*aria-current="true"[^>]*>10<|<tr[^>]*data-picked[^]*>Low Sun</,
  );
  expect(markup.match(/data-picked/g)).toHaveLength(1);
  // One that leads nowhere has no link to press.
  const some = table({ href: (r) => (r.n === 2 ? '/x/2' : null) });
  expect(some.match(/<a /g)).toHaveLength(1);
});

it('several lines can be chosen where something can be done with them', () => {
  expect(table()).not.toContain('type="checkbox"');
  const many = table({ many: [{ name: 'Take out', run: () => undefined }] });
  expect(many.match(/type="checkbox"/g)).toHaveLength(3);
  // Nothing is chosen yet: nothing is offered.
  expect(many).not.toContain('Take out');
});

it.each([
  [1, 75, '1 to 30 of 75'],
  [3, 75, '61 to 75 of 75'],
  [9, 75, '75 lines, none on page 9'],
])('page %i of %i lines says %p', (at, total, said) => {
  const asked = { sort: null, down: false, page: at, find: '', lines: 30 };
  expect(words(table({ list: { asked, total } }))).toContain(said);
});

it('a list that was cut says that it holds the newest', () => {
  const asked = { sort: null, down: false, page: 2, find: 'x', lines: 30 };
  expect(words(table({ list: { asked, total: 5000, newestOnly: true } }))).toContain(
    '31 to 60 of the newest 5000 found',
  );
});

it('one page needs no turning, an empty one says so', () => {
  const asked = { sort: null, down: false, page: 1, find: 'x', lines: 30 };
  expect(words(table({ list: { asked, total: 2 } }))).not.toContain('Further lines');
  expect(words(table({ rows: [], list: { asked, total: 0 } }))).toContain(
    'Nothing is found like this.',
  );
});

const FACTS: WorkFacts = {
  masterRead: 'ready',
  untagged: false,
  offered: 2,
  offeredFallingShort: 1,
  offeredReopened: 0,
  printFiles: 0,
  printFilesFailed: 0,
  proofsOut: 0,
  proofsApproved: 0,
  referencesLapsed: 0,
  editions: 0,
  numbersLeft: 0,
  priced: 0,
  finished: 0,
  ordersOpen: 0,
  ordersLate: 0,
  ordersShipped: 0,
};

it('the rule shows all stations, where one is, and each mark in a word', () => {
  const why = markReasons(FACTS, []);
  const markup = page(<Rule workId={3} marks={markStations(FACTS)} why={why} />);
  for (const station of STATIONS) expect(markup).toContain(`href="/works/3/${station}"`);
  expect(markup.match(/aria-current="step"/g)).toHaveLength(1);
  expect(words(markup)).toMatch(
    /Capture done.*Size needs attention: 1 size falls short.*Prepare not yet/i,
  );
});

it.each([
  ['done', 'done'],
  ['attention', 'needs attention'],
  ['notYet', 'not yet'],
] as const)('the mark %s is a shape and a word', (mark, word) => {
  const markup = page(<StationMark mark={mark} />);
  expect(markup).toContain(`#mark-${mark}`);
  expect(words(markup)).toBe(word);
});

it('a dimension line breaks for its figure where there is room, and carries it above where not', () => {
  const line = (to: number) =>
    draw(
      <svg>
        <Dimension from={0} to={to} at={20} text="500 mm" />
      </svg>,
    );
  expect(/translate\(([\d.]+) ([\d.]+)\)/.exec(line(300))!.slice(1)).toEqual(['150', '24']);
  expect(/translate\(([\d.]+) ([\d.]+)\)/.exec(line(30))!.slice(1)).toEqual(['15', '13']);
});

it('a print lies on its sheet to scale, its picture cropped and never stretched', () => {
  const fit = fitToSheet(size(500, 700), 1, plainLayout('fill', mm(25)));
  const markup = draw(
    <svg>
      <PrintOnSheet fit={fit} picture="/p.jpg" scale={0.5} x={0} y={0} picked />
    </svg>,
  );
  expect(markup).toMatch(/width="250" height="350" fill="#fdfdfc"/);
  const [, w, h, box] =
    /<svg x="[^"]*" y="[^"]*" width="([\d.]+)" height="([\d.]+)" viewBox="([^"]+)"/.exec(
      markup,
    )!;
  expect([Number(w), Number(h)]).toEqual([fit.image.width * 0.5, fit.image.height * 0.5]);
  const [, , cw, ch] = box!.split(' ').map(Number);
  // A square picture: its cropped part has the proportion of the image area.
  expect(cw! / ch!).toBeCloseTo(fit.image.width / fit.image.height, 9);
});

it.each([
  ['500\u202fmm', '500', 'mm'],
  ['1.24\u202fkg', '1.24', 'kg'],
  ['60 × 80\u202fcm', '60 × 80', 'cm'],
])('%p is the figure %p and the unit %p', (text, value, unit) =>
  expect(splitUnit(text)).toMatchObject({ value, unit }),
);
