import {
  choice,
  day,
  decimal,
  defineForm,
  length,
  money,
  optional,
  percent,
  text,
  whole,
} from '.';
import type { InputContext } from '.';

const context: InputContext = { units: 'metric', currency: 'EUR', locale: 'en-GB' };
const input = defineForm({
  title: text('Title', { max: 10 }),
  kind: choice('Kind', ['painting', 'drawing']),
  width: length('Width', { above: 0, max: 20000 }),
  price: money('Price', { min: 0 }),
  margin: percent('Margin', { min: 0, max: 95 }),
  copies: whole('Copies', { min: 1 }),
  radius: decimal('Radius', { min: 0.3, max: 20 }, 'px'),
  on: day('Day'),
  note: optional(text('Note')),
});
const good = {
  title: 'Pans',
  kind: 'painting',
  width: '12in',
  price: '85.50',
  margin: '40 %',
  copies: '3',
  radius: '0.8',
  on: '2026-11-23',
  note: '',
};
const errors = (over: object, c = context) => {
  const result = input.read({ ...good, ...over }, c);
  return result.ok ? {} : result.fields;
};

it('turns what was typed into values with units', () => {
  expect(input.read(good, context)).toEqual({
    ok: true,
    value: {
      ...good,
      width: expect.closeTo(304.8) as number,
      price: 8550,
      margin: 0.4,
      copies: 3,
      radius: 0.8,
      note: null,
    },
  });
});

it('says at the field what is wrong and what to give instead', () => {
  expect(errors({ width: '0' })).toEqual({
    width: 'Width: 0\u202fmm is too little. It must be more than 0\u202fmm.',
  });
  expect(errors({ width: 'broad' }).width).toMatch(
    /“broad” cannot be read\. Give 300 mm, 30 cm or 12in/,
  );
  expect(errors({ margin: '100' }).margin).toMatch(
    /100\u202f% is too much\. It must be 95\u202f% or less/,
  );
  expect(errors({ copies: '0' }).copies).toMatch(/must be 1 or more/);
  expect(errors({ copies: '2.5' }).copies).toMatch(/whole number/);
  expect(errors({ title: '   ' }).title).toMatch(/is empty/);
  expect(errors({ title: 'far too long a title' }).title).toMatch(/longer than 10/);
  expect(errors({ kind: 'sculpture' }).kind).toMatch(/not one of painting, drawing/);
  expect(errors({ on: '2026-02-31' }).on).toMatch(/a day such as/);
  expect(Object.keys(errors({ width: '-3', price: 'x', kind: '' }))).toHaveLength(3);
});

it('takes a number that the page set as the value that is stored, within the same limits', () => {
  const de = { ...context, locale: 'de-DE' };
  const set = { ...good, width: 304.8, price: 8550, margin: 0.4, radius: 0.8 };
  expect(input.read(set, de)).toMatchObject({
    ok: true,
    value: { width: 304.8, price: 8550, margin: 0.4, radius: 0.8 },
  });
  expect(errors({ ...set, width: 0 }, de)).toEqual({
    width: expect.stringMatching(/too little/),
  });
  expect(errors({ ...set, price: 0.5 }, de)).toEqual({
    price: expect.stringMatching(/not right/),
  });
});

it('what is written is read back, whatever the locale', () => {
  for (const locale of ['en-GB', 'de-DE', 'sv-SE', 'ar-EG']) {
    const c = { ...context, locale };
    const read = input.read(good, context) as {
      ok: true;
      value: Parameters<typeof input.write>[0];
    };
    expect(input.read(input.write(read.value, c), c)).toEqual(read);
  }
});

it('survives anything that is not an input at all', () => {
  for (const junk of [null, 7, 'x', [], { title: {} }])
    expect(input.read(junk, context).ok).toBe(false);
});
