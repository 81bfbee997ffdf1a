import type { Grams } from '../units';
import { checkScales } from './checkScales';
import type { ScaleCheck } from './checkScales';
import { choosePacking } from './choosePacking';
import type { ChosenPacking, NoPacking } from './choosePacking';
import type { Contents } from './contents';
import { parcelOf } from './parcelOf';
import type { Parcel } from './parcelOf';
import type { PackRules } from './rules';
import type { PackingMaterial } from './stock';
import { countedTwice } from './ticks';
import type { Tick } from './ticks';

/** A parcel that is not sealed: how it is packed, and how far counting and weighing have come. */
export interface OpenParcel {
  chosen: ChosenPacking | NoPacking;
  /** Null where it cannot be packed. */
  parcel: Parcel | null;
  counted: boolean;
  /** Null until it was weighed. */
  scales: ScaleCheck | null;
}

/**
 * Reckons a parcel from what lies in it, what is on the shelf, and what was ticked and weighed
 * (grams) so far.
 */
export function openParcelOf(
  contents: Contents,
  done: { ticks: readonly Tick[]; weighed: Grams | null },
  materials: readonly PackingMaterial[],
  rules: PackRules,
): OpenParcel {
  const chosen = choosePacking(contents, materials, rules);
  if (!chosen.packing) return { chosen, parcel: null, counted: false, scales: null };
  const parcel = parcelOf(contents, chosen.packing);
  return {
    chosen,
    parcel,
    counted: countedTwice(parcel.parts, done.ticks),
    scales: done.weighed === null ? null : checkScales(parcel, done.weighed, rules),
  };
}

export type SealFault = 'emptyParcel' | 'notCounted' | 'notWeighed' | 'scalesDisagree';

/** Why a parcel may not be sealed as it stands, the first step that is lacking; null when it may. */
export function sealFault(
  { parcel, counted, scales }: OpenParcel,
  lines: number,
): SealFault | null {
  if (lines === 0 || !parcel) return 'emptyParcel';
  if (!counted) return 'notCounted';
  if (!scales) return 'notWeighed';
  return scales.agrees ? null : 'scalesDisagree';
}
