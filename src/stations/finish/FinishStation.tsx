'use client';
import { parseLength } from '@/core/input';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  Empty,
  FactList,
  Field,
  Figures,
  NoSizes,
  Problem,
  SectionLabel,
  Sentence,
  SizePicker,
  Slip,
  SlipSub,
  SlipTitle,
  Small,
  Surface,
  TitleBlock,
  splitUnit,
  useActionForm,
  useBench,
  useFormat,
} from '@/shell';
import type { Format, TypedValues } from '@/shell';
import { keepFinish } from './actions';
import { MatDrawing } from './MatDrawing';
import { planFinish } from './plan';
import type { FinishValues } from './plan';
import type { FinishView } from './view';

const LENGTHS = [
  'perSide',
  'offPrint',
  'offMat',
  'offFrame',
  'sides',
  'above',
  'below',
  'moulding',
  'glass',
] as const;

const START: TypedValues = {
  style: 'overlap',
  perSide: '4 mm',
  offPrint: '1 mm',
  offMat: '1 mm',
  offFrame: '1 mm',
  sides: '60 mm',
  above: '60 mm',
  below: '75 mm',
  moulding: '20 mm',
  glass: '2 mm',
  glazing: 'glass',
};

function verdict(
  found: NonNullable<ReturnType<typeof planFinish>>,
  format: Format,
): [string, 'plain' | 'stop' | 'caution'] {
  const { plan, input } = found;
  const per = `${format.length(input.perSide)} per side`;
  const worst = format.length(plan.worstCase);
  const what = input.style === 'overlap' ? 'overlap' : 'reveal';
  if (!plan.holds)
    return [
      `${per} of ${what} does not exceed the ${worst} that print, mat and frame may be off together: ${input.style === 'overlap' ? 'white may show at an edge' : 'the image may be covered at an edge'}.`,
      'stop',
    ];
  if (!plan.catches)
    return [
      `Only ${format.length(plan.heldBy)} of sheet lie behind the mat on the narrowest side: the print can fall through. Give it more border.`,
      'stop',
    ];
  if (input.style === 'overlap')
    return [
      `It holds: ${what} ${per}, worst case ${worst}. The number and signature are under the mat; choose a reveal to show them.`,
      'plain',
    ];
  return [
    `It holds: ${what} ${per}, worst case ${worst}. ${plan.signatureShows ? 'Number and signature show.' : 'Too little to show number and signature.'}`,
    plan.signatureShows ? 'plain' : 'caution',
  ];
}

/** Finish: mat opening and frame for a print, with what each side has to spare. */
export function FinishStation(view: FinishView) {
  const { work, master, offered, picked, kept, keptAt, keptKeys } = view;
  const format = useFormat();
  const { units } = useBench();
  const { form, submit, sending, problem } = useActionForm(
    keepFinish,
    kept
      ? Object.fromEntries(Object.keys(START).map((k) => [k, kept[k] ?? START[k] ?? '']))
      : START,
    {
      fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
      done: 'Mat and frame kept.',
    },
  );
  const typed = form.watch();
  const parsed = Object.fromEntries(
    LENGTHS.map((k) => [k, parseLength(typed[k] ?? '', units)]),
  );
  const readable = Object.values(parsed).every((v) => v !== null && v >= 0);
  const found =
    picked && readable
      ? planFinish(picked.fit, {
          ...parsed,
          style: typed.style,
          glazing: typed.glazing,
        } as unknown as FinishValues)
      : null;
  const field = { form };
  const said = found && verdict(found, format);
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>{work.title}</h1>
          <p>Mat and frame, drawn to scale</p>
        </TitleBlock>
        {!picked ? (
          <NoSizes workId={work.id} />
        ) : (
          <>
            <SizePicker
              path={`/works/${work.id}/finish`}
              picked={picked.key}
              sizes={offered.map((o) => ({
                key: o.key,
                label: o.label,
                note: keptKeys.includes(o.key) ? '✓' : '',
              }))}
            />
            {found ? (
              <MatDrawing
                fit={picked.fit}
                plan={found.plan}
                input={found.input}
                picture={master?.preview ?? null}
              />
            ) : (
              <Empty title="These measures leave no opening">
                <p>
                  Check the fields at the right: each wants a length such as 4 mm or 0.2in.
                </p>
              </Empty>
            )}
          </>
        )}
      </Surface>
      {picked && (
        <Slip
          label="Mat and frame"
          actions={
            <>
              <Button onPress={submit} isDisabled={sending}>
                Keep this mat and frame
              </Button>
              {keptAt && (
                <ButtonLink $plain href={`/works/${work.id}/pack`}>
                  Pack
                </ButtonLink>
              )}
            </>
          }
        >
          <SlipTitle>{picked.label}</SlipTitle>
          <SlipSub>{keptAt ? `kept ${format.day(keptAt)}` : 'no mat kept yet'}</SlipSub>
          {found && said && (
            <>
              <Figures
                figures={[
                  {
                    ...splitUnit(format.length(found.input.perSide)),
                    label: `${found.input.style} per side`,
                    tone: said[1] === 'stop' ? 'brick' : undefined,
                  },
                  {
                    ...splitUnit(format.length(found.plan.worstCase)),
                    label: 'worst case off',
                  },
                  { ...splitUnit(format.mass(found.plan.glazingGrams)), label: 'glazing' },
                ]}
              />
              <Sentence $tone={said[1]}>{said[0]}</Sentence>
            </>
          )}
          <form
            method="dialog"
            onSubmit={(e) => {
              e.preventDefault();
              submit();
            }}
            style={{ display: 'grid', gap: 6 }}
          >
            <ChoiceField
              {...field}
              name="style"
              label="Opening"
              options={[
                ['overlap', 'smaller: overlaps'],
                ['reveal', 'larger: reveals'],
              ]}
            />
            <Field {...field} name="perSide" label="Per side" />
            <SectionLabel>Each may be off by</SectionLabel>
            <Field {...field} name="offPrint" label="Print" />
            <Field {...field} name="offMat" label="Mat cutter" />
            <Field {...field} name="offFrame" label="Frame" />
            <SectionLabel>Mat borders</SectionLabel>
            <Field {...field} name="sides" label="Sides" />
            <Field {...field} name="above" label="Above" />
            <Field {...field} name="below" label="Below" />
            <SectionLabel>Frame</SectionLabel>
            <Field {...field} name="moulding" label="Moulding width" />
            <Field {...field} name="glass" label="Glazing thickness" />
            <ChoiceField
              {...field}
              name="glazing"
              label="Glazing"
              options={[
                ['glass', 'glass'],
                ['acrylic', 'acrylic'],
              ]}
            />
            <button type="submit" className="sr" tabIndex={-1} aria-hidden>
              Keep
            </button>
          </form>
          {found && (
            <FactList
              facts={[
                [
                  'Rabbet size',
                  `${format.length(found.plan.frame.width)} × ${format.length(found.plan.frame.height)}`,
                ],
                ['Moulding to cut', format.length(found.plan.mouldingLength)],
                ['Sheet behind the mat', format.length(found.plan.heldBy)],
              ]}
            />
          )}
          <Problem>{problem}</Problem>
          <Small>
            ▲ Mat knives, mitre choppers and nailers injure, glass cuts, heavy frames fall.
            Follow the tool’s manual and local rules; leave what you are not trained for to
            a framer.
          </Small>
        </Slip>
      )}
    </Bench>
  );
}
