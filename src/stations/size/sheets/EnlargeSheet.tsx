'use client';
import { useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent } from 'react';
import { WHOLE, crispFrom } from '@/core/size';
import { ppi as asPpi, mmOf } from '@/core/units';
import { Bench, Surface } from '@/shell/bench';
import { useFormat } from '@/shell/figures';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { lookOf } from '../lookSource';
import { useScreen } from '../screen';
import type { SheetProps } from '../useSizing';
import { Overview, PANE_HEIGHT, Panes, bandOf, between } from './enlargeParts';

const FACTORS = [1, 1.5, 2, 3] as const;
const PANE = 372;
/** Room of the overview on the slip. */
const OVERVIEW = { width: 294, height: 225 };
const STEP = 0.01;

/** How it enlarges: one detail at several enlargements, with the resampling of the print file. */
export function EnlargeSheet({ master, sizing, head }: SheetProps) {
  const { rules } = sizing;
  const format = useFormat();
  const { ratio } = useScreen();
  const [spot, setSpot] = useState({ x: 0.5, y: 0.5 });
  const overview = useRef<HTMLDivElement>(null);
  const { width, height, detail } = master.facts;
  const pane = (factor: number) => {
    const print = {
      width: Math.round(width * factor),
      height: Math.round(height * factor),
    };
    const window = {
      width: Math.min(print.width, Math.round(PANE * ratio)),
      height: Math.min(print.height, Math.round(PANE_HEIGHT * ratio)),
    };
    const from = (middle: number, whole: number, part: number) =>
      Math.max(0, Math.min(whole - part, Math.round(middle * whole - part / 2)));
    const look = lookOf(master.id, WHOLE, { print, screen: print });
    return {
      src: look.url(
        from(spot.x, print.width, window.width),
        from(spot.y, print.height, window.height),
        window.width,
        window.height,
      ),
      window,
    };
  };
  const point = (event: PointerEvent) => {
    const box = overview.current!.getBoundingClientRect();
    setSpot({
      x: between((event.clientX - box.left) / box.width),
      y: between((event.clientY - box.top) / box.height),
    });
  };
  const press = (event: KeyboardEvent) => {
    const [across, down] =
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
        event.key
      ] ?? [];
    if (across === undefined || down === undefined) return;
    const far = STEP * (event.shiftKey ? 5 : 1);
    setSpot((s) => ({ x: between(s.x + across * far), y: between(s.y + down * far) }));
    event.preventDefault();
  };
  const worth = rules.printPpi;
  const mark = pane(1).window;
  return (
    <Bench>
      <Surface>
        {head}
        <Panes>
          {FACTORS.map((factor) => {
            const { src } = pane(factor);
            return (
              <figure key={factor}>
                <img
                  src={src}
                  alt={`The spot enlarged ${format.number(factor, 1)} times`}
                  style={ratio === 1 ? undefined : { objectFit: 'cover' }}
                  data-testid={`enlarged-${factor}`}
                />
                <figcaption>
                  <strong>{format.number(factor, factor % 1 === 0 ? 0 : 1)} ×</strong>
                  <span>
                    {format.size({
                      width: mmOf(width * factor, rules.printPpi),
                      height: mmOf(height * factor, rules.printPpi),
                    })}{' '}
                    at {rules.printPpi} ppi
                  </span>
                </figcaption>
              </figure>
            );
          })}
        </Panes>
      </Surface>
      <Slip label="How it enlarges">
        <SlipTitle>One detail, enlarged</SlipTitle>
        <SlipSub>one pixel of the print file to one of the screen</SlipSub>
        <Overview
          ref={overview}
          style={{
            width: Math.min(OVERVIEW.width, (OVERVIEW.height * width) / height),
            height: Math.min(OVERVIEW.height, (OVERVIEW.width * height) / width),
          }}
          tabIndex={0}
          role="application"
          aria-roledescription="place in the picture"
          aria-label={`The spot that is enlarged: ${format.percent(spot.x)} across, ${format.percent(spot.y)} down. Arrow keys move it.`}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            point(e);
          }}
          onPointerMove={(e) => e.buttons > 0 && point(e)}
          onKeyDown={press}
        >
          {master.preview && <img src={master.preview} alt="" draggable={false} />}
          <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden>
            {(
              [
                [3, '#fff'],
                [1, '#161616'],
              ] as const
            ).map(([stroke, colour]) => (
              <rect
                key={colour}
                x={spot.x * 100 - (mark.width / width) * 50}
                y={spot.y * 100 - (mark.height / height) * 50}
                width={(mark.width / width) * 100}
                height={(mark.height / height) * 100}
                fill="none"
                stroke={colour}
                strokeWidth={stroke}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </svg>
        </Overview>
        <Figures
          figures={[
            {
              ...splitUnit(format.percent(detail ?? 1)),
              label: detail === null ? 'is taken for detail' : 'of its pixels is detail',
            },
            {
              ...splitUnit(format.distance(crispFrom(asPpi(worth * (detail ?? 1))))),
              label: 'native, crisp from',
            },
          ]}
        />
        <Sentence>
          Up to {format.number(rules.resamplerHolds, 1)}
          {'\u202f×'} a good resampler holds; to {format.number(rules.proofFirst, 1)}
          {'\u202f×'} order a resolution proof before paying for the big one.
        </Sentence>
        <SectionLabel>What each would be</SectionLabel>
        <SlipTable aria-label="Enlargements">
          <thead>
            <tr>
              <th>× file</th>
              <th>crisp from</th>
              <th>rule of thumb</th>
            </tr>
          </thead>
          <tbody>
            {FACTORS.map((factor) => (
              <tr key={factor}>
                <td>{format.number(factor, 1)}</td>
                <td>
                  {format.distance(crispFrom(asPpi((worth / factor) * (detail ?? 1))))}
                </td>
                <td>{bandOf(factor / (detail ?? 1), rules)}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
        <Small>
          Resampled as the print file is (Lanczos, three lobes), before output sharpening.
        </Small>
      </Slip>
    </Bench>
  );
}
