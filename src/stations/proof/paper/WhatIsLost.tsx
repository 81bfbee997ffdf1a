'use client';
import type { Tone } from '@/core/colour';
import type { WeighedIntent } from '@/core/proof';
import type { IntentFigures } from '@/engine';
import { useFormat } from '@/shell/figures';
import { SectionLabel, Small } from '@/shell/words';
import { LossRose } from './LossRose';
import { BrokenGradients, MergedPairs } from './LostColours';

/** What a picture loses by an intent: by tone and hue, colours that become one, gradients that break. */
export function WhatIsLost({
  found: { cost, mergedPairs, mergedShare, examples, gradients },
  intent,
  onLook,
}: {
  found: IntentFigures;
  intent: WeighedIntent;
  onLook: (at: { x: number; y: number }) => void;
}) {
  const format = useFormat();
  const lost = (tone: Tone) => format.number(cost.byTone[tone].mean, 1);
  return (
    <>
      <section>
        <SectionLabel>What is lost in the mean by {intent}, ΔE00</SectionLabel>
        <Small>
          shadows (black) {lost('shadows')}, midtones (grey) {lost('midtones')}, lights
          (white) {lost('highlights')}
        </Small>
        <div style={{ width: 330, margin: '0 auto' }}>
          <LossRose cost={cost} />
        </div>
      </section>
      <MergedPairs
        pairs={mergedPairs}
        share={mergedShare}
        examples={examples}
        onLook={onLook}
      />
      <BrokenGradients gradients={gradients} onLook={onLook} />
    </>
  );
}
