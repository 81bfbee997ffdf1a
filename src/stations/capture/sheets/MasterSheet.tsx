'use client';
import { Link } from '@/shell/link';
import { RGB_SPACES } from '@/core/colour';
import { Fold } from '@/shell/fields';
import { ButtonLink, useAction } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import type { Format } from '@/shell/figures';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { noteSignature } from '../actions';
import { BringMaster, SaySpace } from '../BringMaster';
import { cropOverlay } from '../cropOverlay';
import { LightTable } from '../LightTable';
import { cautionWords } from '../words';
import type { CautionWords } from '../words';
import { ReadingJobs } from './ReadingJobs';
import type { SheetProps } from './sheetProps';

const SIGNATURES = [
  ['inPicture', 'in the picture'],
  ['removed', 'removed'],
  ['absent', 'never there'],
] as const;

const Signature = ({ workId, known }: { workId: number; known: string | null }) => {
  const { run, problem } = useAction(noteSignature, 'Noted.');
  return (
    <>
      <SectionLabel>The artist’s signature is</SectionLabel>
      <Strips
        label="The artist’s signature is"
        value={known ?? ''}
        options={SIGNATURES}
        onChange={(present) => run({ workId: String(workId), present })}
      />
      <Problem>{problem}</Problem>
    </>
  );
};

function verdictSentence(
  { found, view }: SheetProps,
  words: CautionWords[],
  format: Format,
) {
  const native = splitUnit(format.size(found.native));
  const upTo = `native up to ${native.value} ${native.unit} at ${view.printPpi} ppi`;
  const { verdict, because } = found.verdict;
  const reason = because && words[found.cautions.indexOf(because)];
  if (verdict === 'again' && reason)
    return `Do it again: ${reason.head[0]!.toLowerCase()}${reason.head.slice(1)}.`;
  if (!found.reading) return `Its pixels are still being read. By its size, ${upTo}.`;
  if (verdict === 'ready') return `Ready to size: ${upTo}.`;
  const count = words.length;
  return `Ready to size, with ${count === 1 ? 'one caution' : `${count} cautions`}: ${upTo}.`;
}

/** The master on the light table, and the one verdict on it. */
export function MasterSheet(props: SheetProps) {
  const { view, master, found, head } = props;
  const { work, jobs } = view;
  const format = useFormat();
  const channels = master.file.colourModel === 'grey' ? 1 : 3;
  const words = found.cautions.map((c) => cautionWords(c, format, channels));
  const untagged = found.cautions.some((c) => c.code === 'untagged');
  const { facts, file } = master;
  const tone = found.verdict.verdict === 'again' ? 'stop' : untagged ? 'caution' : 'plain';
  const corners = master.derivation?.corners ?? null;
  return (
    <Bench>
      <Surface>
        {head}
        {master.preview ? (
          <LightTable
            picture={found.picture}
            overlay={cropOverlay(corners, null)}
            label={`Master of ${work.title}, ${file.width} by ${file.height} pixels`}
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
              label: `${facts.width} × ${facts.height} px${corners ? ', cropped' : ''}`,
            },
            {
              value: format.number(Math.min(found.sampled.across, found.sampled.down)),
              unit: 'ppi',
              label: 'over the original',
            },
          ]}
        />
        <Sentence $tone={tone}>
          {untagged
            ? 'Say which colour space it was saved in before anything is printed from it.'
            : verdictSentence(props, words, format)}
        </Sentence>
        <ReadingJobs jobs={jobs} />
        {untagged && <SaySpace workId={work.id} />}
        {words.map((w) => (
          <div key={w.head}>
            <strong style={{ fontWeight: 600, color: 'var(--ochre)' }}>
              ▲{' '}
              {w.sheet === 'master' ? (
                w.head
              ) : (
                <Link href={`?sheet=${w.sheet}`} style={{ color: 'inherit' }}>
                  {w.head}
                </Link>
              )}
            </strong>
            <Small>{w.meaning}</Small>
          </div>
        ))}
        <Signature workId={work.id} known={found.signature} />
        <FactList
          facts={[
            ['Format', file.format.toUpperCase()],
            ['Bits', `${file.channels} × ${file.bitsPerChannel}`],
            [
              'Colour',
              file.iccDescription ??
                (master.assumedSpace
                  ? `${RGB_SPACES[master.assumedSpace].name}, as you said`
                  : 'untagged'),
            ],
            ['ppi tag', file.ppiTag === null ? 'none' : format.number(file.ppiTag)],
            ['Orientation', file.orientation === 1 ? 'upright' : 'turned upright'],
            ['Size on disk', `${format.number(file.bytes / 1e6, 1)}\u202fMB`],
            [
              'SHA-256',
              <code key="h" style={{ fontSize: 11.5 }}>
                {master.sha256.slice(0, 16)}…
              </code>,
            ],
          ]}
        />
        <Fold title="Bring a newer master">
          <div style={{ display: 'grid', gap: 9, marginTop: 8 }}>
            <BringMaster workId={work.id} primary={false} naming={view.naming} />
          </div>
        </Fold>
      </Slip>
    </Bench>
  );
}
