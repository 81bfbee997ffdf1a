'use client';
import { planFinish, stackDepth } from '@/core/finish';
import type { FinishValues } from '@/core/finish';
import { Button, ButtonLink, useActionForm, useLiveRead } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { NoSizes, SizePicker } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import type { ActionForm } from '@/shell/actions';
import { Sentence, Small, TitleBlock } from '@/shell/words';
import { FinishFields } from './FinishFields';
import { keepFinish } from './actions';
import { finishForm, finishTyped, finishValues } from './finishForm';
import { MatDrawing } from './MatDrawing';
import type { FinishView } from './view';
import { costFacts, matWords, stackOf, stackWords } from './words';

type Found = ReturnType<typeof planFinish>;

/** What each side has to spare, what is to be cut, and whether it holds. */
function FinishSlip({
  view,
  found,
  values,
  keeping,
}: {
  view: FinishView;
  values: FinishValues | null;
  found: Found;
  keeping: ActionForm;
}) {
  const { work, picked, keptAt } = view;
  const { form, submit, sending, problem } = keeping;
  const format = useFormat();
  const said = found && matWords(found, format);
  return (
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
      <SlipTitle>{picked?.label}</SlipTitle>
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
      <FinishFields form={form} onKeep={submit} />
      {found && (
        <FactList
          facts={[
            [
              'Rabbet size',
              `${format.length(found.plan.frame.width)} × ${format.length(found.plan.frame.height)}`,
            ],
            ['Rabbet depth, at least', stackWords(values, view.paper, format)],
            ['Moulding to cut', format.length(found.plan.mouldingLength)],
            ['Sheet behind the mat', format.length(found.plan.heldBy)],
            ...costFacts(found.plan, values, format),
          ]}
        />
      )}
      <Problem>{problem}</Problem>
      <Small>
        ▲ Mat knives, mitre choppers and nailers injure, glass cuts, heavy frames fall.
        Follow the tool’s manual and local rules; leave what you are not trained for to a
        framer.
        {view.paper?.scuffs &&
          ` ${view.paper.name} scuffs at a touch: gloves at the mount, and the mat or a spacer between it and the glazing.`}
      </Small>
    </Slip>
  );
}

/** Finish: mat opening and frame for a print, with what each side has to spare. */
export function FinishStation(view: FinishView) {
  const { work, master, offered, picked, start, keptKeys } = view;
  const bench = useBench();
  const keeping = useActionForm(
    keepFinish,
    finishForm.write(finishTyped(start, bench.currency), bench),
    {
      fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' },
      done: 'Mat and frame kept.',
      keptAs: `finish-${work.id}-${picked?.key ?? ''}`,
    },
  );
  const typed = useLiveRead(keeping.form, finishForm);
  const values = typed && finishValues(typed, bench.currency);
  const found = picked && values ? planFinish(picked.fit, values) : null;
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
                depth={values && stackDepth(stackOf(values, view.paper))}
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
      {picked && <FinishSlip view={view} found={found} values={values} keeping={keeping} />}
    </Bench>
  );
}
