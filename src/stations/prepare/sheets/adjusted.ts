import { adjust, wholeOf } from '@/core/image';
import { stepIn } from '@/core/prepare';
import type { Recipe } from '@/core/prepare';

/** Changes 8-bit RGBA by eye, as a recipe does to the picture. */
export function adjusted(
  { data, width, height }: Pick<ImageData, 'data' | 'width' | 'height'>,
  recipe: Pick<Recipe, 'steps'>,
): void {
  const step = stepIn(recipe, 'adjust');
  if (!step?.on) return;
  let out = 0;
  const shape = { width, height, channels: 3 };
  const take = adjust(shape, step).run(wholeOf(shape), (row) => {
    for (let i = 0; i < row.length; i += 3, out += 4)
      for (let c = 0; c < 3; c += 1) data[out + c] = row[i + c]! / 257;
  });
  const row = new Float32Array(width * 3);
  for (let y = 0, from = 0; y < height; y += 1) {
    for (let i = 0; i < row.length; i += 3, from += 4)
      for (let c = 0; c < 3; c += 1) row[i + c] = data[from + c]! * 257;
    take(row);
  }
}
