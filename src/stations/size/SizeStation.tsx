'use client';
import { useMemo, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { FamilyId, Fit } from '@/core/sizing';
import { FAMILY_IDS, ladder, largestAt, nominalSize, signPlan } from '@/core/sizing';
import { mm, parseLength } from '@/core/units';
import {
  Bench,
  Button,
  ButtonLink,
  Empty,
  FactList,
  Field,
  Figures,
  Problem,
  SectionLabel,
  Sentence,
  Slip,
  SlipSub,
  SlipTable,
  SlipTitle,
  Small,
  Strips,
  Surface,
  TableHead,
  TitleBlock,
  splitUnit,
  useAction,
  useBench,
  useFormat,
} from '@/shell';
import { SIGN_WORDS } from '@/studio/signWords';
import type { TypedValues } from '@/shell';
import { offerSize, withdrawSize } from './actions';
import { DistanceChart } from './DistanceChart';
import type { SizeView } from './view';
import { WallOfSizes } from './WallOfSizes';
import { adviceTone, adviceWord, judgementWords, worthWords } from './words';

const FAMILY_NAMES: Record<FamilyId, string> = {
  metricFrames: 'Frames, cm',
  isoA: 'ISO A',
  inchFrames: 'Frames, in',
};
const FITS: [Fit, string][] = [
  ['within', 'Whole'],
  ['fill', 'Crop to fill'],
  ['cut', 'Cut sheet'],
];

/** Size: the ladder of prints this master can become, and which of them are on offer. */
export function SizeStation(view: SizeView) {
  const { work, master, rules, offered, signature, picked: asked } = view;
  const format = useFormat();
  const { units } = useBench();
  const start = offered.find((o) => o.sizeKey === asked) ?? offered[0];
  const [family, setFamily] = useState<FamilyId>(
    nominalSize(start?.sizeKey ?? '')?.family ?? 'metricFrames',
  );
  const [fit, setFit] = useState<Fit>(start?.fit ?? 'within');
  const [chosen, setChosen] = useState<string | null>(start?.sizeKey ?? null);
  const form = useForm<TypedValues>({
    defaultValues: {
      border: start
        ? format.length(start.border)
        : units === 'metric'
          ? '20 mm'
          : '0.75 in',
    },
  });
  const typed = form.watch('border') ?? '';
  const border = parseLength(typed, units);
  const offering = useAction(offerSize, 'On offer.');
  const withdrawing = useAction(withdrawSize, 'Withdrawn from sale.');
  const facts = master?.facts;
  const rungs = useMemo(
    () => (facts ? ladder(family, facts, mm(Math.max(0, border ?? 0)), fit, rules) : []),
    [facts, family, border, fit, rules],
  );
  const onOffer = new Map(offered.map((o) => [o.sizeKey, o]));
  const picked =
    rungs.find((r) => r.key === chosen) ??
    rungs.find((r) => r.judgement.advice === 'offer' && r.judgement.figures.ppi < 700) ??
    rungs.at(-1);
  const head = (
    <TitleBlock>
      <h1>{work.title}</h1>
      <p>
        {work.medium}, {format.size(work)}
        {facts &&
          ` · master ${facts.width} × ${facts.height} px, ${facts.bitsPerChannel} bit, ${facts.iccDescription ?? 'untagged'}`}
      </p>
    </TitleBlock>
  );
  if (!facts)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="There is no master to size">
            <p>What can be printed depends on its pixels. Bring the file first.</p>
            <ButtonLink href={`/works/${work.id}/capture`}>Go to Capture</ButtonLink>
          </Empty>
        </Surface>
      </Bench>
    );
  const own = picked && onOffer.get(picked.key);
  const same =
    own !== undefined && own.fit === fit && Math.abs(own.border - (border ?? 0)) < 0.05;
  const holds = largestAt(facts, rules.resamplerHolds, rules);
  const ask = { workId: String(work.id), sizeKey: picked?.key ?? '' };
  return (
    <Bench>
      <Surface>
        {head}
        <div style={{ width: 330, flex: 'none' }}>
          <Strips
            label="Family of sizes"
            value={family}
            options={FAMILY_IDS.map((f) => [f, FAMILY_NAMES[f]] as const)}
            onChange={setFamily}
          />
        </div>
        {rungs.length === 0 || !picked ? (
          <Empty title="This border leaves nothing to print on">
            <p>Make it narrower, or choose another family of sizes.</p>
          </Empty>
        ) : (
          <>
            <WallOfSizes
              rungs={rungs}
              picture={master.preview}
              picked={picked.key}
              offered={new Set(onOffer.keys())}
              onPick={setChosen}
            />
            <TableHead>From how far it is crisp, and where people stand</TableHead>
            <DistanceChart rungs={rungs} picked={picked.key} onPick={setChosen} />
          </>
        )}
      </Surface>
      <Slip
        label="The size"
        actions={
          picked && (
            <>
              <Button
                onPress={() => offering.run({ ...ask, fit, border: typed })}
                isDisabled={same || offering.sending}
                $plain={picked.judgement.advice === 'withdraw'}
              >
                {own ? (same ? 'On offer' : 'Offer it like this') : 'Offer this size'}
              </Button>
              {own && (
                <Button
                  $plain
                  isDisabled={withdrawing.sending}
                  onPress={() =>
                    withdrawing.run({
                      ...ask,
                      reason:
                        picked.judgement.advice === 'withdraw'
                          ? 'falls short'
                          : 'no longer wanted',
                    })
                  }
                >
                  Withdraw
                </Button>
              )}
              {same && (
                <ButtonLink href={`/works/${work.id}/prepare?size=${picked.key}`} $plain>
                  Prepare
                </ButtonLink>
              )}
            </>
          )
        }
      >
        {picked && (
          <>
            <SlipTitle>{picked.label}</SlipTitle>
            <SlipSub>
              image {format.size(picked.fit.image)}, {format.length(picked.fit.below)} white
              below
            </SlipSub>
            <Figures
              figures={[
                {
                  value: format.number(picked.judgement.figures.ppi),
                  unit: '',
                  label: worthWords(picked.judgement, format),
                  tone: picked.judgement.advice === 'withdraw' ? 'brick' : undefined,
                },
                {
                  ...splitUnit(format.distance(picked.judgement.figures.crispFrom)),
                  label: 'crisp from',
                },
                {
                  ...splitUnit(format.distance(picked.judgement.figures.standing)),
                  label: 'people stand',
                },
              ]}
            />
            <Sentence $tone={adviceTone(picked.judgement) ?? 'plain'}>
              {judgementWords(picked.judgement, rules, format)}
            </Sentence>
          </>
        )}
        <SlipTable aria-label="Ladder of sizes">
          <thead>
            <tr>
              <th>size</th>
              <th>ppi</th>
              <th>enlarge</th>
              <th>crop</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {rungs.map((r) => (
              <tr
                key={r.key}
                data-opens
                // One stop for the whole ladder: Tab goes past it, arrow keys walk in it.
                tabIndex={r.key === picked?.key ? 0 : -1}
                data-tone={adviceTone(r.judgement)}
                aria-selected={r.key === picked?.key}
                onClick={() => setChosen(r.key)}
                onFocus={() => setChosen(r.key)}
                onKeyDown={(e) => {
                  const to =
                    e.key === 'ArrowDown'
                      ? e.currentTarget.nextElementSibling
                      : e.key === 'ArrowUp'
                        ? e.currentTarget.previousElementSibling
                        : null;
                  if (to instanceof HTMLElement) {
                    e.preventDefault();
                    to.focus();
                  }
                }}
              >
                <td>{r.label}</td>
                <td>{format.number(r.judgement.figures.ppi)}</td>
                <td>{format.number(r.judgement.figures.enlargement, 2)}</td>
                <td>{format.percent(r.judgement.figures.cropShare, 1)}</td>
                <td>{onOffer.has(r.key) ? '✓ offered' : adviceWord(r.judgement)}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
        <SectionLabel>How it meets the sheet</SectionLabel>
        <Strips
          label="How it meets the sheet"
          value={fit}
          options={FITS}
          onChange={setFit}
        />
        <Field form={form} name="border" label="Border, inside the sheet" />
        {border === null && (
          <Problem>{`Border: “${typed}” cannot be read. Give 20 mm, 2 cm or 0.75in.`}</Problem>
        )}
        {picked && (
          <FactList
            facts={[
              [
                'Room to sign below',
                `${format.length(picked.fit.below)} ${SIGN_WORDS[signPlan(picked.judgement.roomToSign, signature)]}`,
              ],
              ['Holds up to', format.size(holds)],
            ]}
          />
        )}
        <Small>
          Rules of thumb: {rules.printPpi} ppi native, standing at {rules.standingFactor} ×
          the diagonal
          {picked?.judgement.labsRefuse
            ? `; many labs refuse below ${rules.refusePpi} ppi`
            : ''}
          . Change them in the bench settings.
        </Small>
        <Problem>{offering.problem ?? withdrawing.problem}</Problem>
      </Slip>
    </Bench>
  );
}
