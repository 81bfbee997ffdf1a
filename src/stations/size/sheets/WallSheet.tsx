'use client';
import { useCallback, useMemo, useState } from 'react';
import { angularScale, stepFrom, subtends } from '@/core/size';
import { mm } from '@/core/units';
import type { Millimetres } from '@/core/units';
import { isFigure } from '@/core/facts';
import { Button, useKept, useSingleKeys } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { LengthLine, Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Empty } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { lookSource } from '../lookSource';
import { useScreen } from '../screen';
import type { SheetProps } from '../useSizing';
import { hangScene } from '@/core/size';
import type { Hung } from '@/core/size';
import { AngularView } from './AngularView';
import { Calibrate } from './Calibrate';
import { WallSketch } from './WallSketch';
import { eyeToScreen, lookedFrom } from '../standingForm';
import { MOST_BESIDE, useBeside, fromHere } from './besides';

const WALL_KEYS = [{ key: '+ −', does: 'step closer to the wall, step back' }];

const isDistance = (value: unknown): value is Millimetres => isFigure(value) && value > 0;

/** On the wall: prints at the angle they will be seen at, out of the master's own pixels. */
export function WallSheet({ view, master, sizing, head }: SheetProps) {
  const { here, steps, rules } = sizing;
  const format = useFormat();
  const desk = useScreen();
  const [calibrating, setCalibrating] = useState(false);
  const stands = here?.judgement.figures.standing ?? mm(2000);
  const [chosen, setDistance] = useKept('glassine.distance', isDistance);
  const distance = chosen ?? stands;
  const { beside, toggle, hung } = useBeside(steps, here);
  const scene = useMemo(
    () =>
      hangScene(
        hung.map(({ key, label, fit }) => ({ key, label, fit })),
        rules,
      ),
    [hung, rules],
  );
  const step = useCallback(
    (away: boolean) => setDistance(stepFrom(distance, away)),
    [distance, setDistance],
  );
  useSingleKeys(WALL_KEYS, (key) => {
    const closer = key === '+' || key === '=';
    if (closer || key === '-') step(!closer);
    return closer || key === '-';
  });
  const scale = angularScale(desk.screen.pixelsPerMm, mm(desk.screen.eyeMm), distance);
  const { ratio } = desk;
  const look = useCallback(
    (print: Hung) => lookSource(master.id, print.fit, rules.printPpi, scale * ratio),
    [master.id, rules.printPpi, scale, ratio],
  );
  const centre = scene.hung.find((h) => h.key === here?.key);
  if (!here || !centre || !view.tiles)
    return (
      <Bench>
        <Surface>
          {head}
          <Empty title="No size is picked">
            <p>Choose one on the ladder to see how it looks on the wall.</p>
          </Empty>
        </Surface>
      </Bench>
    );
  const width = here.fit.sheet.width;
  return (
    <Bench>
      <Surface>
        {head}
        {calibrating ? (
          <Calibrate desk={desk} onDone={() => setCalibrating(false)} />
        ) : (
          <>
            <AngularView
              scene={scene}
              tiles={view.tiles}
              scale={scale}
              look={look}
              centre={centre}
              label={`${hung.map((s) => s.label).join(', ')} as seen from ${format.distance(distance)}, from this chair at ${format.distance(desk.screen.eyeMm)}`}
            />
            <Small>
              Drag or use the arrow keys to look around; + steps closer, − steps back.
              Before output sharpening.
            </Small>
          </>
        )}
      </Surface>
      <Slip
        label="On the wall"
        actions={
          <>
            <Button onPress={() => step(false)}>Step closer</Button>
            <Button $plain onPress={() => step(true)}>
              Step back
            </Button>
            <Button $plain onPress={() => setCalibrating(!calibrating)}>
              {desk.screen.calibrated ? 'Calibrate anew' : 'Calibrate'}
            </Button>
          </>
        }
      >
        <SlipTitle>
          {here.label}, from {format.distance(distance)}
        </SlipTitle>
        <SlipSub>
          people stand at {format.distance(stands)}; {format.size(here.fit.sheet)}
        </SlipSub>
        <Figures
          figures={[
            { ...splitUnit(format.distance(distance)), label: 'looked at from' },
            {
              value: format.number(subtends(width, distance), 1),
              unit: '°',
              label: 'it takes of your view',
            },
            {
              ...splitUnit(format.length((width * scale) / desk.screen.pixelsPerMm)),
              label: 'wide on this screen',
            },
          ]}
        />
        <Sentence $tone={here.judgement.figures.crispFrom > distance ? 'caution' : 'plain'}>
          {fromHere(here, distance, format.distance)}
        </Sentence>
        <WallSketch scene={scene} picture={master.preview} picked={here.key} />
        <div style={{ display: 'flex', gap: 6, flexWrap: 'wrap' }}>
          <Button $small $plain onPress={() => setDistance(mm(rules.handDistanceMm))}>
            In the hand
          </Button>
          <Button $small $plain onPress={() => setDistance(null)}>
            Where people stand
          </Button>
          <Button $small $plain onPress={() => setDistance(mm(2500))}>
            From the sofa
          </Button>
        </div>
        <LengthLine
          field={lookedFrom}
          value={distance}
          onChange={(length) => length !== null && setDistance(length)}
        />
        <LengthLine
          field={eyeToScreen}
          value={mm(desk.screen.eyeMm)}
          onChange={(eyeMm) => eyeMm !== null && desk.keep({ eyeMm })}
        />
        {!desk.screen.calibrated && (
          <Small>
            This screen is taken to have 96 ppi. Calibrate it once with a bank card or a
            ruler, and angles are true.
          </Small>
        )}
        {desk.zoomed && (
          <Sentence $tone="caution">
            The browser enlarges otherwise than when this screen was calibrated: set it
            back, or calibrate anew.
          </Sentence>
        )}
        <SectionLabel>Beside it, {MOST_BESIDE - 1} at most</SectionLabel>
        <div style={{ display: 'flex', gap: '4px 12px', flexWrap: 'wrap', fontSize: 13 }}>
          {steps
            .filter((s) => s.key !== here.key)
            .map((s) => (
              <Tick
                key={s.key}
                checked={beside.has(s.key)}
                isDisabled={!beside.has(s.key) && beside.size >= MOST_BESIDE - 1}
                onChange={() => toggle(s.key)}
              >
                {s.label}
              </Tick>
            ))}
        </div>
      </Slip>
    </Bench>
  );
}
