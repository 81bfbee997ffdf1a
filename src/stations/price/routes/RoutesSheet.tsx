'use client';
import { useMemo } from 'react';
import { routeKind } from '@/core/prepare';
import { ButtonLink, useLiveForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { Empty } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { LooksLike, SlipTable } from '@/shell/table';
import { Sentence, Small, TableHead } from '@/shell/words';
import { recordWords } from '@/studio/words/recordWords';
import { lostWords } from '@/studio/words/routeWords';
import type { PriceView } from '../view';
import { RoutesChart } from './RoutesChart';
import { quantityForm } from './quantityForm';
import { routesShown } from './routesShown';
import { cheapestWords, leftOutWords, moreWords } from './routesWords';

/** What is asked for first, where no edition is smaller. */
const BEGIN = 20;

/** Who prints: what each print costs by each route, over how many are made at once. */
export function RoutesSheet({ view, head }: { view: PriceView; head: React.ReactNode }) {
  const { compared, currency, picked, paper, editionSize } = view;
  const { routes, leftOut } = compared;
  const format = useFormat();
  const begin = { quantity: Math.min(BEGIN, editionSize ?? BEGIN) };
  const { form, values } = useLiveForm(
    quantityForm,
    { quantity: String(begin.quantity) },
    begin,
  );
  const { quantity } = values;
  const shown = useMemo(() => routesShown(routes, quantity), [routes, quantity]);
  const { quoted, notSoFew, more } = shown;
  const [best] = quoted;
  if (routes.length === 0)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="Nobody’s prices are known for this size">
            <p>
              Write down what a lab or a print studio asks. The own printer is reckoned from
              the ink and paper at Cost.
            </p>
            {leftOut.map((l) => (
              <p key={l.name}>{leftOutWords(l)}</p>
            ))}
            <ButtonLink href="/prices?new=1">Write a price list</ButtonLink>
            <LooksLike
              heads={['Who prints', '1', '10', '50']}
              rows={[
                ['own printer', '15.40', '15.40', '15.40'],
                ['Tidewrack Print Studio', '45.90', '19.49', '17.50'],
              ]}
            />
          </Empty>
        </Surface>
      </Bench>
    );
  return (
    <Bench>
      <Surface>
        {head}
        <TableHead>
          Who prints {picked!.label}
          {paper && ` on ${paper}`}, and how many at once
        </TableHead>
        <RoutesChart
          drawn={shown.drawn}
          compared={shown.compared}
          quantity={quantity}
          currency={currency}
        />
        {leftOut.length > 0 && <Small>{leftOut.map(leftOutWords).join(' ')}</Small>}
      </Surface>
      <Slip
        label="Who prints it"
        actions={<ButtonLink href="/prices">Price lists</ButtonLink>}
      >
        <SlipTitle>
          {quantity} × {picked!.label}
        </SlipTitle>
        <SlipSub>{best ? `cheapest: ${best.route}` : 'nobody prints so few'}</SlipSub>
        <FormFields form={form} of={quantityForm} />
        {best && (
          <>
            <Figures
              figures={[
                {
                  value: format.amount(Math.round(best.share)),
                  unit: '',
                  label: `each, ${currency}`,
                },
                {
                  value: format.amount(best.total),
                  unit: '',
                  label: 'tied up in the batch',
                },
                {
                  value: best.of.days === null ? '–' : String(best.of.days),
                  unit: '',
                  label: 'days until here',
                },
              ]}
            />
            <Sentence>{cheapestWords(shown, format)}</Sentence>
          </>
        )}
        <SlipTable aria-label="Who prints so many">
          <thead>
            <tr>
              <th>who</th>
              <th>each</th>
              <th>in all</th>
              <th>days</th>
            </tr>
          </thead>
          <tbody>
            {quoted.map((q) => (
              <tr key={q.route}>
                <td className="wrap">
                  {q.route}
                  {lostWords(q.of.kind, q.of.loses).length > 0 && (
                    <Small>{lostWords(q.of.kind, q.of.loses).join('; ')}</Small>
                  )}
                  {q.of.kind !== 'onDemand' && !routeKind(q.of.kind).here && (
                    <Small>
                      <Link
                        href={`/works/${view.work.id}/prepare?sheet=handOver&size=${encodeURIComponent(picked!.key)}&to=${encodeURIComponent(q.route)}&prints=${quantity}`}
                        aria-label={`Order ${quantity} of ${q.route}`}
                      >
                        order {quantity}
                      </Link>
                    </Small>
                  )}
                  {view.records[q.route] && (
                    <Small>{recordWords(view.records[q.route]!)}</Small>
                  )}
                </td>
                <td>{format.amount(Math.round(q.share))}</td>
                <td>{format.amount(q.total)}</td>
                <td>{q.of.days ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
        {notSoFew.length > 0 && (
          <FactList
            facts={notSoFew.map((n): [string, string] => [n.name, `${n.least} at least`])}
          />
        )}
        {more.map((m) => (
          <Small key={m.route}>▲ {moreWords(m, shown, format)}</Small>
        ))}
        <Small>
          {routes.some((r) => r.from === null)
            ? 'The own printer: ink, paper, what is spoiled of them and its wear, as at Cost; your time is not in it. '
            : ''}
          Lists as they were kept; what else a print costs is the same by every route.
        </Small>
      </Slip>
    </Bench>
  );
}
