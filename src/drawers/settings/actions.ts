'use server';
import type { BenchSettings } from '@/data';
import { readSettings, saveSettings, storedSettings } from '@/data';
import { act, staleForm } from '@/studio';
import { choice, decimal, defineForm, optional, percent, text, whole } from '@/core/input';
import { BENCH_TITLES, benchForm } from './benchForm';

const switches = defineForm({
  units: optional(choice('Units', ['metric', 'inch'])),
  tone: optional(choice('Grey of the table', ['light', 'middle', 'dark'])),
});

/** Units and grey of the table, switched from anywhere. */
export async function setSwitches(typed: unknown) {
  return act(switches, typed, {}, async ({ units, tone }, { write }) => {
    const chosen: Partial<BenchSettings> = {};
    if (units) chosen.units = units;
    if (tone) chosen.tone = tone;
    await write((tx) => saveSettings(tx, chosen));
    return null;
  });
}

const CURRENCIES = Intl.supportedValuesOf('currency');

const bench = defineForm({
  studio: text('Studio, as on labels and certificates', { min: 0, max: 120 }),
  currency: choice('Currency', CURRENCIES),
  locale: text('Language of figures and dates', { max: 35 }),
  handlingDays: whole('Orders leave within', { min: 0, max: 60 }),
  standingFactor: decimal('Standing distance', { min: 0.5, max: 3 }),
  handDistanceMm: whole('Distance in the hand', { min: 150, max: 1000 }),
  stepUpShare: percent('People step up to', { min: 10, max: 100 }),
  shortBeyond: decimal('Falls short beyond', { min: 1, max: 3 }, '×'),
  printPpi: whole('Printer is fed at', { min: 100, max: 1440 }),
  refusePpi: whole('Labs refuse below', { min: 30, max: 400 }),
  resamplerHolds: decimal('A resampler holds up to', { min: 1, max: 4 }),
  proofFirst: decimal('Proof first up to', { min: 1, max: 6 }),
  signingRoomMm: decimal('Room to sign', { min: 0, max: 100 }),
  askSmallPpi: whole('Labs ask, small', { min: 30, max: 1440 }),
  askLargePpi: whole('Labs ask, large', { min: 30, max: 1440 }),
  smallUpToMm: whole('Small up to', { min: 50, max: 2000 }),
  routePpi: whole('Your route asks', { min: 0, max: 1440 }),
  printerMarginMm: decimal('Printer leaves blank', { min: 0, max: 50 }, 'mm'),
  personMm: whole('Person beside it', { min: 500, max: 2500 }),
  sofaMm: whole('Sofa under it', { min: 500, max: 5000 }),
  scaleTolerance: whole('Scales may differ by', { min: 0, max: 500 }),
  backupAfterDays: whole('Remind of a backup after', { min: 1, max: 365 }),
  tileOverlapMm: decimal('Scanned tiles overlap by', { min: 0, max: 100 }, 'mm'),
  frameOverlap: percent('Frames overlap by', { min: 5, max: 70 }),
  framingMargin: percent('Room around the work', { min: 0, max: 50 }),
  mostPieces: whole('Pieces one joins at most', { min: 1, max: 400 }),
  goodStops: decimal('Light is even within', { above: 0, max: 2 }, 'stops'),
  poorStops: decimal('Light is poor beyond', { above: 0, max: 4 }, 'stops'),
  lightAngle: decimal('Angle of the lights', { min: 10, max: 75 }, '°'),
  bleedMm: decimal('Bleed of a canvas', { min: 0, max: 50 }, 'mm'),
  seen: text('Form', { max: 8000 }),
});

/** The bench's settings and the rules of thumb in force. */
export async function saveBench(typed: unknown) {
  return act(bench, typed, {}, async (v, { write, settings, undoable }) => {
    const { seen, studio, currency, locale, handlingDays, ...rules } = v;
    const { scaleTolerance, backupAfterDays, ...others } = rules;
    const { tileOverlapMm, frameOverlap, framingMargin, mostPieces, ...rest } = others;
    const { goodStops, poorStops, lightAngle, bleedMm, ...size } = rest;
    const capture = {
      ...settings.capture,
      tileOverlapMm,
      frameOverlap,
      framingMargin,
      mostPieces,
      goodStops,
      poorStops,
      lightAngle,
      bleedMm,
    };
    let known = false;
    try {
      known = Intl.NumberFormat.supportedLocalesOf([locale]).length > 0;
    } catch {
      known = false;
    }
    if (!known) {
      const message = `Language of figures and dates: “${locale}” is not known here. Give one such as en-GB or de-DE.`;
      return { ok: false as const, message, fields: { locale: message } };
    }
    const after: Partial<BenchSettings> = {
      studio,
      currency,
      locale,
      handlingDays,
      size: { ...settings.size, ...size },
      capture,
      pack: { ...settings.pack, scaleTolerance },
      today: { ...settings.today, backupAfterDays },
    };
    return write(async (tx) => {
      const stored = await readSettings(tx);
      const own = benchForm({ ...stored, ...after });
      const stale = staleForm(seen, benchForm(stored), own, BENCH_TITLES);
      if (stale) return stale;
      const before = await storedSettings(tx, Object.keys(after));
      await saveSettings(tx, after);
      await undoable(tx, 'the change of settings', { kind: 'settings', before, after });
      return null;
    });
  });
}
