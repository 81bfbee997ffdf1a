import { readPaperList } from './paperList';

const context = { units: 'metric', currency: 'EUR', locale: 'en-GB' } as const;
const HEAD = 'Name,Maker,Weight,Sheet width,Sheet height,Price a sheet';
const read = (text: string) => readPaperList(text, context);
const problem = (text: string) => {
  const got = read(text);
  return got.ok ? '' : got.problems.join('\n');
};

it('reads a list with units, quotes and usual values where columns are missing', () => {
  const got = read(
    `${HEAD}\n"Linen, smooth",Vatmill,310,59.4 cm,841 mm,9.50\nOat,Vatmill,250,12in,16in,4`,
  );
  expect(got).toMatchObject({
    ok: true,
    papers: [
      {
        paper: {
          name: 'Linen, smooth',
          weight: 310,
          sheetWidth: 594,
          price: 950,
          base: 'cotton',
        },
        formats: [],
      },
      { paper: { name: 'Oat', sheetHeight: 406.4, price: 400, reorderPoint: 5 } },
    ],
  });
});

it('knows semicolons, tabs, a byte order mark, and heads however they are written', () => {
  const rows = ['NAME', 'maker', 'Weight', 'sheet_width', 'sheetHeight', 'price a sheet'];
  for (const d of [';', '\t'])
    expect(
      read(
        `\ufeff${rows.join(d)}\r\n${['Oat', 'V', '250', '300 mm', '400 mm', '4'].join(d)}`,
      ),
    ).toMatchObject({
      ok: true,
      papers: [{ paper: { name: 'Oat', sheetWidth: 300 } }],
    });
});

it('brings back words that an export had guarded', () => {
  expect(read(`${HEAD}\n'=Oat,V,250,300 mm,400 mm,4`)).toMatchObject({
    papers: [{ paper: { name: '=Oat' } }],
  });
});

it.each([
  ['', 'The list is empty'],
  [HEAD, 'The list is empty'],
  ['Name,Maker\nOat,V', 'The list has no column “Weight”, “Sheet width”'],
  [`${HEAD}\nOat,V,heavy,300 mm,400 mm,4`, 'Line 2: Weight: “heavy” cannot be read'],
  [`${HEAD}\nOat,V,250,300 mm,400 mm,4\nRye,V,250,-3 mm,400 mm,4`, 'Line 3: Sheet width:'],
  [
    `${HEAD}\nOat,V,250,300 mm,400 mm,4\noat,V,250,300 mm,400 mm,4`,
    'Line 3: Name: “oat” is in the list twice, of the same size',
  ],
  [
    `${HEAD}\nOat,V,250,300 mm,400 mm,4\nOat,V,260,500 mm,400 mm,6`,
    'Line 3: Weight: line 2 says otherwise of “Oat”',
  ],
  [
    `${HEAD},Comes as\nOat,V,250,300 mm,400 mm,4,roll`,
    'Line 2: Comes as: the first line of a paper is its usual sheet',
  ],
  [
    `${HEAD},Comes as\nOat,V,250,300 mm,400 mm,4,\nOat,V,250,61 cm,0 mm,90,roll`,
    'Line 3: Sheet height: 0',
  ],
  [`${HEAD},Core\nOat,V,250,300 mm,400 mm,4,2in`, 'Line 2: Core: only a roll has one'],
  [`${HEAD}\nOat,V,250,300 mm,12 m,4`, 'Line 2: Height: a sheet is 5 m long at most'],
  [`${HEAD}\n"Oat,V,250,300 mm,400 mm,4`, 'This cannot be read as a list'],
  [`${HEAD}\n${'x,V,250,300 mm,400 mm,4\n'.repeat(501)}`, '500 are taken at once'],
])('%# is refused by its line and field', (text, words) => {
  expect(problem(text)).toContain(words);
});

it('says five problems and counts the others', () => {
  const said = problem(
    `${HEAD}\n${Array.from({ length: 9 }, (_, i) => `S${i},V,x,1 mm,1 mm,4`).join('\n')}`,
  );
  expect(said.split('\n')).toHaveLength(6);
  expect(said).toContain('… and 4 more. Nothing of the list was taken in.');
});

it('takes further lines of a paper as what else it comes as', () => {
  const got = read(
    `${HEAD},Comes as,Core,Supplier\nOat,V,250,300 mm,400 mm,4,,,Quay\nRye,V,200,300 mm,400 mm,3,sheet,,\noat,V,250,61 cm,15 m,147,roll,76 mm,Quay\nOat,V,250,40 cm,60 cm,7,,,`,
  );
  expect(got).toMatchObject({
    ok: true,
    papers: [
      {
        line: 2,
        paper: { name: 'Oat' },
        formats: [
          { kind: 'roll', sheetWidth: 610, sheetHeight: 15_000, core: 76, price: 14_700 },
          { kind: 'sheet', sheetWidth: 400, core: null, supplier: '' },
        ],
      },
      { line: 3, paper: { name: 'Rye' }, formats: [] },
    ],
  });
});
