import { PLAIN } from './figures';
import type { Written } from './figures';
import type {
  CgatsFault,
  ReadingFault,
  Shift,
  StripFault,
  StripReadingFault,
} from '@/core/proof';

/** Why a file is no strip of readings, and what to do. */
export function stripFaultWords(
  name: string,
  fault: CgatsFault | ReadingFault | StripFault | StripReadingFault,
): string {
  switch (fault.code) {
    case 'empty':
      return `${name}: the file is empty. Save the readings again.`;
    case 'tooLarge':
      return `${name}: over ${fault.most / 1e6} MB, larger than readings are. See whether it is the file you mean.`;
    case 'noTable':
      return `${name}: there is no table of readings in it (BEGIN_DATA). Save the readings as CGATS text.`;
    case 'noFormat':
      return `${name}, line ${fault.line}: readings begin before their fields are named (BEGIN_DATA_FORMAT). Save them again.`;
    case 'unended':
      return `${name}, line ${fault.line}: ${fault.section} has no end; the file breaks off. Save the readings again.`;
    case 'setLength':
      return `${name}, line ${fault.line}: ${fault.found} values where ${fault.wanted} fields are named. A decimal comma beside blanks, or a name without quotation marks, does this.`;
    case 'setCount':
      return `${name}: ${fault.found} patches are there, it says ${fault.said}. Read the strip again, or save it again.`;
    case 'noColours':
      return `${name}: no colours that can be used among its fields (${fault.fields.slice(0, 8).join(', ') || 'none'}). Save L*a*b*, XYZ or spectra, all three or all bands of them.`;
    case 'comma':
      return `${name}, patch ${fault.set}: ${fault.field} is “${fault.value}”. CGATS has a point for the decimals; save it again with one.`;
    case 'number':
      return `${name}, patch ${fault.set}: ${fault.field} is “${fault.value}”, which is no number. Read this patch again.`;
    case 'range':
      return `${name}, patch ${fault.set}: ${fault.field} is ${fault.value}; no print has such a colour. Read the strip again.`;
    case 'bands':
      return `${name}: spectra from ${fault.first} to ${fault.last} nm at every ${fault.step}. Needed are 380 to 730 nm at every 10; or save L*a*b*.`;
    case 'light':
      return `${name}: its colours are of another light or observer (${fault.said}). Save them for D50 and 2 degrees.`;
    case 'twice':
      return `${name}: two patches are called “${fault.name}”. Give each a name of its own.`;
    case 'few':
      return `${name}: ${fault.found} of the ${fault.wanted} patches of this strip are in it; “${fault.first}” is the first that is not. Read the whole strip, or see whether the file is of this one.`;
    case 'noPaper':
      return `${name}: the patch “paper” is not in it. Without the white of the paper nothing can be said; read it too.`;
    case 'darkPaper':
      return `${name}: its “paper” has L* ${fault.lightness.toFixed(1)}, too dark for a paper. The patches may be in another order; read the strip again.`;
    case 'missing':
      return `${name}: ${fault.found} of ${fault.wanted} patches of the reference are in it${fault.first && `; “${fault.first}” is the first that is not`}. Read the whole strip.`;
  }
}

/** Below this a shift is not said: it is not seen. */
const SAID = 0.5;

/** A shift in words: darker, redder, yellower, duller; empty where none is to be seen. */
export function shiftWords(
  { lightness, red, yellow, chroma }: Shift,
  written: Written = PLAIN,
): string {
  const parts = [
    [lightness, 'lighter', 'darker'],
    [red, 'redder', 'greener'],
    [yellow, 'yellower', 'bluer'],
    [chroma, 'more colourful', 'duller'],
  ] as const;
  return parts
    .filter(([v]) => Math.abs(v) >= SAID)
    .map(([v, more, less]) => `${written(Math.abs(v), 1)} ${v > 0 ? more : less}`)
    .join(', ');
}
