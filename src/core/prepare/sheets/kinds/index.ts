import { gang } from './gang';
import type { GangSheet } from './gang';
import type { SheetKind } from './kind';
import { resolution } from './resolution';
import type { ResolutionSheet, StripOnSheet } from './resolution';
import { settings } from './settings';
import type { SettingsSheet } from './settings';

export { PIECE_TESTS } from './resolution';
export type {
  PatchKind,
  PieceTest,
  ResolutionSheet,
  SheetPiece,
  StripOnSheet,
  StripPatch,
} from './resolution';
export type { GangSheet } from './gang';
export { SETTING_AXES } from './settings';
export type { SettingAxis, SettingCell, SettingsSheet } from './settings';

export type SheetContent = ResolutionSheet | SettingsSheet | GangSheet;
export type SheetKindId = SheetContent['kind'];

/** Every kind of sheet. */
export const SHEET_KINDS = { resolution, settings, gang } as const;

/** The kind of a sheet, as it speaks of any content. */
export const sheetKind = (id: SheetKindId) =>
  SHEET_KINDS[id] as unknown as SheetKind<SheetContent>;

/** The control strip on a sheet; null where none is. */
export const stripOn = (content: SheetContent): StripOnSheet | null =>
  content.strip ?? null;
