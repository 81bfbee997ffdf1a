'use client';
import { useRouter } from 'next/navigation';
import { DownloadLink, useActionForm } from '@/shell/actions';
import { ChooseList } from '@/shell/bring';
import { FormFields, Pair } from '@/shell/fields';
import { FormSlip } from '@/shell/slip';
import { Small } from '@/shell/words';
import { ROUTE_WORDS } from '@/studio/words/routeWords';
import { keepPriceList } from './actions';
import { priceListForm } from './listForm';
import type { PriceListsView } from './view';

/** What a route asks, typed line by line or pasted from its list. */
export function WriteList({ view }: { view: PriceListsView }) {
  const router = useRouter();
  const { name, start } = view.form!;
  const back = name === null ? '/prices' : `/prices?of=${encodeURIComponent(name)}`;
  const form = useActionForm(keepPriceList, start, {
    done: 'Price list kept.',
    onDone: (of) => router.push(`/prices?of=${encodeURIComponent(of)}`),
  });
  const field = { form: form.form, of: priceListForm };
  return (
    <FormSlip
      label={name ?? 'A price list'}
      form={form}
      verb="Keep this list"
      back={view.lists.length === 0 ? null : back}
    >
      <FormFields
        {...field}
        only={['name', 'kind', 'from']}
        offered={{ name: view.names }}
        options={{ kind: view.kinds.map((k) => [k, ROUTE_WORDS[k]] as const) }}
      />
      <ChooseList
        onText={(text) => form.form.setValue('rows', text, { shouldDirty: true })}
      />
      <FormFields {...field} only={['rows']} lines={{ rows: 7 }} />
      <Small>
        One line each; a table or a CSV file can be pasted. Size: 30 x 40 cm, A3, or m² for
        a price by the square metre. Without a paper: on any.{' '}
        <DownloadLink $plain $small href="/api/lists/prices?template=1">
          An empty list (CSV)
        </DownloadLink>
      </Small>
      <Pair>
        <FormFields
          {...field}
          only={['setUp', 'proofFee', 'leastQuantity', 'leastPaid']}
          stacked
        />
      </Pair>
      <FormFields {...field} only={['postage']} lines={{ postage: 3 }} />
      <Pair>
        <FormFields {...field} only={['freePostageFrom', 'days']} stacked />
      </Pair>
      <FormFields {...field} only={['toCustomer', 'loses']} />
    </FormSlip>
  );
}
