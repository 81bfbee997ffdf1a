'use client';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { mediumCautions, planCapture } from '@/core/capture/plan';
import { size } from '@/core/units';
import { Button, ButtonLink, useActionForm, useLiveRead } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { FormFields } from '@/shell/fields';
import { useBench, useFormat } from '@/shell/figures';
import { Empty, Problem } from '@/shell/said';
import { Figures, Slip, SlipTitle, splitUnit } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { keepPrintWish } from '../actions';
import { EditDevice, NewDevice } from '../DeviceForms';
import { HireOrOwn } from '../HireOrOwn';
import { LightingSketch } from '../LightingSketch';
import { PiecesDrawing } from '../PiecesDrawing';
import { MEDIUM_WORDS, planWords } from '../planWords';
import type { CaptureView } from '../view';
import { printWish } from '../wishForm';
import { Fold } from '@/shell/fields';
import { DevicesTable } from './DevicesTable';

const megabytes = (bytes: number) => bytes / 1e6;

/** The plan: what the capture must hold for the largest print wanted, and which device gives it. */
export function PlanSheet({ view, head }: { view: CaptureView; head: ReactNode }) {
  const { work, plan, rules, master } = view;
  const format = useFormat();
  const bench = useBench();
  const { wish, devices } = plan;
  const [picked, setPicked] = useState<number | null>(wish?.deviceId ?? null);
  const chosen = devices.find((d) => d.id === picked) ?? devices[0] ?? null;
  const { form, submit, sending, problem } = useActionForm(
    keepPrintWish,
    {
      ...printWish.write(
        {
          width: wish?.width ?? work.width,
          height: wish?.height ?? work.height,
          ppi: wish?.ppi ?? rules.printPpi,
        },
        bench,
      ),
    },
    {
      fixed: { workId: String(work.id), deviceId: chosen ? String(chosen.id) : '' },
      done: 'Plan kept.',
    },
  );
  const read = useLiveRead(form, printWish);
  const print = read && size(read.width, read.height);
  const inForce = { ...rules, printPpi: read?.ppi ?? rules.printPpi };
  const original = size(work.width, work.height);
  const plans = print
    ? devices.map((d) => ({ ...d, plan: planCapture(original, print, d.device, inForce) }))
    : [];
  const found = plans.find((p) => p.id === chosen?.id) ?? null;
  const media = mediumCautions(work.medium);
  const pieces = found?.plan.flatbed?.pieces ?? found?.plan.camera?.pieces ?? null;
  const shown = found && found.plan.device.kind !== 'digital';
  const pixels = found?.plan.canvas ?? found?.plan.needs;
  const biggest = found ? splitUnit(format.size(found.plan.largest)) : null;
  return (
    <Bench>
      <Surface>
        {head}
        {!found && (
          <Empty title="Say what is wanted">
            <p>
              The largest print that will ever be wanted decides how the work is captured.
              Give its width and height, and have a device on the list.
            </p>
          </Empty>
        )}
        {found && (
          <div style={{ display: 'flex', gap: 16, minHeight: 0 }}>
            <div style={{ flex: 1, minWidth: 0 }}>
              <PiecesDrawing
                original={original}
                pieces={shown ? pieces : null}
                picture={master?.preview ?? null}
                what={found.device.name}
              />
            </div>
            {found.plan.camera && (
              <div style={{ flex: 1, minWidth: 0 }}>
                <LightingSketch
                  work={original}
                  distance={found.plan.camera.distance}
                  rules={rules}
                />
              </div>
            )}
          </div>
        )}
        {media.map((m) => (
          <Small key={m} style={{ color: 'var(--ochre)' }}>
            ▲ {MEDIUM_WORDS[m]}
          </Small>
        ))}
        {found?.plan.camera && (
          <Small style={{ color: 'var(--soft)' }}>
            Camera parallel to the work, moved between frames and not zoomed, frames
            overlapping by {format.percent(rules.frameOverlap)}. Hang the work lying. Lamps
            get hot and stands fall over: weigh them down, and keep their cables out of the
            way.
          </Small>
        )}
      </Surface>
      <Slip
        label="Plan the capture"
        actions={
          <>
            <Button onPress={submit} isDisabled={sending} $plain={master !== null}>
              Keep this plan
            </Button>
            {!master && (
              <ButtonLink $plain href={`/works/${work.id}/capture?sheet=master`}>
                Bring the master
              </ButtonLink>
            )}
          </>
        }
      >
        <SlipTitle>Largest print wanted</SlipTitle>
        <FormFields form={form} of={printWish} />
        <Problem>{problem}</Problem>
        {found && pixels && (
          <>
            <Figures
              figures={[
                {
                  value: format.number(Math.ceil(found.plan.needs.ppi)),
                  unit: 'ppi',
                  label: 'over the work',
                },
                {
                  value: format.number((pixels.width * pixels.height) / 1e6, 1),
                  unit: 'MP',
                  label: `${pixels.width} × ${pixels.height} px`,
                },
              ]}
            />
            <Sentence $tone={found.plan.verdict === 'fallsShort' ? 'stop' : 'plain'}>
              {planWords(found.plan, format)}
            </Sentence>
            <Small>
              {found.plan.canvas
                ? `A layer takes ${format.number(megabytes(found.plan.canvas.layerBytes.eight))}\u202fMB at 8 bits, ${format.number(megabytes(found.plan.canvas.layerBytes.sixteen))}\u202fMB at 16.`
                : `${format.number(megabytes(found.plan.bytes.eight))}\u202fMB at 8 bits, ${format.number(megabytes(found.plan.bytes.sixteen))}\u202fMB at 16. The other way round: at most ${biggest!.value}\u202f${biggest!.unit} at ${format.number(inForce.printPpi)}\u202fppi from this device.`}
            </Small>
          </>
        )}
        <DevicesTable plans={plans} picked={chosen?.id ?? null} onPick={setPicked} />
        {chosen?.device.kind === 'flatbed' && chosen.device.measuredPpi === null && (
          <Small>
            Reckoned with what the maker says. Scan a test target and keep what it really
            resolves: it is rarely as much.
          </Small>
        )}
        {chosen && (
          <Fold title={`Change ${chosen.device.name}`}>
            <EditDevice key={chosen.id} row={chosen.row} />
          </Fold>
        )}
        <Fold title="Put a device on the list">
          <NewDevice />
        </Fold>
        <Fold title="Hire it out, or do it yourself">
          <HireOrOwn hire={plan.hire} />
        </Fold>
      </Slip>
    </Bench>
  );
}
