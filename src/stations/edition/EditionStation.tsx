'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { impressionLabel, usualArtistsProofs } from '@/core/edition';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  Dialog,
  FactList,
  Field,
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
  Small,
  Surface,
  TableHead,
  TitleBlock,
  useAction,
  useActionForm,
  useFormat,
  useToast,
} from '@/shell';
import { assign, declare, spoil, verifyLedger } from './actions';
import { EditionSheets } from './EditionSheets';
import type { Cell } from './EditionSheets';
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

const Declare = ({ view }: { view: EditionView }) => {
  const { work, picked, edition } = view;
  const d = edition?.declaration;
  const [sure, setSure] = useState(false);
  const { form, submit, sending, problem } = useActionForm(
    declare,
    {
      kind: d?.kind ?? 'limited',
      scope: d?.scope ?? 'perSize',
      size: String(d?.size ?? 30),
      artistsProofs: String(d?.artistsProofs ?? usualArtistsProofs(30)),
    },
    {
      fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
      done: 'Declared, and written into the ledger.',
    },
  );
  const [kind, size, aps] = form.watch(['kind', 'size', 'artistsProofs']);
  return (
    <>
      <SectionLabel>
        {d ? 'Change it while no number is out' : 'Declare the edition'}
      </SectionLabel>
      <ChoiceField
        form={form}
        name="kind"
        label="Kind"
        options={[
          ['limited', 'limited'],
          ['open', 'open'],
        ]}
      />
      <ChoiceField
        form={form}
        name="scope"
        label="School"
        options={[
          ['perSize', 'per size'],
          ['allSizes', 'over all sizes'],
        ]}
      />
      {kind === 'limited' && <Field form={form} name="size" label="Edition of" />}
      <Field
        form={form}
        name="artistsProofs"
        label="Artist’s proofs"
        hint="rule of thumb: up to a tenth, outside the numbering"
      />
      <Problem>{problem}</Problem>
      <Button
        onPress={() => setSure(true)}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Declare it
      </Button>
      <Small>
        Some places have laws on disclosing limited editions. What they usually ask for is
        recorded here; local law decides.
      </Small>
      <Dialog title="Declare this edition?" open={sure} onClose={() => setSure(false)}>
        <p>
          {kind === 'open'
            ? `An open edition of ${work.title}, with ${aps} artist’s proofs.`
            : `${size} impressions of ${work.title}, and ${aps} artist’s proofs.`}{' '}
          It cannot be enlarged later, and nothing of it changes once a number is out.
        </p>
        <div style={{ display: 'flex', gap: 8 }}>
          <Button
            onPress={() => {
              setSure(false);
              submit();
            }}
          >
            Declare it for good
          </Button>
          <Button $plain onPress={() => setSure(false)}>
            Not yet
          </Button>
        </div>
      </Dialog>
    </>
  );
};

const Spoil = ({
  editionId,
  cell,
  onDone,
}: {
  editionId: number;
  cell: Cell;
  onDone: () => void;
}) => {
  const { form, submit, sending, problem } = useActionForm(
    spoil,
    { reason: '' },
    {
      fixed: {
        editionId: String(editionId),
        series: cell.series,
        number: String(cell.number),
      },
      done: `${cell.label} recorded as spoiled; its number can be printed again.`,
      onDone,
    },
  );
  return (
    <>
      <Field form={form} name="reason" label="What spoiled it" words />
      <Problem>{problem}</Problem>
      <Button
        $plain
        $small
        onPress={submit}
        isDisabled={sending}
        style={{ alignSelf: 'flex-start' }}
      >
        Destroyed: record {cell.label} as spoiled
      </Button>
    </>
  );
};

/** Edition: what was declared, the sheets that are out, the next number, and the ledger. */
export function EditionStation(view: EditionView) {
  const { work, offered, picked, edition, editionKeys, next, hasReference, asked, story } =
    view;
  const format = useFormat();
  const router = useRouter();
  const toast = useToast();
  const numbering = useAction(assign);
  const [checked, setChecked] = useState<{ sound: boolean; words: string } | null>(null);
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
    numbering.run({ editionId: String(edition?.id), sizeKey: picked?.key ?? '', series });
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
              {!picked.judgement.roomToSign && (
                <Sentence $tone="caution">
                  Only {format.length(picked.fit.below)} white below the image: there is
                  nowhere to number and sign on the front.
                </Sentence>
              )}
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
                      <Spoil
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
                      toast(r.value.words);
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
              {edition.impressions.length === 0 && <Declare view={view} />}
            </>
          ) : (
            <>
              <Sentence>
                Decide how many there will be before the first is sold. It cannot be
                enlarged later.
              </Sentence>
              <Declare view={view} />
            </>
          )}
        </Slip>
      )}
    </Bench>
  );
}
