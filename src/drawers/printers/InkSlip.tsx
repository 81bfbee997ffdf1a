'use client';
import { daysUntil } from '@/core/days';
import { Button, ButtonLink, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import type { Format } from '@/shell/figures';
import { Link } from '@/shell/link';
import { comingWords } from '@/studio/words/boughtWords';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { takeBackNoted } from './inkActions';
import type { PrintersView, ShownInk } from './view';
import {
  PAPERS_WORDS,
  ROLE_WORDS,
  buyWords,
  lastsWords,
  spanWords,
  verdictWords,
  warningWords,
} from './words';

type Event = NonNullable<PrintersView['picked']>['events'][number];

/** What was noted, in a few words. */
function eventWords({ kind, share, ml, times, firstFill }: Event, format: Format): string {
  if (kind === 'changed')
    return `put in, ${format.number(ml ?? 0)}\u202fml${firstFill ? ', first set' : ''}${
      share ? `, ${format.percent(share)} left in the old` : ''
    }`;
  if (kind === 'gauge') return `gauge ${format.percent(share ?? 0)}`;
  if (kind === 'bought') return `${format.number(times ?? 0)} bought`;
  return `cleaned${times === 1 ? '' : `, counts as ${format.number(times ?? 1, 1)}`}`;
}

const TakeBack = ({ event, words }: { event: Event; words: string }) => {
  const { run, sending } = useAction(takeBackNoted, 'Taken back.');
  return (
    <Button
      $small
      $plain
      isDisabled={sending}
      aria-label={`Take back: ${words}`}
      onPress={() => run({ eventId: String(event.id) })}
    >
      Take back
    </Button>
  );
};

/** What an ink is used by, in one line each. */
function usedFacts(ink: ShownInk, format: Format): [string, string][] {
  const { perCovered, perCoveredOff, perCleaning, perDay, cartridges } = ink.fit;
  const facts: [string, string][] = [
    ['A cleaning', `${format.number(perCleaning, 1)}\u202fml`],
    ['A day, idle or not', `${format.number(perDay, 2)}\u202fml`],
    [
      'Learned from',
      cartridges === 0
        ? 'rules of thumb alone'
        : `${cartridges} used up, and the other inks`,
    ],
  ];
  return ink.isBox
    ? facts
    : [
        [
          'A m² covered wholly',
          `${format.number(perCovered, 1)} ± ${format.number(1.28 * perCoveredOff, 1)}\u202fml`,
        ],
        ...facts,
      ];
}

/** One ink: how long it lasts and why, what its gauge is worth, what was noted of it. */
export function InkSlip({ view, ink }: { view: PrintersView; ink: ShownInk }) {
  const format = useFormat();
  const { printer, events } = view.picked!;
  const { today } = view;
  const href = `/printers?printer=${printer.id}`;
  const own = events.filter((e) => e.inkId === ink.id || e.inkId === null).slice(0, 6);
  const { lasts, allLast, verdict, warnings, coming } = ink;
  const buy = buyWords(ink, printer.deliveryDays, today, format);
  return (
    <Slip
      label={ink.name}
      actions={
        <>
          <ButtonLink href={`${href}&ink=${ink.id}&note=changed`}>
            {ink.isBox ? 'It was changed' : 'A new one was put in'}
          </ButtonLink>
          <ButtonLink $plain href={`${href}&ink=${ink.id}&note=bought`}>
            Bought
          </ButtonLink>
        </>
      }
    >
      <SlipTitle>{ink.name}</SlipTitle>
      <SlipSub>
        <Link href={href}>{printer.name}</Link> ·{' '}
        <Link href={`${href}&ink=${ink.id}&edit=ink`}>change</Link>
      </SlipSub>
      {lasts && allLast ? (
        <>
          <Figures
            figures={[
              {
                value: format.number(lasts.left),
                unit: 'ml',
                label: ink.isBox
                  ? 'may still come in'
                  : `left, ± ${format.number(1.28 * lasts.off)}`,
              },
              {
                value: spanWords(daysUntil(allLast.likely, today), format),
                unit: '',
                label:
                  ink.spares > 0 ? `with ${ink.spares} that lie ready` : 'lasts, likely',
              },
            ]}
          />
          <Sentence $tone={ink.dueSoon ? 'caution' : 'plain'}>
            Lasts {lastsWords(allLast, today, format)}, four times in five, at{' '}
            {format.number(lasts.perWeek, 1)}
            {'\u202f'}ml a week.{!coming && ` Buy by: ${buy}.`}
          </Sentence>
        </>
      ) : (
        <Sentence>
          {ink.bars.length === 0
            ? 'Note when it was put in: how long it lasts is told from then on.'
            : 'Two weeks of printing are needed before anything can be told.'}
        </Sentence>
      )}
      {coming && <Small>{comingWords(coming, today, format.day)}</Small>}
      {verdict && (
        <Sentence $tone={verdict.verdict === 'agree' ? 'plain' : 'caution'}>
          {verdictWords(verdict, format, ink.fit.cartridges)}
        </Sentence>
      )}
      {warnings.slice(-3).map((w) => (
        <Small key={w.at}>{warningWords(w, format)}</Small>
      ))}
      <FactList
        facts={[
          ['What it is', `${ROLE_WORDS[ink.role]}, ${PAPERS_WORDS[ink.papers]}`],
          [
            'One',
            `${format.number(ink.ml)}\u202fml, ${format.money(ink.price, ink.currency)} (${format.money(ink.price / ink.ml, ink.currency)} a ml)`,
          ],
          ...usedFacts(ink, format),
        ]}
      />
      {own.length > 0 && <SectionLabel>Noted last</SectionLabel>}
      <FactList
        facts={own.map((e) => {
          const words = eventWords(e, format);
          return [
            `${format.day(e.day)}, ${words}`,
            <TakeBack key={e.id} event={e} words={words} />,
          ];
        })}
      />
    </Slip>
  );
}
