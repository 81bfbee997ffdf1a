'use client';
import { Plate } from '@/shell/drawing';
import { useFormat } from '@/shell/figures';
import type { Scene } from '@/core/size';
import { PERSON, SOFA } from '../figures';

const WIDTH = 294;
const HEIGHT = 150;

/** The wall to scale, all of it: prints, sofa, person. */
export function WallSketch({
  scene,
  picture,
  picked,
}: {
  scene: Scene;
  picture: string | null;
  picked: string;
}) {
  const format = useFormat();
  const { left, right, top, bottom } = scene.bounds;
  const scale = Math.min(WIDTH / (right - left), HEIGHT / (bottom - top));
  const x = (n: number) => (n - left) * scale + (WIDTH - (right - left) * scale) / 2;
  const y = (n: number) => (n - top) * scale;
  const said = scene.hung
    .map((h) => `${h.label}, ${format.length(h.fit.sheet.width)} wide`)
    .join('; ');
  return (
    <Plate
      name="Wall"
      width={WIDTH}
      height={HEIGHT}
      said={`The wall to scale: ${said}; a person of ${format.distance(scene.person.height)} and a sofa of ${format.distance(scene.sofa.width)} beside them`}
    >
      <rect width={WIDTH} height={HEIGHT} fill="#d2d2d2" />
      <rect y={y(scene.floor)} width={WIDTH} height={HEIGHT} fill="#b4b4b4" />
      <path
        d={SOFA}
        transform={`translate(${x(scene.sofa.x)} ${y(scene.floor)}) scale(${scene.sofa.width * scale})`}
        fill="#7c7c7c"
      />
      <path
        d={PERSON}
        transform={`translate(${x(scene.person.x)} ${y(scene.floor)}) scale(${scene.person.height * scale})`}
        fill="#565656"
      />
      {scene.hung.map((h) => {
        const { sheet, image, crop } = h.fit;
        return (
          <g key={h.key}>
            <rect
              x={x(h.x)}
              y={y(h.y)}
              width={sheet.width * scale}
              height={sheet.height * scale}
              fill="#fdfdfc"
              stroke={h.key === picked ? 'var(--blue)' : '#777'}
              strokeWidth={h.key === picked ? 2 : 0.6}
            />
            {picture && (
              <svg
                x={x(h.x + h.fit.left)}
                y={y(h.y + h.fit.above)}
                width={image.width * scale}
                height={image.height * scale}
                viewBox={`${crop.left} ${crop.top} ${crop.width} ${crop.height}`}
                preserveAspectRatio="none"
              >
                <image href={picture} width={1} height={1} preserveAspectRatio="none" />
              </svg>
            )}
          </g>
        );
      })}
    </Plate>
  );
}
