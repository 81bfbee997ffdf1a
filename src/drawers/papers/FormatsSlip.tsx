'use client';
import { useRouter } from 'next/navigation';
import { PRICED_BY, cheapestByArea, formatKey } from '@/core/paper';
import { perSquareMetre, sameFormat, usualFormat } from '@/core/paper';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields, Pair } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { Problem } from '@/shell/said';
import { FormPart, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import { FormatsDrawing } from './FormatsDrawing';
import { noLongerSold, notePrice } from './formatActions';
import { formatForm } from './formatForm';
import { formatName } from '@/studio/words/formatWords';
import type { PapersView } from './view';

type Picked = NonNullable<PapersView['picked']>;

/** A price more: of a size that is known, or of another one. */
function NotePrice({ view, picked }: { view: PapersView; picked: Picked }) {
  const router = useRouter();
  const start = formatForm.write(
    { kind: 'roll', per: PRICED_BY[0], supplier: picked.supplier, day: view.today },
    useBench(),
  );
  const form = useActionForm(notePrice, start, {
    fixed: { paperId: String(picked.id) },
    done: 'Price noted.',
    onDone: () => router.refresh(),
  });
  const f = { form: form.form, of: formatForm };
  return (
    <FormPart form={form} verb="Note this price">
      <FormFields {...f} only={['kind']} />
      <Pair>
        <FormFields {...f} only={['width', 'height']} stacked />
      </Pair>
      <FormFields {...f} only={['core', 'price', 'per', 'supplier', 'day']} />
    </FormPart>
  );
}

/** As what the picked paper is sold: sheets and rolls, each at its newest price. */
export function FormatsSlip({ view, picked }: { view: PapersView; picked: Picked }) {
  const format = useFormat();
  const router = useRouter();
  const { formats } = view;
  const gone = useAction(noLongerSold, 'Noted: no longer sold so.', () => router.refresh());
  const cheapest = formats.length > 1 ? cheapestByArea(formats) : null;
  const usual = usualFormat(picked);
  return (
    <Slip label={`${picked.name}, as it is sold`}>
      <SlipTitle>{picked.name}</SlipTitle>
      <SlipSub>
        as it is sold · <Link href={`/papers?paper=${picked.id}`}>back to the paper</Link>
      </SlipSub>
      <FormatsDrawing formats={formats} />
      <SlipTable aria-label="As it is sold">
        <thead>
          <tr>
            <th>Comes as</th>
            <th>One</th>
            <th>a m²</th>
          </tr>
        </thead>
        <tbody>
          {formats.map((f, i) => (
            <tr key={formatKey(f)}>
              <td className="wrap">
                {i + 1}{' '}
                <Link
                  href={`/papers?paper=${picked.id}&lot=new&as=${encodeURIComponent(formatKey(f))}`}
                >
                  {formatName(f, format)}
                </Link>
                <Small style={{ margin: 0 }}>
                  {f.day === null
                    ? 'since when is not noted'
                    : `since ${format.day(f.day)}`}
                  {sameFormat(f, usual) ? (
                    ', the usual sheet'
                  ) : (
                    <>
                      <br />
                      <Button
                        $small
                        $plain
                        isDisabled={gone.sending}
                        aria-label={`${formatName(f, format)} is no longer sold`}
                        onPress={() =>
                          gone.run({
                            paperId: picked.id,
                            kind: f.kind,
                            width: f.width,
                            height: f.height,
                          })
                        }
                      >
                        no longer sold
                      </Button>
                    </>
                  )}
                </Small>
              </td>
              <td>{format.money(f.price, f.currency)}</td>
              <td>
                {format.money(Math.round(perSquareMetre(f)), f.currency)}
                {cheapest !== null && sameFormat(f, cheapest) && ' ●'}
              </td>
            </tr>
          ))}
        </tbody>
      </SlipTable>
      <Problem>{gone.problem}</Problem>
      <Small>
        {cheapest && '● least for a square metre. '}
        The name begins a delivery of it. A price is the newest that was noted or paid.
      </Small>
      <SectionLabel>A price, or another size</SectionLabel>
      <NotePrice key={formats.length} view={view} picked={picked} />
    </Slip>
  );
}
