'use client';
import { useRouter } from 'next/navigation';
import { ASPECT_NAMES } from '@/core/log';
import { lotAmount } from '@/studio/words/lotWords';
import { recipeLine } from '@/studio/words/recipeWords';
import { Button, useActionForm } from '@/shell/actions';
import { EnterForm, FormFields, Upload } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Figures, FormPart, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { judgePrint, keepEntryRecipe } from './actions';
import { keepForm, opinionForm } from './logForms';
import type { PrintRow } from './prints';
import { SCALES, SOURCES, scaleWord } from './words';

/** What is thought of the print: each aspect on its own scale, apart from the others. */
function Judge({ row, judging }: { row: PrintRow; judging: Judging }) {
  const { form, submit, problem } = judging;
  return (
    <EnterForm onEnter={submit} style={{ display: 'grid', gap: 5 }}>
      <SectionLabel>What do you think of it?</SectionLabel>
      <FormFields
        form={form}
        of={opinionForm}
        lines={{ remarks: 2 }}
        options={Object.fromEntries(
          ASPECT_NAMES.map((aspect) => {
            const now = scaleWord(aspect, row.thought?.opinion[aspect] ?? null);
            return [aspect, [['', now ? `${now}, stays` : 'not said'], ...SCALES[aspect]]];
          }),
        )}
      />
      <Problem>{problem}</Problem>
    </EnterForm>
  );
}

const useJudging = (row: PrintRow) =>
  useActionForm(
    judgePrint,
    { sharpness: '', grain: '', halos: '', tone: '', colour: '', remarks: '' },
    { fixed: { entryId: String(row.id) }, done: 'Kept in the book.' },
  );

type Judging = ReturnType<typeof useJudging>;

/** The recipe of the print gets a name, so that Prepare has it. */
function KeepRecipe({ row }: { row: PrintRow }) {
  const form = useActionForm(
    keepEntryRecipe,
    { name: '' },
    { fixed: { entryId: String(row.id) }, done: 'Recipe kept: Prepare has it.' },
  );
  return (
    <FormPart form={form} verb="Keep the recipe" plain>
      <FormFields form={form.form} of={keepForm} />
    </FormPart>
  );
}

/** One entry of the book: how it was made, and what was thought of it. */
export function EntrySlip({ row }: { row: PrintRow }) {
  const format = useFormat();
  const router = useRouter();
  const judging = useJudging(row);
  const said = ASPECT_NAMES.flatMap((a) => {
    const word = scaleWord(a, row.thought?.opinion[a] ?? null);
    return word ? [`${a} ${word}`] : [];
  });
  return (
    <Slip
      label="The entry"
      actions={
        <Button onPress={judging.submit} isDisabled={judging.sending}>
          Keep it
        </Button>
      }
    >
      <SlipTitle>{row.title}</SlipTitle>
      <SlipSub>
        {[row.what, row.size, format.day(row.at)].filter(Boolean).join(', ')}
      </SlipSub>
      <Figures
        figures={[
          {
            value: row.factor === null ? '–' : format.number(row.factor, 2),
            unit: '×',
            label: 'enlarged',
          },
          {
            value: row.detail === null ? '–' : format.number(row.detail, 2),
            unit: '',
            label: 'of its pixels real',
          },
        ]}
      />
      <Sentence>
        {said.length > 0 ? `${said.join(', ')}.` : 'Nothing is said of it yet.'}
      </Sentence>
      <FactList
        facts={[
          ['from', row.source ? (SOURCES[row.source] ?? row.source) : '–'],
          ['on, by', [row.paper, row.route].filter(Boolean).join(', ') || '–'],
          ...(row.setting ? [['setting', row.setting] as [string, string]] : []),
          ...(row.took
            ? [
                [
                  'took',
                  `${lotAmount(row.took.kind, row.took.amount)} of lot ${row.took.lot}, ${format.money(row.took.cost, row.took.currency)}`,
                ] as [string, string],
              ]
            : []),
          ...(row.cost !== null
            ? [['cost', format.money(row.cost)] as [string, string]]
            : []),
        ]}
      />
      <Small>
        {row.recipe
          ? `${row.recipeName ? `${row.recipeName}: ` : ''}${recipeLine(row.recipe)}`
          : 'How it was made is not known.'}
      </Small>
      {row.thought?.remarks.map((remark, i) => (
        <Small key={i}>“{remark}”</Small>
      ))}
      {row.thought && row.thought.photographs.length > 0 && (
        <div style={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}>
          {row.thought.photographs.map((sha) => (
            <a key={sha} href={`/api/photograph/${sha}`}>
              <img
                src={`/api/photograph/${sha}`}
                alt={`Photograph of ${row.what}`}
                height={58}
              />
            </a>
          ))}
        </div>
      )}
      <Judge row={row} judging={judging} />
      {row.recipe && <KeepRecipe row={row} />}
      <Upload
        url={`/api/photographs/${row.id}`}
        accept={['image/jpeg', 'image/png']}
        invitation="A photograph of the print"
        onDone={() => router.refresh()}
      />
    </Slip>
  );
}
