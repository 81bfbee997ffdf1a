'use client';
import styled from 'styled-components';
import { RGB_SPACES } from '@/core/colour';
import { Choose, Slide, Tick } from '@/shell/fields';
import { WIDE_SCREEN } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { ProofView } from '../view';
import type { PaperDesk } from './paperDesk';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  font-size: 13px;
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
    <Row role="group" aria-label="How it is shown" style={{ paddingTop: 6 }}>
      <Tick checked={desk.paperWhite} onChange={(v) => set({ paperWhite: v })}>
        paper white
      </Tick>
      <Tick checked={desk.blackInk} onChange={(v) => set({ blackInk: v })}>
        black of the ink
      </Tick>
      <Tick checked={desk.beside} onChange={(v) => set({ beside: v })}>
        side by side
      </Tick>
      <Row style={{ flexWrap: 'nowrap', gap: 8, flex: '1 0 100%', whiteSpace: 'nowrap' }}>
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
      </Row>
      <Row style={{ flexWrap: 'nowrap', gap: 8 }}>
        <span>on a screen of</span>
        <Choose
          label="Screen"
          value={desk.screen}
          options={[
            ['srgb', RGB_SPACES.srgb.name],
            ...(wide ? [[WIDE_SCREEN, RGB_SPACES[WIDE_SCREEN].name] as const] : []),
            ...screens.map((s) => [`icc:${s.sha256}`, s.name] as const),
          ]}
          onChange={(screen) => set({ screen })}
        />
      </Row>
    </Row>
  );
}
