'use client';
import { useMemo, useState } from 'react';
import { recipePlan } from '@/core/prepare';
import { Button, ButtonLink, DownloadLink, useAction } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { SectionLabel, Sentence, Small, TableHead } from '@/shell/words';
import { orderPrintFiles } from '../actions';
import { targetChoices } from '../EndFields';
import { PlainChoice } from '../PlainChoice';
import { ReferenceNotice, referenceAgainst } from '../ReferenceNotice';
import { RuleNotice } from '../RuleNotice';
import type { SheetProps } from '../sheetProps';
import { CHECKS, checkWords } from '../words';
import { PlanDrawing } from './PlanDrawing';
import { ScreenCopy } from './ScreenCopy';
import { FilesTable } from './FilesTable';

/** Files: what is written for a size, reopened and held against its order. */
export function FilesSheet(props: SheetProps) {
  const { view, master, picked, desk, head } = props;
  const { work, offered, jobs, profiles } = view;
  const { recipe, exact } = desk;
  const format = useFormat();
  const [pair, setPair] = useState('');
  const [copying, setCopying] = useState(false);
  const [reason, setReason] = useState('');
  const against = referenceAgainst(view, props, recipe);
  const { run, sending, problem } = useAction(orderPrintFiles);
  const own = view.files.filter((f) => f.sizeKey === picked.key);
  const newest = own.find((f) => f.kind === 'print');
  const failed = newest?.checks.filter((c) => !c.passed) ?? [];
  const plan = useMemo(
    () => recipePlan(master.facts, picked.fit, recipe),
    [master.facts, picked.fit, recipe],
  );
  const presses = profiles.filter((p) => p.space === 'CMYK');
  const write = (keys: string[]) =>
    run({
      workId: String(work.id),
      sizeKeys: JSON.stringify(keys),
      recipe: JSON.stringify(recipe),
      recipeId: String(exact?.id ?? ''),
      pair,
      overruled: against === '' ? '' : reason,
    });
  const channels = profiles.some(
    (p) => recipe.convert.target === `icc:${p.sha256}` && p.space === 'CMYK',
  )
    ? 4
    : 3;
  const bytes = (plan.width * plan.height * channels * recipe.file.bits) / 8;
  const names = new Map(targetChoices(profiles));
  /** The route whose wishes these are. */
  const asked = view.routes.find(
    ({ wants }) =>
      wants.target === recipe.convert.target &&
      wants.bits === recipe.file.bits &&
      wants.format === recipe.file.format &&
      wants.press === pair,
  );
  return (
    <Bench>
      <Surface>
        {head}
        <PlanDrawing picked={picked} plan={plan} preview={master.preview} />
        <TableHead>Written for this size</TableHead>
        {own.length === 0 ? (
          <p style={{ color: 'var(--soft)' }}>Nothing yet.</p>
        ) : (
          <FilesTable files={own} names={names} />
        )}
      </Surface>
      <Slip
        label="The print file"
        actions={
          <>
            <Button onPress={() => write([picked.key])} isDisabled={sending}>
              {newest ? 'Write a new version' : 'Write the print file'}
            </Button>
            {offered.length > 1 && (
              <Button
                $plain
                onPress={() => write(offered.map((o) => o.key))}
                isDisabled={sending}
              >
                All {offered.length} sizes
              </Button>
            )}
            {newest && failed.length === 0 && (
              <ButtonLink
                href={`/works/${work.id}/proof?sheet=rounds&size=${picked.key}`}
                $plain
              >
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
            { value: format.number(bytes / 1e6), unit: 'MB', label: 'not compressed' },
          ]}
        />
        {against !== '' && (
          <ReferenceNotice against={against} reason={reason} onReason={setReason} />
        )}
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
        <RuleNotice workId={work.id} sizeKey={picked.key} desk={desk} />
        {jobs.map((job) => (
          <JobLine key={job.id} job={job} what={JOB_NAMES[job.kind] ?? 'Writing'} />
        ))}
        <Problem>{problem}</Problem>
        {newest && (
          <>
            <FactList facts={newest.checks.map((c) => [CHECKS[c.check], checkWords(c)])} />
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
        {view.routes.length > 0 && (
          <PlainChoice
            label="as asked by"
            value={asked ? String(asked.id) : ''}
            options={[
              ['', 'nobody in particular'],
              ...view.routes.map((r) => [String(r.id), r.name] as const),
            ]}
            onChange={(id) => {
              const route = view.routes.find((r) => String(r.id) === id);
              if (!route) return;
              const { target, bits, format, press } = route.wants;
              desk.change({
                ...recipe,
                convert: { ...recipe.convert, target },
                file: { ...recipe.file, bits, format },
              });
              setPair(press);
            }}
          />
        )}
        {presses.length > 0 && channels === 3 && (
          <PlainChoice
            label="and in ink"
            value={pair}
            options={[
              ['', 'no CMYK beside it'],
              ...presses.map((p) => [`icc:${p.sha256}`, p.name] as const),
            ]}
            onChange={setPair}
          />
        )}
        <SectionLabel>For a screen</SectionLabel>
        {copying ? (
          <ScreenCopy {...props} />
        ) : (
          <Button
            $plain
            $small
            onPress={() => setCopying(true)}
            style={{ alignSelf: 'flex-start' }}
          >
            A copy in sRGB
          </Button>
        )}
        <Small>The name begins with the size: {recipe.file.name}</Small>
      </Slip>
    </Bench>
  );
}

const JOB_NAMES: Record<string, string> = {
  printFile: 'Writing the print file',
  sheet: 'Writing the sheet',
};
