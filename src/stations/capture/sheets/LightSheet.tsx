'use client';
import { useRouter } from 'next/navigation';
import { Button, useAction } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Upload } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { FactList, Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { acceptFlatField, dropFlatField } from '../actions';
import { FalloffMap } from '../FalloffMap';
import { CORNERS, boardRuleWords, evennessWords } from '../words';
import type { SheetProps } from './sheetProps';

const ACCEPT = ['image/tiff', 'image/jpeg', 'image/png'];

/** Evenness of the light, from a plain board photographed in it. */
export function LightSheet({ view, master, found, head }: SheetProps) {
  const format = useFormat();
  const router = useRouter();
  const { evenness, board } = found;
  const rule = board && evenness && boardRuleWords(board, evenness.falloff, format);
  const { goodStops, poorStops } = view.rules;
  const workId = String(view.work.id);
  const accept = useAction(acceptFlatField, 'Light evened out; the master stays as it is.');
  const drop = useAction(dropFlatField, 'Taken back.');
  const field = master.derivation?.flatField ?? null;
  const job = view.jobs.read;
  const upload = (
    <Upload
      url={`/api/boards?work=${workId}`}
      accept={ACCEPT}
      invitation="Drop the photograph of a plain board here, taken in the same light and framing"
      primary={!evenness}
      onDone={() => router.refresh()}
    />
  );
  return (
    <Bench>
      <Surface>
        {head}
        {evenness ? (
          <FalloffMap evenness={evenness} size={board ?? evenness} good={goodStops} />
        ) : (
          <Empty title="No board shot yet">
            <p>
              Photograph a plain matte board where the work hung: same lights, same camera,
              same framing. Its falloff shows how even the light on the work was.
            </p>
          </Empty>
        )}
      </Surface>
      <Slip
        label="Light"
        actions={
          field ? (
            <Button $plain onPress={() => drop.run({ workId })} isDisabled={drop.sending}>
              Take the evening out back
            </Button>
          ) : evenness && evenness.verdict !== 'good' ? (
            <Button onPress={() => accept.run({ workId })} isDisabled={accept.sending}>
              Even out by this board
            </Button>
          ) : undefined
        }
      >
        <SlipTitle>Light</SlipTitle>
        {board && (
          <SlipSub>
            {board.name}, {format.day(board.at)}
          </SlipSub>
        )}
        {evenness ? (
          <>
            <Figures
              figures={[
                {
                  value: format.number(evenness.falloff, 2),
                  unit: 'stops',
                  label: 'brightest to darkest',
                  tone: evenness.verdict === 'good' ? undefined : 'ochre',
                },
                {
                  value: format.number(evenness.worst.stops, 2),
                  unit: 'stops',
                  label: CORNERS[evenness.worst.corner],
                },
              ]}
            />
            <Sentence $tone={evenness.verdict === 'good' ? 'plain' : 'caution'}>
              {field
                ? 'Evened out by the board, in linear light: print files are made from that.'
                : evennessWords(evenness, format)}
            </Sentence>
            {rule && <Small>{rule}</Small>}
            {job && job.state !== 'done' && <JobLine job={job} what="Evening out" />}
            <Problem>{accept.problem ?? drop.problem}</Problem>
            <FactList
              facts={(Object.keys(CORNERS) as (keyof typeof CORNERS)[]).map((c) => [
                CORNERS[c],
                `${format.number(evenness.corners[c], 2)}\u202fstops`,
              ])}
            />
          </>
        ) : (
          <Sentence>
            Scans need none: a flatbed carries its light along. For photographs, take one in
            every session.
          </Sentence>
        )}
        {upload}
        <Small>
          Rule of thumb: within {format.number(goodStops, 2)} stops is good; over{' '}
          {format.number(poorStops, 2)} move the lights, or divide by the board. Both can be
          changed under Bench settings.
        </Small>
      </Slip>
    </Bench>
  );
}
