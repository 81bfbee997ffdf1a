'use client';
import { Button } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { SlipTable } from '@/shell/table';
import { Small, TableHead } from '@/shell/words';
import { SimulatedChart } from './SimulatedChart';
import { POLICY_WORDS } from './policyWords';
import type { useSimulation } from './useSimulation';

/** Stock, cash and lost sales by the month, under four ways of keeping stock. */
export function SimulatedTable({
  simulation: { share, stop, begin, came, old },
  months,
  currency,
}: {
  simulation: ReturnType<typeof useSimulation>;
  months: number;
  currency: string;
}) {
  const format = useFormat();
  const amount = (v: number) => format.amount(Math.round(v));
  const found = typeof came === 'object' ? came : null;
  return (
    <>
      <div style={{ display: 'flex', gap: 14, alignItems: 'baseline', marginTop: 8 }}>
        <TableHead>Made one by one, in small batches, at once</TableHead>
        {share === null ? (
          <Button $small $plain onPress={begin}>
            Go through {months} months a thousand times
          </Button>
        ) : (
          <>
            <Small role="status">{format.percent(share)} gone through</Small>
            <Button $small $plain onPress={stop}>
              Stop
            </Button>
          </>
        )}
      </div>
      {came === 'failed' && (
        <Problem>The months could not be gone through. Press again.</Problem>
      )}
      {came === 'stopped' && <Small>Stopped; nothing came of it.</Small>}
      {found && (
        <SlipTable aria-label="Ways of keeping stock">
          <thead>
            <tr>
              <th>way</th>
              <th>left, {currency}</th>
              <th>1 in 10 below, above</th>
              <th>sold</th>
              <th>not there</th>
              <th>over</th>
              <th>most tied up</th>
            </tr>
          </thead>
          <tbody>
            {found.policies.map((p) => (
              <tr key={p.policy}>
                <td>{POLICY_WORDS[p.policy]}</td>
                <td>{amount(p.profit.mean)}</td>
                <td>
                  {amount(p.profit.low)}, {amount(p.profit.high)}
                </td>
                <td>{format.number(p.sold, 1)}</td>
                <td>{format.number(p.lost.mean, 1)}</td>
                <td>{format.number(p.left.mean, 1)}</td>
                <td>{amount(-Math.min(0, ...p.months.map((m) => m.cash.mean)))}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
      )}
      {found && <SimulatedChart policies={found.policies} currency={currency} />}
      {found && (
        <Small>
          {old ? '▲ Of before something was changed: press again. ' : ''}
          One by one: {found.wish.singleRoute.name}; in batches:{' '}
          {found.wish.batchRoute.name}. The same luck for all.
        </Small>
      )}
    </>
  );
}
