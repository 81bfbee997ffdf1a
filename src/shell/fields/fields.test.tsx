import { renderToStaticMarkup } from 'react-dom/server';
import { useForm } from 'react-hook-form';
import { choice, day, decimal, defineForm, hinted, length, money } from '@/core/input';
import { rowNumber, text } from '@/core/input';
import { mm } from '@/core/units';
import { useLiveRead } from '../actions/useLiveRead';
import { BenchProvider } from '../figures/BenchContext';
import { FormFields } from './FormFields';
import { LengthLine } from './LengthLine';

jest.mock('next/navigation', () => ({ useRouter: () => ({}) }));

const FORM = defineForm({
  rowId: rowNumber('Row'),
  name: text('Name', { max: 20 }),
  kind: choice('Kind', ['oak', 'ash']),
  width: length('Width', { above: 0, max: 900 }),
  mass: decimal('Weight', { above: 0, max: 9 }, 'g'),
  price: hinted(money('Price', { min: 0, max: 1e6 }), 'without tax'),
  sentOn: day('Sent on'),
});

const bench = {
  units: 'metric',
  tone: 'middle',
  currency: 'CHF',
  locale: 'en-GB',
  timeZone: 'UTC',
  singleKeys: true,
} as const;

const drawn = (element: React.ReactElement) =>
  renderToStaticMarkup(<BenchProvider bench={bench}>{element}</BenchProvider>);

function Drawn(props: Partial<Parameters<typeof FormFields>[0]>) {
  const form = useForm({ defaultValues: {} as Record<string, string> });
  return <FormFields form={form} of={FORM} {...props} />;
}

describe('the fields of a form, drawn from its definition', () => {
  it('asks for what is to be typed, by its title, with its unit and what is said of it', () => {
    const markup = drawn(<Drawn />);
    for (const said of [
      'Name',
      'Kind',
      'Width',
      'Weight',
      'Price',
      'without tax',
      'Sent on',
    ])
      expect(markup).toContain(said);
    expect(markup).toContain('>g<');
    // Money is in the currency of the bench.
    expect(markup).toContain('>CHF<');
    expect(markup).toContain('Sent on: the calendar');
    // None chosen yet, and the two.
    expect(markup.match(/<option/g)).toHaveLength(3);
  });

  it('never asks for what goes along unseen', () =>
    expect(drawn(<Drawn />)).not.toContain('Row'));

  it('takes other words, units and choices where they are given', () => {
    const markup = drawn(
      <Drawn
        only={['kind', 'price']}
        labels={{ price: 'Price of all' }}
        units={{ price: 'EUR' }}
        options={{ kind: [['oak', 'an oak frame']] }}
        hints={{ price: 'kept: 4 EUR' }}
      />,
    );
    for (const said of ['Price of all', '>EUR<', 'an oak frame', 'kept: 4 EUR'])
      expect(markup).toContain(said);
    expect(markup).not.toMatch(/Name|CHF|without tax/);
  });
});

describe('values while one types', () => {
  const page = defineForm({ width: FORM.fields.width, mass: FORM.fields.mass });
  const Read = ({ typed }: { typed: Record<string, string> }) => {
    const values = useLiveRead(useForm({ defaultValues: typed }), page);
    return <p>{values ? `${values.width} by ${values.mass}` : 'nothing yet'}</p>;
  };
  it.each([
    [{ width: '12in', mass: '2.5' }, '304.8 by 2.5'],
    [{ width: '30 cm', mass: '1' }, '300 by 1'],
    [{ width: 'wide', mass: '1' }, 'nothing yet'],
    [{ width: '30 cm', mass: '10' }, 'nothing yet'],
    [{ width: '30 cm' }, 'nothing yet'],
  ] as [Record<string, string>, string][])('%j: %s', (typed, said) =>
    expect(drawn(<Read typed={typed} />)).toBe(`<p>${said}</p>`),
  );
});

it('a length that works at once shows what holds, and is empty while nothing does', () => {
  const line = (value: number | null) =>
    drawn(
      <LengthLine
        field={FORM.fields.width}
        value={value === null ? null : mm(value)}
        onChange={() => undefined}
      />,
    );
  expect(line(450)).toMatch(/aria-label="Width"[^>]*value="450 mm"/);
  expect(line(null)).toContain('value=""');
});
