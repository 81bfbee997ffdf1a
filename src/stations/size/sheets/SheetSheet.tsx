'use client';
import { useState } from 'react';
import { sheetCautions, signPlan } from '@/core/size';
import { DownloadLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Field, Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { FactList, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { SIGN_WORDS } from '@/studio/words/signWords';
import { SizeActions } from '../SizeSlip';
import { sheetCautionWords, sheetWords } from '../sheetWords';
import { WEIGHTINGS } from '../useLayout';
import type { SheetProps } from '../useSizing';
import { FITS, PLACES } from '../words';
import { SheetDrawing } from './SheetDrawing';
import type { Presented } from './SheetDrawing';
import { matOf, presentedWords } from './presented';
import { LAYOUT_FORM } from '../layoutForm';

const PRESENTED: [Presented, string][] = [
  ['flat', 'Flat'],
  ['mat', 'Under a mat'],
  ['float', 'Floating'],
];

/** Sheet: borders, bleed, torn edges, marks and where it is signed, to scale; and its drawing to take along. */
export function SheetSheet(props: SheetProps) {
  const { view, master, sizing, head } = props;
  const { here, desk, rules } = sizing;
  const format = useFormat();
  const [presented, setPresented] = useState<Presented>('flat');
  if (!here)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="The border eats the sheet">
            <p>Make it narrower on the ladder, or choose a larger size there.</p>
          </Empty>
        </Surface>
      </Bench>
    );
  const { fit } = here;
  const mat = presented === 'mat' ? matOf(fit) : null;
  const cautions = sheetCautions(fit, rules);
  const plan = signPlan(here.judgement.roomToSign, view.signature);
  const said = presentedWords(presented, mat, format.length);
  const query = new URLSearchParams({ size: here.key, ...(desk.typed ?? {}) });
  const file = (form: string) => `/api/sheets/${view.work.id}?${query}&form=${form}`;
  return (
    <Bench>
      <Surface>
        {head}
        <div style={{ width: 330, flex: 'none' }}>
          <Strips
            label="How it is presented"
            value={presented}
            options={PRESENTED}
            onChange={setPresented}
          />
        </div>
        <SheetDrawing
          fit={fit}
          rules={rules}
          picture={master.preview}
          presented={presented}
          mat={mat}
          label={sheetWords(here.label, fit, format)}
        />
        <Small>
          {said ??
            'Dashed: cut or torn to; dotted: what the printer leaves blank; strokes at the corners and middles: where to cut, and the middle.'}
        </Small>
      </Surface>
      <Slip label="The sheet" actions={<SizeActions {...props} />}>
        <SlipTitle>{here.label}</SlipTitle>
        <SlipSub>
          image {format.size(fit.image)} on {format.size(fit.sheet)}
        </SlipSub>
        {cautions.map((c) => (
          <Sentence key={c.code} $tone="caution">
            {sheetCautionWords(c, format)}
            {c.code === 'noRoomToSign' && ` ${SIGN_WORDS[plan]}.`}
          </Sentence>
        ))}
        <Strips
          label="How it meets the sheet"
          value={desk.fit}
          options={FITS}
          onChange={desk.setFit}
        />
        <Strips
          label="Where the border lies"
          value={desk.place}
          options={PLACES}
          onChange={desk.setPlace}
        />
        <Strips
          label="Border on each side"
          value={desk.weighting}
          options={WEIGHTINGS}
          onChange={desk.setWeighting}
        />
        {desk.weighting !== 'sides' && (
          <Field
            form={desk.form}
            of={LAYOUT_FORM}
            name="border"
            label={`Border, ${desk.place} the size`}
          />
        )}
        {[...desk.shown, 'bleed', 'deckle'].map((name) => (
          <Field key={name} form={desk.form} of={LAYOUT_FORM} name={name} />
        ))}
        <FactList
          facts={[
            ['Paper to print on', format.size(fit.paper)],
            [
              'White above, below',
              `${format.length(fit.above)}, ${format.length(fit.below)}`,
            ],
            [
              'White left, right',
              `${format.length(fit.left)}, ${format.length(fit.right)}`,
            ],
            ...(fit.beyond > 0
              ? ([['Left after trimming or tearing', format.size(fit.sheet)]] as [
                  string,
                  string,
                ][])
              : []),
          ]}
        />
        <SectionLabel>The drawing, at 1 : 1</SectionLabel>
        <div style={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}>
          <DownloadLink $small $plain href={file('pdf')}>
            PDF, one page
          </DownloadLink>
          <DownloadLink $small $plain href={file('a4')}>
            on A4 pages
          </DownloadLink>
          <DownloadLink $small $plain href={file('letter')}>
            on Letter
          </DownloadLink>
          <DownloadLink $small $plain href={file('svg')}>
            SVG
          </DownloadLink>
          <DownloadLink $small $plain href={`/api/size-sheets/${view.work.id}`}>
            Size sheet of all on offer
          </DownloadLink>
        </div>
        <Small>
          Deckle: score the back along a rule, fold both ways, pull the strip sideways. Mind
          the blade.
        </Small>
      </Slip>
    </Bench>
  );
}
