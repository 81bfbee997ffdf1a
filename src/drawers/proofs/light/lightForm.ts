import { choice, day, defineForm, hinted, optional, percent, whole } from '@/core/input';
import { SURROUNDS } from '@/core/proof';

/** How screen and light are set up. */
export const lightForm = defineForm({
  lux: whole('Light on the print', { min: 1, max: 100_000 }, 'lx'),
  reflectance: hinted(
    percent('White of the paper', { min: 20, max: 100 }),
    'of the light that it sends back; 90 is usual',
  ),
  luminance: optional(whole('White of the screen', { min: 1, max: 5000 }, 'cd/m²')),
  lightKelvin: optional(whole('Colour of the light', { min: 1500, max: 20_000 }, 'K')),
  screenKelvin: optional(whole('Colour of the screen', { min: 1500, max: 20_000 }, 'K')),
  surround: choice('Round about', SURROUNDS),
  calibratedOn: optional(day('Screen calibrated on')),
});

/** A press of the meter. */
export const meterForm = defineForm({});
