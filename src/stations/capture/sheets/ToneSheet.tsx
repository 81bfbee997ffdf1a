'use client';
import { useEffect, useMemo, useState } from 'react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { coarser } from '@/core/capture/tone';
import { Bench, Surface } from '@/shell/bench';
import { Slide, Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Figures, Slip, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { endsOverlay } from '../endsOverlay';
import { Histogram } from '../Histogram';
import { LightTable } from '../LightTable';
import { channelNames } from '../words';
import type { SheetProps } from './sheetProps';

const DRAWN = 256;
const TONES = ['black', '', '', 'middle', '', '', '', 'white'];

const Slider = styled.label`
  display: grid;
  grid-template-columns: 1fr 120px;
  gap: 8px;
  align-items: center;
  font-size: 13px;
`;

/** From which value on an end of the scale is marked. */
function End(props: {
  range: [number, number];
  value: number;
  onChange: (value: number) => void;
  label: string;
  children: ReactNode;
}) {
  const [min, max] = props.range;
  return (
    <Slider>
      <span>{props.children}</span>
      <Slide
        label={props.label}
        min={min}
        max={max}
        value={props.value}
        onChange={props.onChange}
      />
    </Slider>
  );
}

/** The grid of darkest and lightest values, once it has come. */
function useExtremes(sha256: string): { grid: Uint8Array | null; problem: string | null } {
  const [grid, setGrid] = useState<Uint8Array | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    fetch(`/api/extremes/${sha256}`)
      .then(async (answer) => {
        if (!answer.ok) throw new Error(String(answer.status));
        const bytes = new Uint8Array(await answer.arrayBuffer());
        if (!gone) setGrid(bytes);
      })
      .catch(() => {
        if (!gone)
          setProblem(
            'Where it is clipped cannot be shown: it did not come. Open the sheet again.',
          );
      });
    return () => {
      gone = true;
    };
  }, [sha256]);
  return { grid, problem };
}

/** Histograms, ends of the scale and where they are reached, noise by tone. */
export function ToneSheet({ view, master, found, head }: SheetProps) {
  const format = useFormat();
  const { tone, noise } = found.reading!;
  const [light, setLight] = useState<'encoded' | 'linear'>('encoded');
  const [low, setLow] = useState(0);
  const [high, setHigh] = useState(255);
  const { grid, problem } = useExtremes(master.sha256);
  const channels = tone.bins.length;
  const overlay = useMemo(
    () =>
      grid
        ? endsOverlay(grid, { ...found.grids, channels, low, high }, found.picture)
        : undefined,
    [grid, found.grids, found.picture, channels, low, high],
  );
  const bins =
    light === 'linear' && view.linear
      ? view.linear
      : tone.bins.map((b) => coarser(b, DRAWN));
  const white = Math.max(...tone.white);
  const black = Math.min(...tone.black);
  const worst = Math.max(...tone.clipped.high, ...tone.clipped.low);
  const clipped = worst === 0 ? 'Nothing is clipped' : 'Next to nothing is clipped';
  return (
    <Bench>
      <Surface>
        {head}
        <LightTable
          picture={found.picture}
          overlay={overlay}
          label={`Tones at the ends of the scale, marked on the master of ${view.work.title}`}
        />
        <Problem>{problem}</Problem>
        <Histogram bins={bins} light={light} white={white} black={black} />
      </Surface>
      <Slip label="Tone">
        <SlipTitle>Tone</SlipTitle>
        <Figures
          figures={[
            { value: format.number(black * 100, 1), unit: '%', label: 'darkest tone' },
            { value: format.number(white * 100, 1), unit: '%', label: 'lightest tone' },
            {
              value: noise.overall === null ? '—' : format.number(noise.overall, 2),
              unit: '',
              label: 'noise of 255',
            },
          ]}
        />
        <Sentence $tone={worst > 0.002 ? 'caution' : 'plain'}>
          {worst > 0.002
            ? `Up to ${format.percent(worst, 2)} of a channel lies at an end of the scale.`
            : white < 0.97
              ? `${clipped}; the lightest paper is at ${format.percent(white)}.`
              : `${clipped}, and the range is used.`}
        </Sentence>
        <Strips
          label="Histogram over"
          value={light}
          options={[
            ['encoded', 'Encoded light'],
            ['linear', 'Linear light'],
          ]}
          onChange={setLight}
        />
        <SectionLabel>Clipped, share of all pixels</SectionLabel>
        <SlipTable aria-label="Clipped, share of all pixels">
          <thead>
            <tr>
              <th>channel</th>
              <th>at the bottom</th>
              <th>at the top</th>
            </tr>
          </thead>
          <tbody>
            {channelNames(channels).map((name, c) => (
              <tr key={name}>
                <td>{name}</td>
                <td>{format.percent(tone.clipped.low[c] ?? 0, 3)}</td>
                <td>{format.percent(tone.clipped.high[c] ?? 0, 3)}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
        <SectionLabel>Where it is marked on the picture</SectionLabel>
        <End label="Marked as dark" range={[0, 80]} value={low} onChange={setLow}>
          darker than {low} of 255, blue
        </End>
        <End label="Marked as light" range={[175, 255]} value={high} onChange={setHigh}>
          lighter than {high} of 255, red
        </End>
        <SectionLabel>Noise by tone, standard deviation of 255</SectionLabel>
        <SlipTable aria-label="Noise by tone">
          <tbody>
            {noise.bands.map((n, i) => (
              <tr key={i}>
                <td>
                  {format.percent(i / noise.bands.length)} to{' '}
                  {format.percent((i + 1) / noise.bands.length)} {TONES[i]}
                </td>
                <td>{n === null ? 'no such tone' : format.number(n, 2)}</td>
              </tr>
            ))}
          </tbody>
        </SlipTable>
        <Small>
          Noise is that of the smoothest tenth of small squares of each tone; paper tooth
          and canvas count as noise where they are everywhere.
        </Small>
      </Slip>
    </Bench>
  );
}
