import { plainRecipe } from '../..';
import { SHEET_KINDS, sheetKind } from '.';
import type { ResolutionSheet, SettingsSheet, SheetPiece } from '.';

const recipe = plainRecipe(300, 1.4);
const piece = (sizeKey: string, sizeLabel: string, factor: number): SheetPiece => ({
  number: 1,
  sizeKey,
  sizeLabel,
  factor,
  region: { left: 0, top: 0, width: 10, height: 10 },
  place: { left: 0, top: 0 },
  tests: 'byHand',
  standMm: 800,
});
const sheet = { width: 210, height: 297 };

it('each kind is under its own name', () => {
  for (const [id, { kind }] of Object.entries(SHEET_KINDS)) expect(kind).toBe(id);
});

it('a resolution proof is remembered by its most enlarged size, and names each size once', () => {
  const content: ResolutionSheet = {
    kind: 'resolution',
    sheet,
    recipe,
    recipeName: null,
    pieces: [piece('a', 'A4', 1.2), piece('b', 'A2', 2.4), piece('a', 'A4', 1.2)],
    overview: null,
  };
  const kind = sheetKind('resolution');
  expect(kind.held(content)).toEqual({ pieces: 3, sizes: ['A4', 'A2'] });
  expect(kind.tried(content)).toEqual({
    sizeKey: 'b',
    recipe,
    recipeName: '',
    factor: 2.4,
  });
});

it('a settings sheet of before does not say how it was enlarged: nor does its entry', () => {
  const content: SettingsSheet = {
    kind: 'settings',
    sheet,
    sizeKey: 'a',
    sizeLabel: 'A4',
    axes: ['warmth'],
    media: '',
    columns: 1,
    cells: [],
  };
  expect(sheetKind('settings').tried(content)).toEqual({
    sizeKey: 'a',
    recipe: null,
    recipeName: '',
    factor: null,
  });
});
