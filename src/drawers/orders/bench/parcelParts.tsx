'use client';
import type { Part } from '@/core/pack';
import { PrintOnSheet } from '@/shell/drawing';
import type { OrderBenchView, ParcelView } from './view';
import type { Layer } from './parcelLayers';

export const WIDTH = 770;
export const BOX = 196;
export const TOP = 34;
export const LINE = 17;

/** The name of a part and its figures, at the end of its leader. */
export const Words = ({ layer, x, y }: { layer: Layer; x: number; y: number }) => (
  <text x={x} y={y} fontSize={13} fill="var(--ink)" fontFamily="Newsreader">
    {layer.name}
    {layer.line?.label && ` ${layer.line.label}`}
    <tspan dx={10} fontFamily="Commissioner" fontSize={11.5} fill="var(--soft)">
      {layer.note}
    </tspan>
  </text>
);

export const Sheet = ({
  layer,
  preview,
  scale,
  x,
  y,
}: {
  layer: Layer;
  preview: string | null;
  scale: number;
  x: number;
  y: number;
}) =>
  layer.line?.fit ? (
    <PrintOnSheet fit={layer.line.fit} picture={preview} scale={scale} x={x} y={y} />
  ) : (
    <rect
      x={x}
      y={y}
      width={layer.width * scale}
      height={layer.height * scale}
      fill={layer.fill}
      stroke={layer.stroke}
    />
  );

export interface Props {
  parts: readonly Part[];
  lines: ParcelView['lines'];
  previews: OrderBenchView['previews'];
}

export const previewOf = (layer: Layer, previews: Props['previews']): string | null =>
  (layer.line?.workId != null && previews[layer.line.workId]) || null;
