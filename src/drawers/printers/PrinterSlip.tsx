'use client';
import { daysUntil } from '@/core/days';
import { Button, ButtonLink, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { FactList, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { Sentence, Small } from '@/shell/words';
import { estimatePrints } from './inkActions';
import type { PrintersView, ShownInk } from './view';
import { TAKES_WORDS, buyWords, spanWords, coresWords } from './words';

type Picked = NonNullable<PrintersView['picked']>;

/** What is to be bought first, in a sentence. */
function buySentence(inks: readonly ShownInk[], today: string, day: (d: string) => string) {
  const dated = inks.flatMap((i) =>
    i.orderBy && !i.coming ? [{ ...i, orderBy: i.orderBy }] : [],
  );
  const [first] = dated.sort((a, b) => a.orderBy.localeCompare(b.orderBy));
  if (!first) return null;
  const soon = daysUntil(first.orderBy, today) <= 7;
  return {
    caution: soon,
    text:
      first.orderBy <= today
        ? `Buy ${first.name} now: by the early end of its band a delivery would come too late.`
        : `${first.name} is to be bought first: by ${day(first.orderBy)}.`,
  };
}

/** How the inks of a printer stand, and what may be noted of them. */
export function PrinterSlip({ view, picked }: { view: PrintersView; picked: Picked }) {
  const { printer, inks, missing, prints, firstSet, changes } = picked;
  const { today } = view;
  const format = useFormat();
  const estimate = useAction(estimatePrints, 'The pictures are being looked at.');
  const href = `/printers?printer=${printer.id}`;
  const buy = buySentence(inks, today, format.day);
  const { marginLeft, marginRight, marginTop, marginBottom } = printer;
  return (
    <Slip
      label={printer.name}
      actions={
        inks.length > 0 && (
          <>
            <ButtonLink href={`${href}&note=${changes === 0 ? 'noted' : 'changed'}`}>
              {changes === 0 ? 'Note the first set' : 'A cartridge was put in'}
            </ButtonLink>
            <ButtonLink $plain href={`${href}&note=gauge`}>
              Gauges
            </ButtonLink>
            <ButtonLink $plain href={`${href}&note=cleaned`}>
              Cleaned
            </ButtonLink>
            <ButtonLink $plain href={`${href}&note=bought`}>
              Bought
            </ButtonLink>
          </>
        )
      }
    >
      <SlipTitle>{printer.name}</SlipTitle>
      <SlipSub>
        {printer.route || 'without a route'} · <Link href={`${href}&edit=1`}>change</Link>
      </SlipSub>
      {inks.length === 0 ? (
        <Small>
          No ink is named yet. Of a printer behind a route the inks are its owner’s: nothing
          need be noted.
        </Small>
      ) : changes === 0 ? (
        <Sentence>
          Note when its inks were put in: from changes, gauges and what you print is learned
          how long each lasts.
        </Sentence>
      ) : (
        buy && <Sentence $tone={buy.caution ? 'caution' : 'plain'}>{buy.text}</Sentence>
      )}
      {inks.length > 0 && (
        <SlipTable aria-label="Inks">
          <thead>
            <tr>
              <th>Ink</th>
              <th>Left, ml</th>
              <th>Lasts</th>
              <th>Buy by</th>
            </tr>
          </thead>
          <tbody>
            {inks.map((ink) => (
              <tr key={ink.id} data-tone={ink.dueSoon ? 'caution' : undefined}>
                <td>
                  <Link href={`${href}&ink=${ink.id}`}>{ink.name}</Link>
                  {ink.spares > 0 && ` +${ink.spares}`}
                </td>
                <td>{ink.lasts ? format.number(ink.lasts.left) : '–'}</td>
                <td>
                  {ink.allLast
                    ? spanWords(daysUntil(ink.allLast.likely, today), format)
                    : '–'}
                </td>
                <td>{buyWords(ink, printer.deliveryDays, today, format)}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
      )}
      {missing > 0 && inks.length > 0 && (
        <>
          <Small>
            {missing} {missing === 1 ? 'picture' : 'pictures'} that were printed were not
            looked at yet: they count as the others do on average.
          </Small>
          <Button
            $small
            $plain
            isDisabled={estimate.sending}
            onPress={() => estimate.run({ printerId: String(printer.id) })}
          >
            Look at them
          </Button>
        </>
      )}
      <FactList
        facts={[
          [
            'Paper',
            `${format.length(printer.widest)} wide, ${TAKES_WORDS[printer.takes]}${coresWords(printer, format.length)}`,
          ],
          [
            'Margins l, r, t, b',
            [marginLeft, marginRight, marginTop, marginBottom]
              .map((m) => format.length(m))
              .join(', '),
          ],
          ['Prints counted', String(prints)],
          ...(firstSet
            ? ([
                [
                  'First set, apart',
                  `${format.number(firstSet.ml)}\u202fml, ${format.money(firstSet.cost, firstSet.currency)}`,
                ],
              ] as [string, string][])
            : []),
        ]}
      />
      {printer.note && <Small>{printer.note}</Small>}
      <Link href={`${href}&new=ink`}>Add an ink, or the waste box</Link>
    </Slip>
  );
}
