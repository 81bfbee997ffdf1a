'use client';
import { useRef } from 'react';
import styled from 'styled-components';
import type { Corners, Place } from '@/core/capture/geometry';
import { Plate } from '@/shell/drawing';
import type { PhotographView } from './view';

const WIDTH = 372;
const MOST = 300;
/** Pixels of the photograph that an arrow key moves a corner by; with Shift ten times as many. */
const STEP = 1;
const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;

const Handle = styled.circle`
  cursor: move;
  fill: rgba(255, 255, 255, 0.75);
  stroke: #161616;
  stroke-width: 1.5;
  touch-action: none;
  &:focus-visible {
    outline: none;
    stroke: #1c4a78;
    stroke-width: 4;
  }
`;

interface PhotographPlateProps {
  photograph: PhotographView;
  corners: Corners;
  /** Null: nothing can be moved. */
  onCorners: (corners: Corners) => void;
  card: Place | null;
  onCard: (card: Place) => void;
  round: number;
}

const points = (corners: readonly Place[], by: number) =>
  corners.map((p) => `${p.x * by},${p.y * by}`).join(' ');

/** The photograph, with the corners of the print in it: dragged, or moved by the arrow keys. */
export function PhotographPlate({
  photograph,
  corners,
  onCorners,
  card,
  onCard,
  round,
}: PhotographPlateProps) {
  const drawn = useRef<SVGGElement>(null);
  const { width, height, placing } = photograph;
  const by = Math.min(WIDTH / width, MOST / height);
  const within = ({ x, y }: Place): Place => ({
    x: Math.min(width, Math.max(0, x)),
    y: Math.min(height, Math.max(0, y)),
  });
  const moved = (at: number, to: Place) =>
    onCorners(corners.map((p, i) => (i === at ? within(to) : p)) as Corners);
  const handle = (name: string, at: Place, to: (place: Place) => void) => ({
    cx: at.x * by,
    cy: at.y * by,
    r: 7,
    tabIndex: 0,
    role: 'slider',
    'aria-label': `${name}, pixels from the left and from the top`,
    'aria-valuenow': Math.round(at.x),
    'aria-valuetext': `${Math.round(at.x)}, ${Math.round(at.y)}`,
    onPointerDown: (e: React.PointerEvent<SVGCircleElement>) =>
      e.currentTarget.setPointerCapture(e.pointerId),
    onPointerMove: (e: React.PointerEvent<SVGCircleElement>) => {
      const svg = drawn.current?.ownerSVGElement;
      if (e.buttons === 0 || !svg) return;
      const box = svg.getBoundingClientRect();
      const scale = (width * by) / box.width / by;
      to(within({ x: (e.clientX - box.left) * scale, y: (e.clientY - box.top) * scale }));
    },
    onKeyDown: (e: React.KeyboardEvent) => {
      const far = (e.shiftKey ? 10 : 1) * STEP;
      const [dx, dy] =
        {
          ArrowLeft: [-far, 0],
          ArrowRight: [far, 0],
          ArrowUp: [0, -far],
          ArrowDown: [0, far],
        }[e.key] ?? [];
      if (dx === undefined || dy === undefined) return;
      e.preventDefault();
      to(within({ x: at.x + dx, y: at.y + dy }));
    },
  });
  return (
    <Plate
      name="Photograph"
      fixed
      role="group"
      width={width * by}
      height={height * by}
      said={`Photograph of round ${round}, with the four corners of the print${placing.original ? ', and the original beside it' : ''}`}
    >
      <g ref={drawn}>
        <image
          href={`/api/proof-photographs/${photograph.id}`}
          width={width * by}
          height={height * by}
          preserveAspectRatio="none"
        />
        {placing.original && (
          <polygon
            points={points(placing.original, by)}
            fill="none"
            stroke="#fff"
            strokeWidth={2}
            strokeDasharray="6 4"
          />
        )}
        <polygon
          points={points(corners, by)}
          fill="none"
          stroke="#161616"
          strokeWidth={3.5}
        />
        <polygon points={points(corners, by)} fill="none" stroke="#fff" strokeWidth={1.5} />
        {corners.map((p, i) => (
          <Handle
            key={NAMES[i]}
            {...handle(`Corner ${NAMES[i]}`, p, (to) => moved(i, to))}
          />
        ))}
        {card && <Handle {...handle('Grey card', card, onCard)} strokeDasharray="3 2" />}
      </g>
    </Plate>
  );
}
