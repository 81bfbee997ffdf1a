'use client';
import { AlertTriangle, Clock, Hourglass, PackageOpen } from 'lucide-react';
import Link from 'next/link';
import styled from 'styled-components';
import type { Urgency } from '@/core/today';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty, JobLine } from '@/shell/said';
import { FactList, Figures, Slip, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import type { TableView } from './view';
import { sayLine } from './words';

const HEADS: Record<Urgency, string> = {
  late: 'Late',
  due: 'Due',
  low: 'Low',
  waiting: 'Waiting',
};
const ICONS = { late: AlertTriangle, due: Clock, low: PackageOpen, waiting: Hourglass };
const INKS: Record<Urgency, string> = {
  late: 'var(--brick)',
  due: 'var(--ochre)',
  low: 'var(--ochre)',
  waiting: 'var(--soft)',
};

const Line = styled(Link)`
  display: grid;
  grid-template-columns: 22px 1fr auto 132px;
  gap: 8px;
  align-items: center;
  padding: 6px 8px 6px 2px;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
  &:hover {
    background: rgba(0, 0, 0, 0.06);
  }
  &:focus-visible {
    outline-offset: -2px;
  }
  b {
    font-weight: 400;
    font-family: 'Newsreader', serif;
    font-size: 16px;
    line-height: 1.2;
  }
  em {
    font-style: normal;
    color: var(--blue);
    text-align: right;
    font-weight: 500;
  }
`;

const Jobs = styled.div`
  display: grid;
  gap: 10px;
  padding: 6px 8px 10px 2px;
  max-width: 620px;
`;

const Rest = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 10px 2px;
  color: var(--soft);
  font-size: 13px;
`;

/** The table: today's work, most urgent first, each line a way to where it is dealt with. */
export function TableDrawer({
  lines,
  rest,
  jobs,
  jobsMore,
  late,
  due,
  today,
  works,
  openOrders,
  shippedMonth,
  grossMonth,
}: TableView) {
  const format = useFormat();
  if (works === 0)
    return (
      <>
        <DrawerHead title="Table" sum={format.day(today)} />
        <Empty title="The table is clear">
          <p>
            Take in a first work: its title and size, then the scan or photograph of it.
          </p>
          <ButtonLink href="/works/new">New work</ButtonLink>
        </Empty>
      </>
    );
  const groups = (Object.keys(HEADS) as Urgency[])
    .map((urgency) => ({ urgency, of: lines.filter((l) => l.urgency === urgency) }))
    .filter((g) => g.of.length > 0);
  const [first] = lines;
  const said = first && sayLine(first);
  return (
    <>
      <DrawerHead title="Table" sum={format.day(today)}>
        <ButtonLink href="/works/new" $plain>
          New work
        </ButtonLink>
        <ButtonLink href="/orders?new=1" $plain>
          New order
        </ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {jobs.length > 0 && (
            <section>
              <TableHead>
                Under way <small style={{ fontSize: 13 }}>{jobs.length + jobsMore}</small>
              </TableHead>
              <Jobs>
                {jobs.map(({ job, words }) => (
                  <JobLine key={job.id} job={job} what={words} />
                ))}
                {jobsMore > 0 && (
                  <Small>{jobsMore} more wait for these, in the order they came.</Small>
                )}
              </Jobs>
            </section>
          )}
          {groups.length === 0 && jobs.length === 0 && (
            <Empty title="Nothing is due, waiting, low or late" />
          )}
          {groups.map(({ urgency, of }) => {
            const Icon = ICONS[urgency];
            return (
              <section key={urgency}>
                <TableHead style={{ color: INKS[urgency] }}>
                  {HEADS[urgency]} <small style={{ fontSize: 13 }}>{of.length}</small>
                </TableHead>
                {of.map((line) => {
                  const words = sayLine(line);
                  return (
                    <Line key={words.what} href={words.href}>
                      <Icon size={15} color={INKS[urgency]} aria-hidden />
                      <b>{words.what}</b>
                      <span>{words.figure}</span>
                      <em>{words.verb}</em>
                    </Line>
                  );
                })}
              </section>
            );
          })}
          {rest.length > 0 && (
            <Rest>
              What presses most of each kind is shown. In the drawers:{' '}
              {rest.map(({ what, href }) => (
                <Link key={what} href={href}>
                  {what}
                </Link>
              ))}
            </Rest>
          )}
        </Surface>
        <Slip
          label="Today"
          actions={said && <ButtonLink href={said.href}>{said.verb}</ButtonLink>}
        >
          <SlipTitle>Today</SlipTitle>
          <Figures
            figures={[
              {
                value: String(late),
                unit: '',
                label: 'orders late',
                tone: late > 0 ? 'brick' : undefined,
              },
              { value: String(due), unit: '', label: 'due soon' },
              { value: String(openOrders), unit: '', label: 'orders open' },
            ]}
          />
          <Sentence>
            {said ? `First: ${said.what}, ${said.figure}.` : 'Nothing presses.'}
          </Sentence>
          <FactList
            facts={[
              ['Works in the drawer', works],
              ['Shipped in the last 30 days', shippedMonth],
              [
                'Gross of those',
                grossMonth.map((g) => format.money(g.gross, g.currency)).join(', ') || '–',
              ],
            ]}
          />
        </Slip>
      </Bench>
    </>
  );
}
