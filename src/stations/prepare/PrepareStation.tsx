'use client';
import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import type { CheckName, PrintPlan } from '@/core/prepare';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  Dimension,
  DownloadLink,
  FactList,
  Field,
  Figures,
  JobLine,
  NoSizes,
  PrintOnSheet,
  Problem,
  SectionLabel,
  Sentence,
  SizePicker,
  Slip,
  SlipSub,
  SlipTable,
  SlipTitle,
  Small,
  Surface,
  TableHead,
  TitleBlock,
  useActionForm,
  useFormat,
} from '@/shell';
import { orderPrintFile } from './actions';
import type { PrepareView } from './view';

const CHECKS: Record<CheckName, string> = {
  pixels: 'pixels',
  ppi: 'ppi tag',
  profile: 'profile',
  bits: 'bits',
  picture: 'picture',
  border: 'border white',
};

const SheetDrawing = ({ view, plan }: { view: PrepareView; plan: PrintPlan }) => {
  const format = useFormat();
  const { picked, master } = view;
  if (!picked) return null;
  const { sheet } = picked.fit;
  const scale = Math.min(392 / sheet.height, 480 / sheet.width);
  const w = sheet.width * scale;
  const h = sheet.height * scale;
  const across = `${format.length(sheet.width)} = ${plan.width} px`;
  const down = `${format.length(sheet.height)} = ${plan.height} px`;
  const notes = [
    `picture ${plan.image.width} × ${plan.image.height} px`,
    `from master ${format.number(plan.source.width)} × ${format.number(plan.source.height)} px`,
    `factor ${format.number(plan.factor, 3)} ${plan.factor > 1 ? '(enlarged)' : '(reduced)'}`,
    `border ${format.length(picked.fit.left)} left, ${format.length(picked.fit.right)} right, ${format.length(picked.fit.above)} above, ${format.length(picked.fit.below)} below`,
  ];
  return (
    <svg
      viewBox={`0 0 770 ${h + 52}`}
      width="100%"
      role="img"
      aria-label={`Print file of ${picked.label}: ${across} by ${down}; ${notes.join('; ')}`}
    >
      <PrintOnSheet
        fit={picked.fit}
        picture={master?.preview ?? null}
        scale={scale}
        x={56}
        y={40}
      />
      <Dimension from={56} to={56 + w} at={22} text={across} />
      <Dimension from={40} to={40 + h} at={30} text={down} upright />
      <g fontSize={12.5} fill="var(--ink)">
        {notes.map((line, i) => (
          <text key={line} x={56 + w + 28} y={58 + i * 21}>
            {line}
          </text>
        ))}
      </g>
    </svg>
  );
};

/** Prepare: the print file of an offered size, written, reopened and checked. */
export function PrepareStation(view: PrepareView) {
  const { work, picked, plan, offered, files, job, ppi, radius, viewing } = view;
  const format = useFormat();
  const { form, submit, sending, problem } = useActionForm(
    orderPrintFile,
    {
      ppi: String(ppi),
      amount: '60',
      radius: String(radius),
      threshold: '2',
      space: 'a98-rgb',
      intent: 'relative',
    },
    { fixed: { workId: String(work.id), sizeKey: picked?.key ?? '' } },
  );
  const running = job !== null && ['queued', 'running'].includes(job.state);
  const field = { form };
  const own = files.filter((f) => f.sizeKey === picked?.key);
  const newest = own[0];
  const failed = newest?.checks.filter((c) => !c.passed) ?? [];
  return (
    <Bench>
      <Surface>
        <TitleBlock>
          <h1>{work.title}</h1>
          <p>
            The print file: exact size, sharpened for its size, in the space the printer
            asks for
          </p>
        </TitleBlock>
        {!picked || !plan ? (
          <NoSizes workId={work.id} />
        ) : (
          <>
            <SizePicker
              path={`/works/${work.id}/prepare`}
              picked={picked.key}
              sizes={offered.map((o) => ({
                key: o.key,
                label: o.label,
                note: files.some((f) => f.sizeKey === o.key) ? '✓' : '',
              }))}
            />
            <SheetDrawing view={view} plan={plan} />
            <TableHead>Written for this size</TableHead>
            {own.length === 0 ? (
              <p style={{ color: 'var(--soft)' }}>Nothing yet.</p>
            ) : (
              <SlipTable>
                <thead>
                  <tr>
                    <th>file</th>
                    <th>pixels</th>
                    <th>sharpened</th>
                    <th>space</th>
                    <th>checks</th>
                    <th>MB</th>
                    <th />
                  </tr>
                </thead>
                <tbody>
                  {own.map((f) => (
                    <tr key={f.id}>
                      <td>{f.name}</td>
                      <td>
                        {f.width} × {f.height}
                      </td>
                      <td>
                        {f.recipe.outputSharpen.amount} %, {f.recipe.outputSharpen.radius}{' '}
                        px
                      </td>
                      <td>{RGB_SPACES[f.recipe.convert.space].name}</td>
                      <td>
                        {f.checks.filter((c) => c.passed).length} of {f.checks.length} ✓
                      </td>
                      <td>{format.number(f.bytes / 1e6)}</td>
                      <td>
                        <a href={`/api/print-files/${f.id}`}>Download</a>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </SlipTable>
            )}
          </>
        )}
      </Surface>
      {picked && plan && (
        <Slip
          label="The print file"
          actions={
            <>
              <Button onPress={submit} isDisabled={sending || running}>
                {newest ? 'Write a new version' : 'Write the print file'}
              </Button>
              {newest && failed.length === 0 && (
                <ButtonLink href={`/works/${work.id}/proof?size=${picked.key}`} $plain>
                  Proof it
                </ButtonLink>
              )}
            </>
          }
        >
          <SlipTitle>{picked.label}</SlipTitle>
          <SlipSub>
            {newest
              ? `version ${newest.version} of ${format.day(newest.at)}`
              : 'no print file yet'}
          </SlipSub>
          <Figures
            figures={[
              {
                value: format.number((plan.width * plan.height) / 1e6, 1),
                unit: 'MP',
                label: 'print file',
              },
              { value: format.number(plan.factor, 2), unit: '×', label: 'resampled' },
              {
                value: format.number((plan.width * plan.height * 3) / 1e6),
                unit: 'MB',
                label: 'on disk',
              },
            ]}
          />
          {newest ? (
            <Sentence $tone={failed.length > 0 ? 'stop' : 'plain'}>
              {failed.length === 0
                ? `Reopened and held against its order: all ${newest.checks.length} checks passed.`
                : `Do not send it: ${failed.map((c) => CHECKS[c.check]).join(', ')} ${failed.length === 1 ? 'is' : 'are'} not as ordered.`}
            </Sentence>
          ) : (
            <Sentence>
              Check the numbers, then write it. The recipe is kept with the file.
            </Sentence>
          )}
          {job && job.state !== 'done' && (
            <JobLine job={job} what="Writing the print file" />
          )}
          {newest && (
            <>
              <FactList
                facts={newest.checks.map((c) => [
                  CHECKS[c.check],
                  `${c.passed ? '✓' : '▲ wanted ' + c.wanted + ', found'} ${c.found}`,
                ])}
              />
              <DownloadLink
                $plain
                $small
                href={`/api/print-files/${newest.id}`}
                style={{ justifySelf: 'start', alignSelf: 'flex-start' }}
              >
                Download version {newest.version}
              </DownloadLink>
            </>
          )}
          <SectionLabel>Recipe</SectionLabel>
          <form
            method="dialog"
            onSubmit={(e) => {
              e.preventDefault();
              submit();
            }}
            style={{ display: 'grid', gap: 7 }}
          >
            <Field {...field} name="ppi" label="1. Resize, Lanczos, to" unit="ppi" />
            <Field {...field} name="amount" label="2. Sharpen, amount" unit="%" />
            <Field
              {...field}
              name="radius"
              label="Sharpen, radius"
              unit="px"
              hint={`suggested ${radius} px: seen from ${format.distance(viewing)} (rule of thumb)`}
            />
            <Field {...field} name="threshold" label="Sharpen, threshold" unit="of 255" />
            <ChoiceField
              {...field}
              name="space"
              label="3. Convert to"
              options={SPACE_IDS.map((s) => [s, RGB_SPACES[s].name] as const)}
            />
            <ChoiceField
              {...field}
              name="intent"
              label="Intent"
              options={[
                ['relative', 'relative'],
                ['perceptual', 'perceptual'],
              ]}
            />
            <button type="submit" className="sr" tabIndex={-1} aria-hidden>
              Write
            </button>
          </form>
          <Small>
            4. 8 bits, TIFF with profile and ppi tag. Black point compensation on.
          </Small>
          <Problem>{problem}</Problem>
        </Slip>
      )}
    </Bench>
  );
}
