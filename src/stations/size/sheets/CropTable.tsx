'use client';
import { useEffect, useRef } from 'react';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { CropRect } from '@/core/size';
import { CropDrawn, MARGIN } from './CropDrawn';
import { Stage, useRoom } from './cropStage';
import { STEP, SCALE, between, areaMoved, ARROWS } from './cropKeys';

type Drag =
  | { kind: 'slide'; x: number; y: number; part: CropRect }
  | { kind: 'scale'; part: CropRect }
  | { kind: 'area'; x: number; y: number };

interface CropTableProps {
  picture: string | null;
  /** Width / height of the picture. */
  proportion: number;
  /** What is taken, bleed and all; and what is seen of it when it is trimmed. */
  part: CropRect;
  seen: CropRect;
  area: CropRect | null;
  /** An area is being drawn: the pointer and the arrows mark it. */
  drawing: boolean;
  label: string;
  onSlide: (across: number, down: number, from?: CropRect) => void;
  onScale: (factor: number, from?: CropRect) => void;
  onArea: (area: CropRect) => void;
  onKeep: () => void;
  onMiddle: () => void;
}

/** The whole picture with the crop on it: slid and scaled by mouse, touch and keyboard. */
export function CropTable(props: CropTableProps) {
  const { picture, proportion, part, seen, area, drawing, label } = props;
  const { stage, room } = useRoom();
  const drag = useRef<Drag | null>(null);
  const fingers = useRef(new Map<number, { x: number; y: number }>());
  const svg = useRef<SVGSVGElement>(null);
  const width = Math.min(room.width - 2 * MARGIN, (room.height - 2 * MARGIN) * proportion);
  const height = width / proportion;
  const latest = useRef(props);
  latest.current = props;
  useEffect(() => {
    const element = svg.current;
    const turn = (event: WheelEvent) => {
      event.preventDefault();
      latest.current.onScale(event.deltaY > 0 ? SCALE : 1 / SCALE);
    };
    element?.addEventListener('wheel', turn, { passive: false });
    return () => element?.removeEventListener('wheel', turn);
  }, []);
  const at = (event: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    return {
      x: (event.clientX - box.left - MARGIN) / width,
      y: (event.clientY - box.top - MARGIN) / height,
    };
  };
  const down = (event: PointerEvent<SVGSVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const point = at(event);
    fingers.current.set(event.pointerId, point);
    const handle = (event.target as Element).hasAttribute('data-handle');
    drag.current = drawing
      ? { kind: 'area', ...point }
      : handle
        ? { kind: 'scale', part }
        : { kind: 'slide', ...point, part };
  };
  /** Two fingers: the crop grows as they part. */
  const pinch = (id: number, point: { x: number; y: number }) => {
    const [other] = [...fingers.current].filter(([key]) => key !== id).map(([, p]) => p);
    const before = fingers.current.get(id);
    if (!other || !before) return false;
    const apart = (p: { x: number; y: number }) =>
      Math.hypot((p.x - other.x) * proportion, p.y - other.y);
    props.onScale(apart(point) / Math.max(0.01, apart(before)));
    fingers.current.set(id, point);
    drag.current = null;
    return true;
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (!fingers.current.has(event.pointerId)) return;
    const point = at(event);
    if (fingers.current.size > 1 && pinch(event.pointerId, point)) return;
    const held = drag.current;
    if (!held) return;
    if (held.kind === 'slide') props.onSlide(point.x - held.x, point.y - held.y, held.part);
    else if (held.kind === 'scale') {
      const middle = {
        x: held.part.left + held.part.width / 2,
        y: held.part.top + held.part.height / 2,
      };
      const half = Math.max(
        Math.abs(point.x - middle.x) / held.part.width,
        Math.abs(point.y - middle.y) / held.part.height,
      );
      props.onScale(2 * half, held.part);
    } else {
      const left = between(0, Math.min(held.x, point.x), 1);
      const top = between(0, Math.min(held.y, point.y), 1);
      props.onArea({
        left,
        top,
        width: Math.max(0.005, between(0, Math.max(held.x, point.x), 1) - left),
        height: Math.max(0.005, between(0, Math.max(held.y, point.y), 1) - top),
      });
    }
  };
  const up = (event: PointerEvent<SVGSVGElement>) => {
    fingers.current.delete(event.pointerId);
    drag.current = null;
  };
  const press = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    const far = STEP * (event.shiftKey && !drawing ? 5 : 1) * (event.altKey ? 0.1 : 1);
    if (arrow && drawing) {
      const from = area ?? { left: 0.4, top: 0.4, width: 0.2, height: 0.2 };
      props.onArea(areaMoved(from, arrow[0] * far, arrow[1] * far, event.shiftKey));
    } else if (arrow) props.onSlide(arrow[0] * far, arrow[1] * far);
    else if (event.key === '+' || event.key === '=') props.onScale(SCALE);
    else if (event.key === '-') props.onScale(1 / SCALE);
    else if (event.key === 'Home') props.onMiddle();
    else if (event.key === 'Enter') props.onKeep();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <Stage ref={stage}>
      <svg
        ref={svg}
        width={width + 2 * MARGIN}
        height={height + 2 * MARGIN}
        tabIndex={0}
        role="application"
        aria-roledescription="crop"
        aria-label={label}
        data-testid="crop"
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
        onKeyDown={press}
      >
        <CropDrawn {...{ picture, width, height, part, seen, area, drawing }} />
      </svg>
    </Stage>
  );
}
