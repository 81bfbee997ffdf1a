'use client';
import styled from 'styled-components';
import { RGB_SPACES } from '@/core/colour';
import { Choose, Slide, Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { SectionLabel } from '@/shell/words';
import type { ProofView } from '../view';
import type { PaperDesk } from './paperDesk';

const Ticks = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
`;
const Line = styled.div`
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13px;
  white-space: nowrap;
`;

/** How the proof is shown: what of the paper, what is marked, on which screen. */
export function ShownAs({
  desk,
  set,
  screens,
  wide,
}: {
  desk: PaperDesk;
  set: (over: Partial<PaperDesk>) => void;
  screens: ProofView['screens'];
  /** Whether Display P3 can be shown here. */
  wide: boolean;
}) {
  const format = useFormat();
  return (
    <>
      <SectionLabel>How it is shown</SectionLabel>
      <Ticks>
        <Tick checked={desk.paperWhite} onChange={(v) => set({ paperWhite: v })}>
          paper white
        </Tick>
        <Tick checked={desk.blackInk} onChange={(v) => set({ blackInk: v })}>
          black of the ink
        </Tick>
        <Tick checked={desk.beside} onChange={(v) => set({ beside: v })}>
          side by side
        </Tick>
      </Ticks>
      <Line>
        <Tick checked={desk.marks} onChange={(v) => set({ marks: v })}>
          marked from {format.number(desk.threshold, 1)} ΔE00
        </Tick>
        <Slide
          label="Marked from, ΔE00"
          min={0.5}
          max={10}
          step={0.5}
          digits={1}
          value={desk.threshold}
          onChange={(v) => set({ threshold: v, marks: true })}
        />
      </Line>
      <Line>
        <span>On a screen of</span>
        <Choose
          label="Screen"
          value={desk.screen}
          options={[
            ['srgb', RGB_SPACES.srgb.name],
            ...(wide ? [['display-p3', RGB_SPACES['display-p3'].name] as const] : []),
            ...screens.map((s) => [`icc:${s.sha256}`, s.name] as const),
          ]}
          onChange={(screen) => set({ screen })}
        />
      </Line>
    </>
  );
}
