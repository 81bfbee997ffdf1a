import { choice, decimal, defineForm, length } from '@/core/input';

/** The distance of one place from which all prints are looked at. */
export const standingFixed = length('They stand at', { min: 300, max: 30_000 });

/** Where people stand, as the studio's rule. */
export const standingForm = defineForm({
  standing: choice('Where people stand', ['diagonal', 'fixed', 'hand']),
  standingFactor: decimal('Standing distance', { min: 0.5, max: 3 }, '×'),
  standingFixedMm: standingFixed,
});

/** From where the wall is looked at, and the screen. */
export const lookedFrom = length('Looked at from', { min: 150, max: 30_000 });
export const eyeToScreen = length('You sit from the screen at', { min: 200, max: 5000 });

/** A line on the screen, held against a ruler. */
export const lineMeasures = length('The line measures', { above: 0, max: 100_000 });
