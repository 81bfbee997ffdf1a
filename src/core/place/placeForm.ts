import { choice, defineForm, text } from '../input';
import { countryField, currencyField, localeField, zoneField } from './placeFields';

/** Who a studio is and where: asked for on its first day, and among the settings of the bench. */
export const PLACE_FIELDS = {
  studio: text('Studio, as on labels and certificates', { min: 0, max: 120 }),
  country: countryField,
  timeZone: zoneField,
  locale: localeField,
  currency: currencyField,
  units: choice('Lengths', ['metric', 'inch']),
};

export const placeForm = defineForm(PLACE_FIELDS);

/** What a browser says of where it is. */
export const browserForm = defineForm({
  locale: text('Language of the browser', { min: 0, max: 60 }),
  timeZone: text('Time zone of the browser', { min: 0, max: 60 }),
});
