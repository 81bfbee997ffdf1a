'use client';
import { useEffect, useRef, useState } from 'react';
import type { RecipeSteps } from '@/core/prepare';
import { adjusted } from './adjusted';

/** A picture at an address, once it is there. */
export function usePicture(url: string | null): HTMLImageElement | null {
  const [picture, setPicture] = useState<HTMLImageElement | null>(null);
  useEffect(() => {
    if (!url) return;
    const image = new Image();
    image.onload = () => setPicture(image);
    image.src = url;
    return () => {
      image.onload = null;
      setPicture(null);
    };
  }, [url]);
  return picture;
}

interface CellPictureProps {
  picture: HTMLImageElement;
  /** Left, top, width and height of what is seen of it, 0..1. */
  part: readonly number[];
  recipe: RecipeSteps;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A cell nearly as it will come out: out of the preview, so that tone and colour alone are seen. */
export function CellPicture(props: CellPictureProps) {
  const { picture, part, recipe, x, y, width, height } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const [left = 0, top = 0, across = 1, down = 1] = part;
  useEffect(() => {
    const paper = canvas.current?.getContext('2d', { willReadFrequently: true });
    if (!canvas.current || !paper) return;
    const dense = window.devicePixelRatio;
    canvas.current.width = Math.max(1, Math.round(width * dense));
    canvas.current.height = Math.max(1, Math.round(height * dense));
    const { width: w, height: h } = canvas.current;
    const { naturalWidth: pw, naturalHeight: ph } = picture;
    paper.imageSmoothingQuality = 'high';
    paper.drawImage(picture, left * pw, top * ph, across * pw, down * ph, 0, 0, w, h);
    const image = paper.getImageData(0, 0, w, h);
    adjusted(image, recipe);
    paper.putImageData(image, 0, 0);
  }, [picture, left, top, across, down, recipe, width, height]);
  return (
    <foreignObject x={x} y={y} width={width} height={height}>
      <canvas ref={canvas} style={{ display: 'block', width, height }} />
    </foreignObject>
  );
}
