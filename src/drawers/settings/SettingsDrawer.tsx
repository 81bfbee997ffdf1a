'use client';
import Link from 'next/link';
import styled from 'styled-components';
import type { BenchSettings } from '@/data';
import { Button, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Field } from '@/shell/fields';
import { DrawerHead } from '@/shell/frame';
import { Problem } from '@/shell/said';
import { Slip } from '@/shell/slip';
import { Small, TableHead } from '@/shell/words';
import { saveBench } from './actions';
import { benchForm } from './benchForm';

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 22px;
  > div {
    display: grid;
    gap: 9px;
    align-content: start;
  }
`;

/** Bench settings: the studio's name, money, language, and the rules of thumb in force. */
export function SettingsDrawer({
  settings,
  home,
}: {
  settings: BenchSettings;
  home: string;
}) {
  const stored = benchForm(settings);
  const { form, submit, sending, problem } = useActionForm(saveBench, stored, {
    fixed: { seen: JSON.stringify(stored) },
    done: 'Bench settings kept.',
  });
  const field = { form };
  return (
    <>
      <DrawerHead
        title="Bench settings"
        sum="What holds for every work, until it is changed here"
      />
      <Bench>
        <Surface>
          <Columns>
            <div>
              <TableHead>The studio</TableHead>
              <Field
                {...field}
                name="studio"
                label="Studio, as on labels and certificates"
                words
              />
              <Field
                {...field}
                name="currency"
                label="Currency"
                hint="ISO 4217 code, for example EUR"
              />
              <Field
                {...field}
                name="locale"
                label="Language of figures and dates"
                hint="for example en-GB, de-DE, fr-FR"
              />
              <Field
                {...field}
                name="handlingDays"
                label="Orders leave within"
                unit="working days"
              />
              <Field
                {...field}
                name="backupAfterDays"
                label="Remind of a backup after"
                unit="days"
              />
              <TableHead>Rules of thumb: packing</TableHead>
              <Field
                {...field}
                name="scaleTolerance"
                label="Scales may differ by"
                unit="g"
              />
              <TableHead>Rules of thumb: sheet and wall</TableHead>
              <Field
                {...field}
                name="printerMarginMm"
                label="Printer leaves blank"
                unit="mm"
              />
              <Field {...field} name="personMm" label="Person beside it" unit="mm" />
              <Field {...field} name="sofaMm" label="Sofa under it" unit="mm" />
            </div>
            <div>
              <TableHead>Rules of thumb: size</TableHead>
              <Field
                {...field}
                name="standingFactor"
                label="Standing distance"
                unit="× diagonal"
                hint="1 immersive, 1.5 usual, 2 formal"
              />
              <Field
                {...field}
                name="handDistanceMm"
                label="Distance in the hand"
                unit="mm"
              />
              <Field
                {...field}
                name="stepUpShare"
                label="People step up to"
                unit="% of it"
              />
              <Field
                {...field}
                name="shortBeyond"
                label="Falls short beyond"
                unit="× of it"
              />
              <Field {...field} name="printPpi" label="Printer is fed at" unit="ppi" />
              <Field {...field} name="refusePpi" label="Labs refuse below" unit="ppi" />
              <Field {...field} name="askSmallPpi" label="Labs ask, small" unit="ppi" />
              <Field {...field} name="askLargePpi" label="Labs ask, large" unit="ppi" />
              <Field {...field} name="smallUpToMm" label="Small up to" unit="mm" />
              <Field
                {...field}
                name="routePpi"
                label="Your route asks"
                unit="ppi"
                hint="0: what labs ask by size"
              />
              <Field
                {...field}
                name="resamplerHolds"
                label="A resampler holds up to"
                unit="×"
              />
              <Field {...field} name="proofFirst" label="Proof first up to" unit="×" />
              <Field {...field} name="signingRoomMm" label="Room to sign" unit="mm" />
            </div>
            <div>
              <TableHead>Rules of thumb: capture</TableHead>
              <Field {...field} name="tileOverlapMm" label="Tiles overlap by" unit="mm" />
              <Field {...field} name="frameOverlap" label="Frames overlap by" unit="%" />
              <Field {...field} name="framingMargin" label="Room around it" unit="%" />
              <Field {...field} name="mostPieces" label="Pieces at most" />
              <Field {...field} name="goodStops" label="Even within" unit="stops" />
              <Field {...field} name="poorStops" label="Poor beyond" unit="stops" />
              <Field {...field} name="lightAngle" label="Angle of the lights" unit="°" />
              <Field {...field} name="bleedMm" label="Bleed of a canvas" unit="mm" />
            </div>
          </Columns>
        </Surface>
        <Slip
          label="Bench settings"
          actions={
            <Button onPress={submit} isDisabled={sending}>
              Keep these settings
            </Button>
          }
        >
          <Small>
            Rules of thumb are common practice, not law. Every verdict names the rule it
            rests on, and follows when you change it here.
          </Small>
          <Small>
            Units and the grey of the table are switched at the foot of the chest, or with
            the keys u and g.
          </Small>
          <Small>
            Your data lies in {home}; see <Link href="/safekeeping">its backups</Link>.
          </Small>
          <Problem>{problem}</Problem>
        </Slip>
      </Bench>
    </>
  );
}
