import { choice, decimal, defineForm, formSeen, hinted } from '@/core/input';
import { length, mass, percent, text, whole } from '@/core/input';
import type { Field, Typed, ValueOf } from '@/core/input';
import { PLACE_FIELDS, closedField } from '@/core/place';
import { grams } from '@/core/units';
import type { BenchSettings } from '@/data';

/** A length that stands among the rules as a bare number of millimetres. */
const mmRule: (...of: Parameters<typeof length>) => Field<number> = length;

const SIZE = {
  standingFactor: hinted(
    decimal('Standing distance', { min: 0.5, max: 3 }, '× diagonal'),
    '1 immersive, 1.5 usual, 2 formal',
  ),
  handDistanceMm: mmRule('Distance in the hand', { min: 150, max: 1000 }),
  stepUpShare: percent('People step up to', { min: 10, max: 100 }, '% of it'),
  shortBeyond: decimal('Falls short beyond', { min: 1, max: 3 }, '× of it'),
  printPpi: whole('Printer is fed at', { min: 100, max: 1440 }, 'ppi'),
  refusePpi: whole('Labs refuse below', { min: 30, max: 400 }, 'ppi'),
  askSmallPpi: whole('Labs ask, small', { min: 30, max: 1440 }, 'ppi'),
  askLargePpi: whole('Labs ask, large', { min: 30, max: 1440 }, 'ppi'),
  smallUpToMm: mmRule('Small up to', { min: 50, max: 2000 }),
  routePpi: hinted(
    whole('Your route asks', { min: 0, max: 1440 }, 'ppi'),
    '0: what labs ask by size',
  ),
  resamplerHolds: decimal('A resampler holds up to', { min: 1, max: 4 }, '×'),
  proofFirst: decimal('Proof first up to', { min: 1, max: 6 }, '×'),
  signingRoomMm: mmRule('Room to sign', { min: 0, max: 100 }),
};

const ON_THE_WALL = {
  printerMarginMm: mmRule('Printer leaves blank', { min: 0, max: 50 }),
  personMm: mmRule('Person beside it', { min: 500, max: 2500 }),
  sofaMm: mmRule('Sofa under it', { min: 500, max: 5000 }),
};

const CAPTURE = {
  tileOverlapMm: mmRule('Tiles overlap by', { min: 0, max: 100 }),
  frameOverlap: percent('Frames overlap by', { min: 5, max: 70 }),
  framingMargin: percent('Room around it', { min: 0, max: 50 }),
  mostPieces: whole('Pieces at most', { min: 1, max: 400 }),
  goodStops: decimal('Even within', { above: 0, max: 2 }, 'stops', 3),
  poorStops: decimal('Poor beyond', { above: 0, max: 4 }, 'stops', 3),
  lightAngle: decimal('Angle of the lights', { min: 10, max: 75 }, '°'),
  bleedMm: mmRule('Bleed of a canvas', { min: 0, max: 50 }),
};

const PROOF = {
  driftMean: decimal('Drift passes, mean', { above: 0, max: 20 }, 'ΔE00'),
  driftWorst: decimal('Drift passes, any patch', { above: 0, max: 40 }, 'ΔE00'),
  sizeFactor: decimal('Reference: sizes to', { min: 1, max: 10 }, '×'),
};

const LIGHT = {
  luxLeast: whole('Light on a print, least', { min: 1, max: 100_000 }, 'lx'),
  luxMost: whole('Light on a print, most', { min: 1, max: 100_000 }, 'lx'),
  usualKelvin: whole('Prints are judged at', { min: 1000, max: 20_000 }, 'K'),
  kelvinApart: whole('Whites agree within', { min: 1, max: 5000 }, 'K'),
  kelvinFar: whole('Whites differ beyond', { min: 1, max: 10_000 }, 'K'),
  near: percent('Luminance agrees within', { min: 1, max: 100 }),
  far: percent('Luminance is wrong beyond', { min: 1, max: 200 }),
};

const STUDIO = {
  ...PLACE_FIELDS,
  closedDays: closedField,
  handlingDays: whole('Orders leave within', { min: 0, max: 60 }, 'working days'),
  orderWithinDays: whole('Say what is to be ordered within', { min: 1, max: 90 }, 'days'),
  backupAfterDays: whole('Remind of a backup after', { min: 1, max: 365 }, 'days'),
  calibrationDays: whole('Calibrate the screen every', { min: 1, max: 365 }, 'days'),
  fetchWithinDays: whole('Say what to fetch back within', { min: 1, max: 90 }, 'days'),
};

const TAX = {
  taxName: text('What it is called', { min: 0, max: 40 }),
  taxShare: percent('Of what is sold', { min: 0, max: 99.9 }),
  taxIn: choice('Prices have it', ['in them', 'on top'] as const),
};

const PACKING = {
  scaleTolerance: mass('Scales may differ by', { min: 0, max: 500 }),
};

/** The bench's settings: the studio, and the rules of thumb in force. */
export const benchForm = defineForm({
  ...STUDIO,
  ...TAX,
  ...PACKING,
  ...ON_THE_WALL,
  ...SIZE,
  ...CAPTURE,
  ...PROOF,
  ...LIGHT,
  seen: formSeen,
});

type Asked = ValueOf<typeof STUDIO> &
  ValueOf<typeof TAX> &
  ValueOf<typeof PACKING> &
  ValueOf<typeof ON_THE_WALL> &
  ValueOf<typeof SIZE> &
  ValueOf<typeof CAPTURE> &
  ValueOf<typeof PROOF> &
  ValueOf<typeof LIGHT>;

/** Limits of which the second lies at or beyond the first. */
const RISING: readonly (readonly [keyof Asked, keyof Asked])[] = [
  ['goodStops', 'poorStops'],
  ['driftMean', 'driftWorst'],
  ['luxLeast', 'luxMost'],
  ['kelvinApart', 'kelvinFar'],
  ['near', 'far'],
];

/** Two limits that contradict each other, by the second of them; null where none do. */
export function benchFault(asked: Asked): { field: string; message: string } | null {
  const found = RISING.find(([low, high]) => Number(asked[low]) > Number(asked[high]));
  if (!found) return null;
  const [low, high] = found.map((k) => benchForm.titles[k]!) as [string, string];
  return {
    field: found[1],
    message: `${high}: lies under “${low}”. Raise it, or lower the other.`,
  };
}

/** The form as it lies on the bench: three columns of headed groups. */
export const BENCH_COLUMNS: readonly (readonly (readonly [string, readonly string[]])[])[] =
  [
    [
      ['The studio', Object.keys(STUDIO)],
      ['Rules of thumb: proof', Object.keys(PROOF)],
      ['Rules of thumb: screen and light', Object.keys(LIGHT)],
    ],
    [['Rules of thumb: size', Object.keys(SIZE)]],
    [
      ['Rules of thumb: capture', Object.keys(CAPTURE)],
      ['Rules of thumb: sheet and wall', Object.keys(ON_THE_WALL)],
      ['Rules of thumb: packing', Object.keys(PACKING)],
      ['Tax, shown apart (no advice)', Object.keys(TAX)],
    ],
  ];

/** The bench's settings as they stand in their form. */
export function benchWritten(settings: BenchSettings): Typed {
  const { size, pack, today, capture, proof, tax } = settings;
  const all = { ...settings, ...size, ...capture, ...proof, ...proof.light };
  const { seen: _, ...typed } = benchForm.write(
    {
      ...all,
      scaleTolerance: grams(pack.scaleTolerance),
      orderWithinDays: today.orderWithinDays,
      backupAfterDays: today.backupAfterDays,
      calibrationDays: today.calibrationDays,
      fetchWithinDays: today.fetchWithinDays,
      taxName: tax.name,
      taxShare: tax.share,
      taxIn: tax.included ? 'in them' : 'on top',
    },
    settings,
  );
  return typed;
}

const picked = <T extends object>(values: Asked, of: T) =>
  Object.fromEntries(Object.keys(of).map((k) => [k, values[k as keyof Asked]])) as {
    [K in keyof T & keyof Asked]: Asked[K];
  };

/** What was asked for, laid into the settings where it belongs. */
export const benchAsked = (
  asked: Asked,
  settings: BenchSettings,
): Partial<BenchSettings> => ({
  studio: asked.studio,
  country: asked.country,
  timeZone: asked.timeZone,
  locale: asked.locale,
  currency: asked.currency,
  units: asked.units,
  closedDays: asked.closedDays,
  handlingDays: asked.handlingDays,
  size: { ...settings.size, ...picked(asked, SIZE), ...picked(asked, ON_THE_WALL) },
  capture: { ...settings.capture, ...picked(asked, CAPTURE) },
  proof: {
    ...settings.proof,
    ...picked(asked, PROOF),
    light: { ...settings.proof.light, ...picked(asked, LIGHT) },
  },
  pack: { ...settings.pack, scaleTolerance: asked.scaleTolerance },
  today: {
    ...settings.today,
    orderWithinDays: asked.orderWithinDays,
    backupAfterDays: asked.backupAfterDays,
    calibrationDays: asked.calibrationDays,
    fetchWithinDays: asked.fetchWithinDays,
  },
  tax: {
    name: asked.taxName,
    share: asked.taxShare,
    included: asked.taxIn === 'in them',
  },
});
