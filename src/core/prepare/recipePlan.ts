import type { FitResult } from '../size';
import { printPlan } from './printPlan';
import type { PrintPlan } from './printPlan';
import { ppiOf } from './recipe';
import type { Recipe } from './recipe';

/** The plan of a file as its recipe asks for it: its ppi, with trim marks or without. */
export const recipePlan = (
  master: { width: number; height: number },
  fit: FitResult,
  recipe: Recipe,
): PrintPlan => printPlan(master, fit, ppiOf(recipe), recipe.marks);
