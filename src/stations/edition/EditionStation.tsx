'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { impressionLabel } from '@/core/edition';
import {
  Bench,
  Button,
  ButtonLink,
  FactList,
  Figures,
  NoSizes,
  Pencil,
  Problem,
  SectionLabel,
  Sentence,
  SizePicker,
  Slip,
  SlipSub,
  SlipTitle,
  Surface,
  TableHead,
  TitleBlock,
  useAction,
  useFormat,
  useToast,
} from '@/shell';
import { signCaution } from '@/studio/words/signWords';
import { assign, verifyLedger } from './actions';
import { DeclareForm } from './DeclareForm';
import { EditionSheets } from './EditionSheets';
import type { Cell } from './EditionSheets';
import { SpoilForm } from './SpoilForm';
import type { EditionView } from './view';

/** Editions longer than this show only what is out and the next free numbers. */
const LAID_OUT = 120;

function cellsOf(edition: NonNullable<EditionView['edition']>): Cell[] {
  const { declaration, impressions } = edition;
  const out = new Map(impressions.map((i) => [`${i.series}:${i.number}`, i]));
  const cell = (series: 'number' | 'ap', number: number): Cell => {
    const i = out.get(`${series}:${number}`);
    return {
      series,
      number,
      label: impressionLabel(declaration, series, number),
      state: i?.state ?? 'free',
      printing: i?.printing ?? 0,
      order: i?.order ?? null,
    };
  };
  const highest = Math.max(
    0,
    ...impressions.filter((i) => i.series === 'number').map((i) => i.number),
  );
  const count =
    declaration.kind === 'limited' && declaration.size <= LAID_OUT
      ? declaration.size
      : highest + 6;
  const upTo = declaration.kind === 'limited' ? Math.min(count, declaration.size) : count;
  return [
    ...Array.from({ length: upTo }, (_, i) => cell('number', i + 1)),
    ...Array.from({ length: declaration.artistsProofs }, (_, i) => cell('ap', i + 1)),
  ];
}

/** Edition: what was declared, the sheets that are out, the next number, and the ledger. */
export function EditionStation(view: EditionView) {
  const { work, offered, picked, edition, editionKeys, next, hasReference, asked, story } =
    view;
  const format = useFormat();
  const router = useRouter();
  const { say } = useToast();
  const numbering = useAction(assign);
  const [checked, setChecked] = useState<{ sound: boolean; words: string } | null>(null);
  const unsigned =
    picked && view.signPlan && signCaution(view.signPlan, format.length(picked.fit.below));
  const cells = edition ? cellsOf(edition) : [];
  const here = edition?.impressions.filter((i) => i.state === 'numbered').length ?? 0;
  const sold = edition?.impressions.filter((i) => i.state === 'sold').length ?? 0;
  const free = cells.filter(
    (c) => c.series === 'number' && (c.state === 'free' || c.state === 'spoiled'),
  ).length;
  const base = `/works/${work.id}/edition?size=${picked?.key ?? ''}`;
  const askedCell = cells.find(
    (c) => asked && c.series === asked.series && c.number === asked.number,
  );
  const give = (series: 'number' | 'ap') =>
    numbering.run({
      editionId: String(edition?.id),
      sizeKey: picked?.key ?? '',
      series,
      shown: series === 'number' ? (next ?? '') : '',
    });
  const again = () =>
    numbering.run({
      editionId: String(edition?.id),
      sizeKey: picked?.key ?? '',
      series: askedCell?.series ?? 'number',
      requested: String(askedCell?.number),
    });
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>{work.title}</h1>
          <p>
            {edition
              ? `${edition.declaration.kind === 'open' ? 'Open edition' : `Edition of ${edition.declaration.size}`} and ${edition.declaration.artistsProofs} artist’s proofs, ${edition.sizeKey === 'all' ? 'over all sizes' : (picked?.label ?? '')}, declared ${format.day(edition.declaredAt)}`
              : 'No edition of this size is declared yet'}
          </p>
        </TitleBlock>
        {!picked ? (
          <NoSizes workId={work.id} />
        ) : (
          <>
            <SizePicker
              path={`/works/${work.id}/edition`}
              picked={picked.key}
              sizes={offered.map((o) => ({
                key: o.key,
                label: o.label,
                note: editionKeys.includes(o.key) || editionKeys.includes('all') ? '✓' : '',
              }))}
            />
            {edition && (
              <EditionSheets
                cells={cells}
                preview={view.preview}
                picked={asked ? `${asked.series}:${asked.number}` : null}
                onPick={(c) =>
                  router.push(`${base}&impression=${c.series}:${c.number}`, {
                    scroll: false,
                  })
                }
              />
            )}
            {asked && (
              <>
                <TableHead>
                  The story of <Pencil>{asked.label}</Pencil>
                </TableHead>
                <ol style={{ display: 'grid', gap: 3 }}>
                  {story.map((line) => (
                    <li
                      key={line.id}
                      style={{ display: 'grid', gridTemplateColumns: '100px 1fr' }}
                    >
                      <span style={{ color: 'var(--soft)' }}>{format.day(line.at)}</span>
                      {line.text}
                    </li>
                  ))}
                </ol>
              </>
            )}
          </>
        )}
      </Surface>
      {picked && (
        <Slip
          label="The edition"
          actions={
            edition && (
              <>
                <Button
                  onPress={() => give('number')}
                  isDisabled={next === null || numbering.sending}
                >
                  {next === null ? 'Closed' : `Number the next, ${next}`}
                </Button>
                {edition.declaration.artistsProofs > 0 && (
                  <Button $plain onPress={() => give('ap')} isDisabled={numbering.sending}>
                    Next AP
                  </Button>
                )}
              </>
            )
          }
        >
          <SlipTitle>{picked.label}</SlipTitle>
          {edition ? (
            <>
              <SlipSub>
                {edition.declaration.kind === 'open'
                  ? 'open'
                  : `limited to ${edition.declaration.size}`}
              </SlipSub>
              <Figures
                figures={[
                  { value: String(here), unit: '', label: 'here' },
                  { value: String(sold), unit: '', label: 'sold' },
                  {
                    value:
                      edition.declaration.kind === 'open'
                        ? '∞'
                        : String(
                            edition.declaration.size <= LAID_OUT
                              ? free
                              : edition.declaration.size - here - sold,
                          ),
                    unit: '',
                    label: 'still to give',
                  },
                ]}
              />
              <Sentence>
                {next === null
                  ? 'Every number is given out: the edition is closed.'
                  : `The next free number is ${next}.`}
                {!hasReference &&
                  ' No proof of this size is approved yet: print none before it is.'}
              </Sentence>
              {unsigned && <Sentence $tone="caution">{unsigned}</Sentence>}
              <Problem>{numbering.problem}</Problem>
              {askedCell && (
                <>
                  <SectionLabel>
                    <Pencil>{askedCell.label}</Pencil>
                  </SectionLabel>
                  <FactList
                    facts={[
                      [
                        'State',
                        askedCell.state === 'numbered' ? 'here, numbered' : askedCell.state,
                      ],
                      ['Printing', String(askedCell.printing)],
                      ...(askedCell.order
                        ? ([['Order', askedCell.order]] as [string, string][])
                        : []),
                    ]}
                  />
                  {askedCell.state === 'numbered' && (
                    <>
                      <ButtonLink
                        $small
                        href={`/orders?new=1&work=${work.id}&size=${picked.key}&impression=${askedCell.series}:${askedCell.number}`}
                        style={{ alignSelf: 'flex-start' }}
                      >
                        Take an order for {askedCell.label}
                      </ButtonLink>
                      <SpoilForm
                        key={askedCell.label}
                        editionId={edition.id}
                        cell={askedCell}
                        onDone={() => router.refresh()}
                      />
                    </>
                  )}
                  {askedCell.state === 'spoiled' && (
                    <Button $small onPress={again} style={{ alignSelf: 'flex-start' }}>
                      Print {askedCell.label} again
                    </Button>
                  )}
                  {askedCell.order && (
                    <ButtonLink
                      $small
                      $plain
                      href={`/works/${work.id}/pack?order=${askedCell.order}`}
                      style={{ alignSelf: 'flex-start' }}
                    >
                      See order {askedCell.order}
                    </ButtonLink>
                  )}
                </>
              )}
              <SectionLabel>Ledger</SectionLabel>
              <Button
                $plain
                $small
                style={{ alignSelf: 'flex-start' }}
                onPress={() =>
                  void verifyLedger().then((r) => {
                    if (r.ok) {
                      setChecked(r.value);
                      say(r.value.words);
                    }
                  })
                }
              >
                Check the ledger
              </Button>
              {checked && (
                <Sentence $tone={checked.sound ? 'plain' : 'stop'}>
                  {checked.words}
                </Sentence>
              )}
              {edition.impressions.length === 0 && <DeclareForm view={view} />}
            </>
          ) : (
            <>
              <Sentence>
                Decide how many there will be before the first is sold. It cannot be
                enlarged later.
              </Sentence>
              <DeclareForm view={view} />
            </>
          )}
        </Slip>
      )}
    </Bench>
  );
}
