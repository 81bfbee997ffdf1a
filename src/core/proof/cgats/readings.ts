import { labOf } from '../../colour';
import type { Vector } from '../../colour';
import type { CgatsFile, CgatsTable } from './parse';
import { BAND_STEP, FIRST_BAND, LAST_BAND, spectrumToXyz } from './spectral';

/** A patch as an instrument read it: its name, and CIELAB under D50, 2 degrees. */
export interface PatchReading {
  name: string;
  lab: Vector;
}

/** Why a file holds no readings that can be used. */
export type ReadingFault =
  | { code: 'noColours'; fields: string[] }
  | { code: 'comma'; field: string; value: string; set: number }
  | { code: 'number'; field: string; value: string; set: number }
  | { code: 'range'; field: string; value: number; set: number }
  | { code: 'bands'; first: number; last: number; step: number }
  | { code: 'light'; said: string }
  | { code: 'twice'; name: string };

export interface Readings {
  patches: PatchReading[];
  /** What the colours were taken from. */
  from: 'lab' | 'xyz' | 'spectrum';
}

const LAB = ['LAB_L', 'LAB_A', 'LAB_B'];
const XYZ = ['XYZ_X', 'XYZ_Y', 'XYZ_Z'];
/** `SPECTRAL_NM380`, `SPECTRAL_380`, `SPEC_380`, `NM_380`, `NM380`, `R_380`. */
const BAND = /^(?:SPECTRAL_NM_?|SPECTRAL_|SPEC_|NM_?|R_)(\d{3})$/;
const NAMES = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLE_LOC', 'STRING'];
/** Other lights and observers that a file may say its colours are of. */
const OTHER_LIGHT = /\b(?:D55|D65|D75|F2|F7|F11|A)\b/;
const TEN_DEGREES = /\b10\b/;

/** Limits of what a print can have. */
const LIMITS: Record<string, readonly [number, number]> = {
  LAB_L: [-1, 130],
  LAB_A: [-160, 160],
  LAB_B: [-160, 160],
  XYZ_X: [-1, 200],
  XYZ_Y: [-1, 200],
  XYZ_Z: [-1, 200],
};
/** Reflectance in parts of 1, or of a hundred where a value says so. */
const MOST_REFLECTANCE = 2.5;

const isFault = (v: object): v is ReadingFault => 'code' in v;

/** Numbers of some fields of a set. */
function numbersOf(
  table: CgatsTable,
  set: readonly string[],
  fields: readonly string[],
  number: number,
): number[] | ReadingFault {
  const out: number[] = [];
  for (const field of fields) {
    const value = set[table.fields.indexOf(field)]!;
    if (/^[+-]?\d+,\d+$/.test(value)) return { code: 'comma', field, value, set: number };
    const v = /^[+-]?(?:\d+(?:\.\d*)?|\.\d+)(?:[eE][+-]?\d+)?$/.test(value)
      ? Number(value)
      : NaN;
    if (!Number.isFinite(v)) return { code: 'number', field, value, set: number };
    const [low, high] = LIMITS[field] ?? [-5, 500];
    if (v < low || v > high) return { code: 'range', field, value: v, set: number };
    out.push(v);
  }
  return out;
}

/** Spectral fields of a table by their wavelength. */
const bandsOf = ({ fields }: CgatsTable): { nm: number; field: string }[] =>
  fields
    .flatMap((field) => {
      const nm = BAND.exec(field)?.[1];
      return nm ? [{ nm: Number(nm), field }] : [];
    })
    .sort((a, b) => a.nm - b.nm);

/** The bands that are summed; a fault where they are not those of the tables. */
function spectralFields(table: CgatsTable): string[] | ReadingFault {
  const bands = bandsOf(table);
  const step = (bands[1]?.nm ?? 0) - bands[0]!.nm;
  const even = bands.every((b, i) => b.nm === bands[0]!.nm + i * step);
  const [first, last] = [bands[0]!.nm, bands.at(-1)!.nm];
  const fits = even && step === BAND_STEP && first <= FIRST_BAND && last >= LAST_BAND;
  if (!fits) return { code: 'bands', first, last, step };
  return bands.filter((b) => b.nm >= FIRST_BAND && b.nm <= LAST_BAND).map((b) => b.field);
}

/** By which fields a table says its colours, the most direct first. */
function wayOf(
  table: CgatsTable,
): { from: Readings['from']; fields: string[] } | ReadingFault {
  const has = (fields: readonly string[]) => fields.every((f) => table.fields.includes(f));
  if (has(LAB)) return { from: 'lab', fields: LAB };
  if (has(XYZ)) return { from: 'xyz', fields: XYZ };
  if (bandsOf(table).length < 2) return { code: 'noColours', fields: table.fields };
  const fields = spectralFields(table);
  return Array.isArray(fields) ? { from: 'spectrum', fields } : fields;
}

/** Colours that a file says are of another light or observer are not compared; spectra are of none. */
function lightFault({ keywords }: CgatsTable, from: Readings['from']): ReadingFault | null {
  if (from === 'spectrum') return null;
  const said = [
    'ILLUMINATION_NAME',
    'ILLUMINANT',
    'WEIGHTING_FUNCTION',
    'OBSERVER',
    'OBSERVER_ANGLE',
  ]
    .map((k) => keywords[k] ?? '')
    .join(' ')
    .trim()
    .toUpperCase();
  return OTHER_LIGHT.test(said) || TEN_DEGREES.test(said) ? { code: 'light', said } : null;
}

function labFrom(from: Readings['from'], values: number[], hundred: boolean): Vector {
  if (from === 'lab') return values as Vector;
  if (from === 'xyz') return labOf(values.map((v) => v / 100) as Vector);
  return labOf(spectrumToXyz(hundred ? values.map((v) => v / 100) : values));
}

/**
 * The patches of a file: of every table that says colours, by Lab, XYZ (Y of white 100) or spectra of
 * 380 to 730 nm at every 10; the name of a patch is its name, else its id, else its place.
 */
export function readingsOf(file: CgatsFile): Readings | ReadingFault {
  const found: Readings = { patches: [], from: 'lab' };
  let without: ReadingFault | null = null;
  for (const table of file.tables) {
    const way = wayOf(table);
    if (isFault(way)) {
      without ??= way;
      continue;
    }
    const fault = lightFault(table, way.from);
    if (fault) return fault;
    const named = NAMES.find((n) => table.fields.includes(n));
    const rows: number[][] = [];
    for (const [i, set] of table.sets.entries()) {
      const values = numbersOf(table, set, way.fields, i + 1);
      if (!Array.isArray(values)) return values;
      rows.push(values);
    }
    const hundred =
      way.from === 'spectrum' && rows.some((r) => r.some((v) => v > MOST_REFLECTANCE));
    rows.forEach((values, i) => {
      const set = table.sets[i]!;
      found.patches.push({
        name: named ? set[table.fields.indexOf(named)]! : String(i + 1),
        lab: labFrom(way.from, values, hundred),
      });
    });
    found.from = way.from;
  }
  if (found.patches.length === 0) return without ?? { code: 'noColours', fields: [] };
  const names = new Set<string>();
  for (const { name } of found.patches) {
    if (names.has(name)) return { code: 'twice', name };
    names.add(name);
  }
  return found;
}

/** Whether looking for readings ended in a fault. */
export const isReadingFault = (v: Readings | ReadingFault): v is ReadingFault => isFault(v);
