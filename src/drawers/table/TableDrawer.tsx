'use client';
import { Link } from '@/shell/link';
import type { Urgency } from '@/core/today';
import { ButtonLink, DownloadLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Fold } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { FactList, Figures, Slip, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import { FirstDay } from './FirstDay';
import { StudioParts } from './StudioParts';
import type { TableView } from './view';
import { sayLine } from './words';
import { HEADS, ICONS, INKS, Line, Jobs, Rest } from './tableParts';

/** The table: today's work, most urgent first, each line a way to where it is dealt with. */
export function TableDrawer(view: TableView) {
  const { lines, rest, jobs, jobsMore, late, due, today, works, openOrders } = view;
  const { shippedMonth, grossMonth, parts, newest } = view;
  const format = useFormat();
  if (works === 0) return <FirstDay view={view} />;
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
          <DownloadLink
            $plain
            $small
            href="/api/days"
            style={{ justifySelf: 'start', alignSelf: 'flex-start' }}
          >
            These days for a calendar (ICS)
          </DownloadLink>
          {Object.values(parts).includes(false) && (
            <Fold title="What the studio still lacks">
              <StudioParts parts={parts} works={newest} />
            </Fold>
          )}
        </Slip>
      </Bench>
    </>
  );
}
