'use client';
import { derivedSize } from '@/core/capture/derivation';
import type { Side } from '@/core/capture/geometry';
import { Button, useAction } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { FactList, Figures, Slip, SlipTitle } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { squaredWords } from '../words';
import { acceptCrop, dropCrop } from '../actions';
import { cropOverlay } from '../cropOverlay';
import { LightTable } from '../LightTable';
import type { SheetProps } from './sheetProps';

const SIDE_NAMES: Record<Side, string> = {
  left: 'Left edge',
  right: 'Right edge',
  top: 'Top edge',
  bottom: 'Bottom edge',
};

/** Skew, keystone and bed edges, and the crop that is proposed or in force. */
export function EdgesSheet({ view, master, found, head }: SheetProps) {
  const format = useFormat();
  const { geometry } = found.reading!;
  const { skewDegrees, keystone, edges, proposal } = geometry;
  const accepted = master.derivation?.corners ?? null;
  const workId = String(view.work.id);
  const accept = useAction(acceptCrop, 'Crop accepted; the master itself stays as it is.');
  const drop = useAction(dropCrop, 'Crop taken back.');
  const cut = proposal && derivedSize(master.file, { corners: proposal });
  const now = accepted && derivedSize(master.file, { corners: accepted });
  const tilt = Math.max(Math.abs(keystone.across ?? 0), Math.abs(keystone.down ?? 0));
  const squared = squaredWords(tilt, format);
  const turn = (degrees: number) =>
    `${format.number(Math.abs(degrees), 2)}° ${degrees > 0 ? 'clockwise' : 'counter-clockwise'}`;
  const job = view.jobs.read;
  return (
    <Bench>
      <Surface>
        {head}
        <LightTable
          picture={found.picture}
          overlay={cropOverlay(accepted, accepted ? null : proposal)}
          label={`Edges of the work on the master of ${view.work.title}`}
        />
        <Small style={{ color: 'var(--soft)' }}>
          Dashed: proposed. Drawn through: in force, with what is cut off dimmed. The file
          itself is never changed; print files are made from what lies within.
        </Small>
      </Surface>
      <Slip
        label="Edges"
        actions={
          accepted ? (
            <Button $plain onPress={() => drop.run({ workId })} isDisabled={drop.sending}>
              Take the crop back
            </Button>
          ) : proposal ? (
            <Button onPress={() => accept.run({ workId })} isDisabled={accept.sending}>
              Accept this crop
            </Button>
          ) : undefined
        }
      >
        <SlipTitle>Edges</SlipTitle>
        <Figures
          figures={[
            {
              value: skewDegrees === null ? '—' : format.number(skewDegrees, 2),
              unit: skewDegrees === null ? '' : '°',
              label: 'skew, clockwise',
            },
            {
              value:
                keystone.across === null && keystone.down === null
                  ? '—'
                  : format.number(tilt, 2),
              unit: keystone.across === null && keystone.down === null ? '' : '°',
              label: 'keystone',
            },
          ]}
        />
        <Sentence>
          {now
            ? `Cropped to ${now.width} × ${now.height} px: sizes and print files are made from that.`
            : cut
              ? `Proposed: ${cut.width} × ${cut.height} px${skewDegrees !== null && Math.abs(skewDegrees) >= 0.05 ? `, turned back by ${format.number(Math.abs(skewDegrees), 2)}°` : ''}.`
              : skewDegrees === null
                ? 'No straight edge of the work is seen against a plain bed or board, so nothing is said of skew.'
                : 'It lies straight, and nothing of the bed is left in.'}
        </Sentence>
        {squared && (now ?? cut) && <Small>{squared}</Small>}
        {job && job.state !== 'done' && (
          <JobLine job={job} what="Making the cropped copy" />
        )}
        <Problem>{accept.problem ?? drop.problem}</Problem>
        <FactList
          facts={(Object.keys(SIDE_NAMES) as Side[]).map((side) => [
            SIDE_NAMES[side],
            edges[side]
              ? `${turn(edges[side].degrees)}, seen along ${format.percent(edges[side].agreeing)}`
              : 'not seen',
          ])}
        />
        <Small>
          An edge counts where something plain lies outside a straight step of tone, over
          more than half of the side. With all four seen and the camera tilted, the crop
          also squares the picture up.
        </Small>
      </Slip>
    </Bench>
  );
}
