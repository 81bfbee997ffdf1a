'use client';
import styled from 'styled-components';
import type { Box } from '@/core/image';
import type { PrintPlan } from '@/core/prepare';

const LONG = 104;

const Map = styled.svg`
  flex: none;
  cursor: crosshair;
  touch-action: none;
  &:focus-visible {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
`;

interface PatchPlaceMapProps {
  preview: string | null;
  facts: { width: number; height: number };
  plan: PrintPlan;
  box: Box;
  /** The middle of the patch, as shares of the print's picture. */
  onMove: (centre: { x: number; y: number }) => void;
}

const hold = (v: number) => Math.min(1, Math.max(0, v));

/** The printed part of the picture, small, with the patch on it; a press or the arrow keys move it. */
export function PatchPlaceMap({ preview, facts, plan, box, onMove }: PatchPlaceMapProps) {
  const { image, source } = plan;
  const scale = LONG / Math.max(image.width, image.height);
  const [w, h] = [image.width * scale, image.height * scale];
  const centre = {
    x: (box.left + box.right) / 2 / image.width,
    y: (box.top + box.bottom) / 2 / image.height,
  };
  const to = (event: React.PointerEvent<SVGSVGElement>) => {
    const rect = event.currentTarget.getBoundingClientRect();
    onMove({
      x: hold((event.clientX - rect.left) / rect.width),
      y: hold((event.clientY - rect.top) / rect.height),
    });
  };
  const step = {
    x: (box.right - box.left) / image.width / 2,
    y: (box.bottom - box.top) / image.height / 2,
  };
  const moves: Record<string, [number, number]> = {
    ArrowLeft: [-step.x, 0],
    ArrowRight: [step.x, 0],
    ArrowUp: [0, -step.y],
    ArrowDown: [0, step.y],
  };
  return (
    <Map
      width={w}
      height={h}
      viewBox={`0 0 ${w} ${h}`}
      tabIndex={0}
      role="application"
      aria-label={`Where the patch lies: ${Math.round(centre.x * 100)} % from the left, ${Math.round(centre.y * 100)} % from above. Arrow keys move it.`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        to(e);
      }}
      onPointerMove={(e) => e.buttons === 1 && to(e)}
      onKeyDown={(e) => {
        const by = moves[e.key];
        if (!by) return;
        e.preventDefault();
        onMove({ x: hold(centre.x + by[0]), y: hold(centre.y + by[1]) });
      }}
    >
      <rect width={w} height={h} fill="#9c9c9c" />
      {preview && (
        <svg
          width={w}
          height={h}
          viewBox={`${source.left / facts.width} ${source.top / facts.height} ${source.width / facts.width} ${source.height / facts.height}`}
          preserveAspectRatio="none"
        >
          <image href={preview} width={1} height={1} preserveAspectRatio="none" />
        </svg>
      )}
      <rect
        x={box.left * scale}
        y={box.top * scale}
        width={Math.max(3, (box.right - box.left) * scale)}
        height={Math.max(3, (box.bottom - box.top) * scale)}
        fill="none"
        stroke="#fff"
        strokeWidth={3}
      />
      <rect
        x={box.left * scale}
        y={box.top * scale}
        width={Math.max(3, (box.right - box.left) * scale)}
        height={Math.max(3, (box.bottom - box.top) * scale)}
        fill="none"
        stroke="#161616"
        strokeWidth={1}
      />
    </Map>
  );
}
