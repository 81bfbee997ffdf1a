'use client';
import { useState } from 'react';
import { countSheets } from '@/core/edition';
import type { LaidSheet } from '@/core/edition';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Overrule, Problem } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { signingWords } from '@/studio/words/paperWords';
import { signCaution } from '@/studio/words/signWords';
import { DeclareForm } from './DeclareForm';
import { ImpressionPart } from './ImpressionPart';
import { LedgerCheck } from './LedgerCheck';
import { WaitingPrints } from './WaitingPrints';
import { assign } from './actions';
import type { EditionView } from './view';

type Edition = NonNullable<EditionView['edition']>;

/** Numbers here, sold, and still to give; artist's proofs are counted apart. */
function EditionFigures({
  edition,
  out,
}: {
  edition: Edition;
  /** Those that hang elsewhere: they are not here. */
  out: EditionView['out'];
}) {
  const { numbers, toGive } = countSheets(edition.declaration, edition.impressions);
  // One that was ordered where it hangs is counted as ordered.
  const away = out.filter((o) =>
    edition.impressions.some(
      (i) =>
        o.series === 'number' &&
        i.series === 'number' &&
        i.number === o.number &&
        i.state === 'numbered',
    ),
  ).length;
  return (
    <Figures
      figures={[
        { value: String(numbers.numbered - away), unit: '', label: 'here' },
        ...(away > 0 ? [{ value: String(away), unit: '', label: 'on consignment' }] : []),
        { value: String(numbers.sold), unit: '', label: 'sold' },
        {
          value: toGive === null ? '∞' : String(toGive),
          unit: '',
          label: 'still to give',
        },
      ]}
    />
  );
}

/** The edition on its slip: how it stands, the next number, the impression that was asked for. */
export function EditionSlip({
  view,
  askedCell,
}: {
  view: EditionView;
  askedCell: LaidSheet | null;
}) {
  const { work, picked, edition, next, reference, overruled, signPlan } = view;
  const [because, setBecause] = useState('');
  const [wanted, setWanted] = useState<number | null>();
  const { waiting } = view;
  // The oldest that waits, unless another was chosen; none where nothing waits.
  const piece =
    wanted === null || waiting.some((w) => w.id === wanted)
      ? wanted
      : (waiting[0]?.id ?? null);
  const asks = reference !== null && reference.why !== '' && !overruled;
  const format = useFormat();
  const numbering = useAction(assign);
  const given = {
    editionId: String(edition?.id),
    sizeKey: picked?.key ?? '',
    overruled: because,
    ...(piece === null || piece === undefined ? {} : { pieceId: String(piece) }),
  };
  if (!picked || !edition)
    return (
      <Slip label="The edition">
        <SlipTitle>{picked?.label}</SlipTitle>
        <Sentence>
          Decide how many there will be before the first is sold. It cannot be enlarged
          later.
        </Sentence>
        <DeclareForm view={view} />
      </Slip>
    );
  const { declaration } = edition;
  const signing = view.signedOn && signingWords(view.signedOn);
  const unsigned = signPlan && signCaution(signPlan, format.length(picked.fit.below));
  return (
    <Slip
      label="The edition"
      actions={
        <>
          <Button
            onPress={() => numbering.run({ ...given, series: 'number', shown: next ?? '' })}
            isDisabled={next === null || numbering.sending}
          >
            {next === null ? 'Closed' : `Number the next, ${next}`}
          </Button>
          {declaration.artistsProofs > 0 && (
            <Button
              $plain
              onPress={() => numbering.run({ ...given, series: 'ap', shown: '' })}
              isDisabled={numbering.sending}
            >
              Next AP
            </Button>
          )}
        </>
      }
    >
      <SlipTitle>{picked.label}</SlipTitle>
      <SlipSub>
        {declaration.kind === 'open' ? 'open' : `limited to ${declaration.size}`}
      </SlipSub>
      <EditionFigures edition={edition} out={view.out} />
      <Sentence>
        {next === null
          ? 'Every number is given out: the edition is closed.'
          : `The next free number is ${next}.`}
      </Sentence>
      {waiting.length > 0 && (
        <WaitingPrints waiting={waiting} piece={piece ?? null} onPiece={setWanted} />
      )}
      {unsigned && <Sentence $tone="caution">{unsigned}</Sentence>}
      {signing && <Small>{signing}</Small>}
      {reference && reference.why !== '' && (
        <Sentence $tone="caution">
          There is no valid reference: {reference.why}.
          {overruled && ' That was overruled; the log says why.'}
        </Sentence>
      )}
      {asks && (
        <Overrule
          label="Numbered all the same, because"
          value={because}
          onChange={setBecause}
        />
      )}
      <Problem>{numbering.problem}</Problem>
      {askedCell && (
        <ImpressionPart
          editionId={edition.id}
          cell={askedCell}
          out={
            view.out.find(
              (o) => o.series === askedCell.series && o.number === askedCell.number,
            ) ?? null
          }
          orderHref={`/orders?new=1&work=${work.id}&size=${picked.key}&impression=${askedCell.series}:${askedCell.number}`}
          onAgain={() =>
            numbering.run({
              ...given,
              series: askedCell.series,
              requested: String(askedCell.number),
            })
          }
        />
      )}
      <LedgerCheck />
      {edition.impressions.length === 0 && <DeclareForm view={view} />}
    </Slip>
  );
}
