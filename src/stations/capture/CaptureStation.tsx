'use client';
import { useRouter } from 'next/navigation';
import { RGB_SPACES, SPACE_IDS } from '@/core/colour';
import {
  Bench,
  Button,
  ButtonLink,
  ChoiceField,
  Empty,
  FactList,
  Field,
  Figures,
  JobLine,
  Problem,
  SectionLabel,
  Sentence,
  Slip,
  SlipSub,
  SlipTitle,
  Small,
  Surface,
  TitleBlock,
  Upload,
  splitUnit,
  useActionForm,
  useFormat,
} from '@/shell';
import { sayColourSpace, takeNamedFile } from './actions';
import { DeepZoom } from './DeepZoom';
import type { CaptureView } from './view';
import { cautionWords } from './words';

const ACCEPT = ['image/tiff', 'image/jpeg', 'image/png'];

const Bring = ({ workId, primary }: { workId: number; primary: boolean }) => {
  const router = useRouter();
  const named = useActionForm(
    takeNamedFile,
    { path: '' },
    {
      fixed: { workId: String(workId) },
      done: 'Master taken in.',
    },
  );
  return (
    <>
      <Upload
        url={`/api/masters?work=${workId}`}
        accept={ACCEPT}
        invitation="Drop the scan or photograph here: TIFF, JPEG or PNG"
        primary={primary}
        onDone={() => router.refresh()}
      />
      <form
        method="dialog"
        onSubmit={(e) => {
          e.preventDefault();
          named.submit();
        }}
        style={{ display: 'grid', gap: 8 }}
      >
        <Field form={named.form} name="path" label="or name a file on this machine" words />
        <Button
          type="submit"
          $plain
          $small
          isDisabled={named.sending}
          style={{ justifySelf: 'start' }}
        >
          {named.sending ? 'Reading it …' : 'Take this file'}
        </Button>
      </form>
      <Problem>{named.problem}</Problem>
    </>
  );
};

const SaySpace = ({ workId }: { workId: number }) => {
  const { form, submit, sending, problem } = useActionForm(
    sayColourSpace,
    { space: 'srgb' },
    {
      fixed: { workId: String(workId) },
      done: 'Colour space noted; the tiles are cut anew.',
    },
  );
  return (
    <>
      <ChoiceField
        form={form}
        name="space"
        label="It was saved in"
        options={SPACE_IDS.map((s) => [s, RGB_SPACES[s].name] as const)}
      />
      <Button $small onPress={submit} isDisabled={sending} style={{ justifySelf: 'start' }}>
        Note this colour space
      </Button>
      <Problem>{problem}</Problem>
    </>
  );
};

/** Capture: the master on the table, and what was read from it. */
export function CaptureStation({ work, master, reading, job, printPpi }: CaptureView) {
  const format = useFormat();
  const head = (
    <TitleBlock>
      <h1>{work.title}</h1>
      <p>
        {work.medium}, {format.size(work)} · {work.artist}, {work.year}
      </p>
    </TitleBlock>
  );
  if (!master || !reading)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="No master yet">
            <p>
              Bring the scan or photograph of the original. It is stored once, and never
              changed.
            </p>
          </Empty>
        </Surface>
        <Slip label="Bring the master">
          <SlipTitle>Bring the master</SlipTitle>
          <Sentence>
            To print it at its own size at {printPpi} ppi, it needs{' '}
            {format.number((work.width / 25.4) * printPpi)} ×{' '}
            {format.number((work.height / 25.4) * printPpi)} pixels.
          </Sentence>
          <Bring workId={work.id} primary />
        </Slip>
      </Bench>
    );
  const { facts } = master;
  const untagged = reading.cautions.some((c) => c.code === 'untagged');
  const native = splitUnit(format.size(reading.native));
  return (
    <Bench>
      <Surface>
        {head}
        {master.preview ? (
          <DeepZoom
            key={master.id}
            sha256={master.sha256}
            width={facts.width}
            height={facts.height}
            tile={reading.zoom.tile}
            top={reading.zoom.top}
            label={`Master of ${work.title}, ${facts.width} by ${facts.height} pixels`}
          />
        ) : (
          <Empty title="The master is being read">
            <p>Its tiles appear here when they are cut. You can go on to Size meanwhile.</p>
          </Empty>
        )}
        <Small style={{ color: 'var(--soft)' }}>
          Wheel or + and − zoom, drag or arrow keys move. Shown in sRGB for the screen; the
          file itself stays as it is.
        </Small>
      </Surface>
      <Slip
        label="The master"
        actions={
          <ButtonLink href={`/works/${work.id}/size`} $plain={untagged}>
            Choose sizes
          </ButtonLink>
        }
      >
        <SlipTitle>{master.name}</SlipTitle>
        <SlipSub>taken in {format.day(master.at)}</SlipSub>
        <Figures
          figures={[
            {
              value: format.number((facts.width * facts.height) / 1e6, 1),
              unit: 'MP',
              label: `${facts.width} × ${facts.height} px`,
            },
            {
              value: format.number(Math.min(reading.sampled.across, reading.sampled.down)),
              unit: 'ppi',
              label: 'over the original',
            },
          ]}
        />
        <Sentence $tone={untagged ? 'caution' : 'plain'}>
          {untagged
            ? 'Say which colour space it was saved in before anything is printed from it.'
            : reading.cautions.length === 0
              ? `Ready to size: native up to ${native.value} ${native.unit} at ${printPpi} ppi.`
              : `Ready to size, with ${reading.cautions.length === 1 ? 'one caution' : `${reading.cautions.length} cautions`}: native up to ${native.value} ${native.unit} at ${printPpi} ppi.`}
        </Sentence>
        {job && job.state !== 'done' && <JobLine job={job} what="Reading the master" />}
        {untagged && <SaySpace workId={work.id} />}
        {reading.cautions.map((c) => {
          const [name, meaning] = cautionWords(c, format);
          return (
            <div key={c.code}>
              <strong style={{ fontWeight: 600, color: 'var(--ochre)' }}>▲ {name}</strong>
              <Small>{meaning}</Small>
            </div>
          );
        })}
        <FactList
          facts={[
            ['Format', facts.format.toUpperCase()],
            ['Bits', `${facts.channels} × ${facts.bitsPerChannel}`],
            [
              'Colour',
              facts.iccDescription ??
                (master.assumedSpace
                  ? `${RGB_SPACES[master.assumedSpace].name}, as you said`
                  : 'untagged'),
            ],
            ['ppi tag', facts.ppiTag === null ? 'none' : format.number(facts.ppiTag)],
            ['Orientation', facts.orientation === 1 ? 'upright' : 'turned upright'],
            ['Size on disk', `${format.number(facts.bytes / 1e6, 1)}\u202fMB`],
            [
              'SHA-256',
              <code key="h" style={{ fontSize: 11.5 }}>
                {master.sha256.slice(0, 16)}…
              </code>,
            ],
          ]}
        />
        <details>
          <summary>
            <SectionLabel as="span">Bring a newer master</SectionLabel>
          </summary>
          <div style={{ display: 'grid', gap: 9, marginTop: 8 }}>
            <Bring workId={work.id} primary={false} />
          </div>
        </details>
      </Slip>
    </Bench>
  );
}
