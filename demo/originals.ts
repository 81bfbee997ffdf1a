import type { SpaceId } from '@/core/colour';
import type { WorkKind } from '@/core/work';
import type { Canvas } from '@/engine/painted/canvas';
import { buoyYard } from './paint/buoyYard';
import { pearBranch } from './paint/pearBranch';
import { tideLines } from './paint/tideLines';
import { coiledLines } from './paint/coiledLines';
import { featherWeed } from './paint/featherWeed';
import { causeway } from './paint/causeway';
import { twoJugs } from './paint/twoJugs';
import { moonOverMere } from '@/engine/painted/moonOverMere';
import { starlings } from './paint/starlings';
import { saltPans } from './paint/saltPans';

/** One original of the demo studio and the file its capture gave. */
export interface Original {
  name: string;
  title: string;
  year: number;
  kind: WorkKind;
  medium: string;
  /** Millimetres of the original. */
  sizeMm: [number, number];
  price: number;
  paint: (width: number, height: number) => Canvas;
  width: number;
  height: number;
  bits: 8 | 16;
  ppi: number;
  space: SpaceId | null;
  file: string;
  /** What its capture was like: enlarged later, specks on the glass, the bed left in, askew. */
  capture?: {
    enlarged?: number;
    dust?: number;
    bed?: { pixels: number; degrees: number };
  };
  /** Days ago the work was entered in the drawer. */
  entered: number;
}

export const ORIGINALS: Original[] = [
  {
    name: 'saltPans',
    title: 'Evening, the Salt Pans',
    year: 2024,
    kind: 'painting',
    medium: 'Egg tempera on panel',
    sizeMm: [240, 320],
    price: 145000,
    paint: saltPans,
    width: 5669,
    height: 7559,
    bits: 16,
    ppi: 600,
    space: 'prophoto-rgb',
    file: 'salt-pans_flatbed_600.tif',
    capture: { dust: 14 },
    entered: 366,
  },
  {
    name: 'coiledLines',
    title: 'Three Coils',
    year: 2025,
    kind: 'drawing',
    medium: 'Pen and ink',
    sizeMm: [210, 297],
    price: 38000,
    paint: coiledLines,
    width: 3307,
    height: 4677,
    bits: 8,
    ppi: 400,
    space: 'a98-rgb',
    file: 'three-coils_400.tif',
    entered: 350,
  },
  {
    name: 'featherWeed',
    title: 'Feather Weed',
    year: 2025,
    kind: 'printmaking',
    medium: 'Cyanotype',
    sizeMm: [355, 473],
    price: 52000,
    paint: featherWeed,
    width: 3360,
    height: 4480,
    bits: 8,
    ppi: 240,
    space: 'a98-rgb',
    file: 'feather-weed_copystand.tif',
    entered: 331,
  },
  {
    name: 'causeway',
    title: 'Causeway, Fog Lifting',
    year: 2026,
    kind: 'photograph',
    medium: 'Photograph',
    sizeMm: [381, 254],
    price: 0,
    paint: causeway,
    width: 4500,
    height: 3000,
    bits: 16,
    ppi: 300,
    space: 'prophoto-rgb',
    file: 'causeway_0417.tif',
    entered: 40,
  },
  {
    name: 'twoJugs',
    title: 'Two Jugs, Plums',
    year: 2023,
    kind: 'painting',
    medium: 'Gouache on board',
    sizeMm: [400, 300],
    price: 64000,
    paint: twoJugs,
    width: 4725,
    height: 3543,
    bits: 8,
    ppi: 300,
    space: null,
    file: 'two-jugs_scan.tif',
    capture: { enlarged: 1.5 },
    entered: 120,
  },
  {
    name: 'moonOverMere',
    title: 'Moon over the Mere',
    year: 2022,
    kind: 'drawing',
    medium: 'Soft pastel',
    sizeMm: [280, 210],
    price: 27000,
    paint: moonOverMere,
    width: 1400,
    height: 1050,
    bits: 8,
    ppi: 72,
    space: 'srgb',
    file: 'moon_telephone.jpg',
    entered: 240,
  },
  {
    name: 'starlings',
    title: 'Starlings Gathering',
    year: 2026,
    kind: 'born digital',
    medium: 'Digital drawing',
    sizeMm: [381, 254],
    price: 0,
    paint: starlings,
    width: 4500,
    height: 3000,
    bits: 8,
    ppi: 300,
    space: 'display-p3',
    file: 'starlings_final.tif',
    entered: 215,
  },
  {
    name: 'tideLines',
    title: 'Tide Lines, Ooze Reach',
    year: 2025,
    kind: 'painting',
    medium: 'Watercolour',
    sizeMm: [360, 450],
    price: 78000,
    paint: tideLines,
    width: 4252,
    height: 5315,
    bits: 8,
    ppi: 300,
    space: 'a98-rgb',
    file: 'tide-lines_copystand.tif',
    entered: 300,
  },
  {
    name: 'pearBranch',
    title: 'Branch with Three Pears',
    year: 2025,
    kind: 'printmaking',
    medium: 'Linocut, two colours',
    sizeMm: [300, 400],
    price: 24000,
    paint: pearBranch,
    width: 3543,
    height: 4724,
    bits: 8,
    ppi: 300,
    space: 'a98-rgb',
    file: 'pear-branch_flatbed.tif',
    capture: { dust: 5, bed: { pixels: 90, degrees: 0.7 } },
    entered: 262,
  },
  {
    name: 'buoyYard',
    title: 'The Buoy Yard',
    year: 2026,
    kind: 'painting',
    medium: 'Oil on canvas',
    sizeMm: [500, 700],
    price: 210000,
    paint: buoyYard,
    width: 5000,
    height: 7000,
    bits: 16,
    ppi: 254,
    space: 'prophoto-rgb',
    file: 'buoy-yard_copystand.tif',
    entered: 170,
  },
];

/** The original of that name; throws when there is none. */
export function originalOf(name: string): Original {
  const found = ORIGINALS.find((o) => o.name === name);
  if (!found) throw new Error(`no original is called ${name}`);
  return found;
}
