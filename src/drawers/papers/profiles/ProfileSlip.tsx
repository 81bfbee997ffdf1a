'use client';
import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import { Button, useAction, useActionForm } from '@/shell/actions';
import { FormFields } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Figures, FormPart, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { settingWords } from '@/studio/words/paperWords';
import { leaveUnused, takeIntoUse } from './actions';
import { DRIVER, intoUseForm } from './profileForms';
import type { ProfilesView, ShownProfile } from './view';
import { kindWords, labWords, tableWords, volumeWords, whiteWords } from './words';

type Row = ProfilesView['rows'][number];

/** Takes the profile into use for a paper. */
const IntoUse = ({ view, picked }: { view: ProfilesView; picked: ShownProfile }) => {
  const free = view.papers.find(
    (p) => !view.rows.some((r) => r.uses.some((u) => u.paperId === p.id)),
  );
  const first = free ?? view.papers[0];
  const form = useActionForm(
    takeIntoUse,
    {
      paperId: String(first?.id ?? ''),
      printer: view.printers[0] ?? '',
      setting: first?.printerSetting ?? '',
      driver: DRIVER[0],
    },
    { fixed: { sha256: picked.sha256 }, done: 'In use for this paper from now on.' },
  );
  const paperId = view.papers.map((p) => [String(p.id), p.name] as const);
  return (
    <FormPart form={form} verb="Print this paper through it">
      <SectionLabel>Which paper it is for</SectionLabel>
      <FormFields
        form={form.form}
        of={intoUseForm}
        options={{ paperId }}
        offered={{ printer: view.printers }}
      />
    </FormPart>
  );
};

const Uses = ({ row }: { row: Row }) => {
  const leaving = useAction(leaveUnused, 'Not in use any more; what was printed keeps it.');
  return (
    <>
      {row.uses.map((u) => (
        <p key={`${u.paperId} ${u.printer} ${u.setting}`}>
          {u.paper}
          {u.printer && `, ${u.printer}`}
          {u.setting && `, ${settingWords(u)}`}{' '}
          <Button
            $small
            $plain
            isDisabled={leaving.sending}
            onPress={() =>
              leaving.run({
                paperId: String(u.paperId),
                printer: u.printer,
                setting: u.setting,
              })
            }
          >
            no longer
          </Button>
        </p>
      ))}
      <Problem>{leaving.problem}</Problem>
    </>
  );
};

/** One profile: what it can do, measured; what it is for. */
export function ProfileSlip({
  view,
  picked,
  row,
}: {
  view: ProfilesView;
  picked: ShownProfile;
  row: Row;
}) {
  const format = useFormat();
  const { number } = format;
  const { self, portrait } = picked;
  return (
    <Slip label="Profile">
      <SlipTitle>{picked.name}</SlipTitle>
      <SlipSub>
        {self ? kindWords(self) : 'its bytes are not in the store any more'}
      </SlipSub>
      {portrait ? (
        <>
          <Figures
            figures={[
              { value: number(portrait.white[0], 1), unit: 'L*', label: 'paper white' },
              { value: number(portrait.black[0], 1), unit: 'L*', label: 'deepest black' },
              { value: volumeWords(portrait.shape), unit: 'k', label: 'gamut, Lab units' },
            ]}
          />
          <Sentence>
            Its white is {whiteWords(portrait.white)}; it holds{' '}
            {number(portrait.covers.srgb * 100)} % of sRGB and{' '}
            {number(portrait.covers['a98-rgb'] * 100)} % of A98.
          </Sentence>
        </>
      ) : (
        <Sentence $tone="stop">
          It cannot be measured: bring the same file again, or another copy of it.
        </Sentence>
      )}
      <SectionLabel>Papers printed through it</SectionLabel>
      {row.uses.length === 0 && <Small>none yet</Small>}
      <Uses row={row} />
      {view.past.length > 0 && (
        <Small>
          Before: {view.past.map((u) => `${u.paper}, since ${format.day(u.at)}`).join('; ')}
        </Small>
      )}
      {view.papers.length > 0 && portrait && (
        <IntoUse key={picked.sha256} view={view} picked={picked} />
      )}
      {portrait && (
        <FactList
          facts={[
            ['White, L* a* b*', labWords(portrait.white, number)],
            ['Black, L* a* b*', labWords(portrait.black, number)],
            ...SPACE_IDS.map((id): [string, string] => [
              `Share of ${RGB_SPACES[id].name}`,
              `${number(portrait.covers[id] * 100, 1)} %`,
            ]),
            [
              'Round trip, mean and p95',
              `${number(portrait.roundTrip.mean, 2)}, ${number(portrait.roundTrip.p95, 2)} ΔE00`,
            ],
          ]}
        />
      )}
      {self && (
        <FactList
          facts={[
            ['Tables', tableWords(self)],
            ['Made', self.made ? format.day(self.made) : 'not said'],
            ['Size', `${number(self.bytes / 1000)} kB`],
            ['Copyright', self.copyright || 'not said'],
          ]}
        />
      )}
    </Slip>
  );
}
