'use client';
import { useRouter } from 'next/navigation';
import { Button, DownloadLink, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Figures, FormPart, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable, useAddress } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { Link } from '@/shell/link';
import { fetchAll, fetchBack, sellThere } from './actions';
import { soldForm } from './forms';
import type { ShownConsignment } from './view';
import { END_WORDS, amountsWords, fetchWords } from './words';

type Print = ShownConsignment['prints'][number];

/** One print: where it is, and what can be done with it. */
function PrintRow({ lent, print }: { lent: ShownConsignment; print: Print }) {
  const format = useFormat();
  const router = useRouter();
  const go = useAddress();
  const name = `${print.work}, ${print.label}`;
  const fetching = useAction(fetchBack, `${name} is here again.`, () => router.refresh());
  return (
    <tr>
      <td className="wrap">
        {name}
        <Small>
          {print.size}, {format.money(print.price, lent.currency)}
        </Small>
        <Problem>{fetching.problem}</Problem>
      </td>
      <td className="wrap">
        {print.end ? (
          <>
            {END_WORDS[print.end]}
            {print.endedAt && <Small>{format.day(print.endedAt)}</Small>}
          </>
        ) : print.order ? (
          <Link href={`/orders/${print.order}`}>in order {print.order}</Link>
        ) : (
          <span style={{ display: 'flex', gap: 4 }}>
            <Button
              $small
              aria-label={`${name} was sold`}
              onPress={() => go({ sell: String(print.id) }, 'replace')}
            >
              Sold
            </Button>
            <Button
              $small
              $plain
              aria-label={`Fetch ${name} back`}
              isDisabled={fetching.sending}
              onPress={() => fetching.run({ number: lent.number, print: String(print.id) })}
            >
              Fetched
            </Button>
          </span>
        )}
      </td>
    </tr>
  );
}

/** What it was sold for: an order is taken for it. */
function SoldPart({ lent, print }: { lent: ShownConsignment; print: Print }) {
  const router = useRouter();
  const bench = { ...useBench(), currency: lent.currency };
  const form = useActionForm(sellThere, soldForm.write({ price: print.price }, bench), {
    fixed: { number: lent.number, print: String(print.id) },
    done: 'Order taken: give it in hand.',
    onDone: (order) => router.push(`/orders/${order}`),
  });
  return (
    <>
      <SectionLabel>
        {print.work}, {print.label} was sold
      </SectionLabel>
      <FormPart form={form} verb="Take its order">
        <FormFields
          form={form.form}
          of={soldForm}
          only={['price']}
          units={{ price: lent.currency }}
        />
      </FormPart>
    </>
  );
}

/** One consignment: its prints, what it ties up, when it ends. */
export function ConsignmentSlip({
  lent,
  selling,
}: {
  lent: ShownConsignment;
  selling: number | null;
}) {
  const format = useFormat();
  const router = useRouter();
  const { figures, terms, currency, stands } = lent;
  const all = useAction(
    fetchAll,
    (n) => `${n} fetched back.`,
    () => router.refresh(),
  );
  const sold = lent.prints.find((p) => p.id === selling && p.end === null && !p.order);
  return (
    <Slip
      label={lent.name}
      actions={
        <>
          <DownloadLink href={`/api/consignments/${lent.number}`}>
            Consignment note PDF
          </DownloadLink>
          {figures.out > 0 && (
            <Button
              $plain
              isDisabled={all.sending}
              onPress={() => all.run({ number: lent.number })}
            >
              Fetch all back
            </Button>
          )}
        </>
      }
    >
      <SlipTitle>{lent.name}</SlipTitle>
      <SlipSub>
        {lent.number}, {fetchWords(stands, lent.fetchOn, format)}
      </SlipSub>
      <Figures
        figures={[
          { value: String(figures.out), unit: '', label: 'out there' },
          {
            value: format.amount(figures.tiedUp, currency),
            unit: '',
            label: `tied up, ${currency}`,
          },
          { value: String(figures.sold), unit: '', label: 'sold there' },
        ]}
      />
      <Sentence $tone={stands.how === 'overdue' ? 'caution' : 'plain'}>
        {amountsWords(figures, lent.toYou, format, currency)}
      </Sentence>
      {sold && <SoldPart key={sold.id} lent={lent} print={sold} />}
      <SlipTable aria-label="Prints of the consignment">
        <tbody>
          {lent.prints.map((p) => (
            <PrintRow key={p.id} lent={lent} print={p} />
          ))}
        </tbody>
      </SlipTable>
      <Problem>{all.problem}</Problem>
      <FactList
        facts={[
          ['Their share of a sale', format.percent(terms.commission, 1)],
          ['Framing each cost you', format.money(terms.framing, currency)],
          ['Paid after', `${terms.daysUntilPaid} days`],
          ['Out since', format.day(lent.outOn)],
        ]}
      />
      {lent.note && <Small>Agreed beside: {lent.note}</Small>}
    </Slip>
  );
}
