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
      { name: 'Linen, smooth', weight: 310, sheetWidth: 594, price: 950, base: 'cotton' },
      { name: 'Oat', sheetHeight: 406.4, price: 400, reorderPoint: 5 },
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
      papers: [{ name: 'Oat', sheetWidth: 300 }],
    });
});

it('brings back words that an export had guarded', () => {
  expect(read(`${HEAD}\n'=Oat,V,250,300 mm,400 mm,4`)).toMatchObject({
    papers: [{ name: '=Oat' }],
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
    'Line 3: Name: “oat” is in the list twice',
  ],
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
