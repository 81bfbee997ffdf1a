import type { PrintPlan, Recipe } from '@/core/prepare';
import type { MasterColour } from './masterColour';
import { printFilePass } from './printFilePass';
import { tilesPass } from './tilesPass';
import type { Progress } from './tilesPass';

/** Heavy work that runs in a worker thread; plain data, so that it can be posted. */
export type Task =
  | {
      task: 'tiles';
      pixels: string;
      colour: MasterColour;
      tilesFolder: string;
      preview: string;
    }
  | {
      task: 'printFile';
      pixels: string;
      colour: MasterColour;
      plan: PrintPlan;
      recipe: Recipe;
      target: string;
    };

export const runTask = (task: Task, progress: Progress): Promise<void> =>
  task.task === 'tiles'
    ? tilesPass(task.pixels, task.colour, task.tilesFolder, task.preview, progress)
    : printFilePass(
        task.pixels,
        task.colour,
        task.plan,
        task.recipe,
        task.target,
        progress,
      );
