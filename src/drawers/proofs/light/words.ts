import type { LightFinding } from '@/core/proof';

const whole = (v: number) => String(Math.round(v));

/** What was found of a set-up, with its figure and what to do. */
export function findingWords(f: LightFinding, day: (iso: string) => string): string {
  switch (f.what) {
    case 'lux':
      return f.tone === 'good'
        ? `${whole(f.found)} lx fall on the print: as prints are judged.`
        : f.found < f.within[0]
          ? `${whole(f.found)} lx are little: shadows close that are open. Take ${f.within[0]} to ${f.within[1]}.`
          : `${whole(f.found)} lx are much: they flatter the shadows. Take ${f.within[0]} to ${f.within[1]}, or judge for that room.`;
    case 'luminance': {
      const off = Math.round((f.found / f.wanted - 1) * 100);
      const said = `The paper sends back ${whole(f.wanted)} cd/m², the screen's white has ${whole(f.found)}`;
      return f.tone === 'good'
        ? `${said}: they agree.`
        : `${said}, ${Math.abs(off)} % ${off > 0 ? 'brighter: prints will look dark. Turn the screen down, or the light up' : 'darker: prints will look light. Turn the screen up, or the light down'}.`;
    }
    case 'light':
      return f.tone === 'good'
        ? `The light has ${f.found} K: near the usual ${f.usual} K.`
        : `The light has ${f.found} K; prints are judged at ${f.usual} K. What agrees under it may not under another.`;
    case 'whites':
      return f.tone === 'good'
        ? `The whites of screen (${f.screen} K) and light (${f.light} K) agree.`
        : `The screen's white has ${f.screen} K, the light ${f.light} K: the same grey looks ${f.screen > f.light ? 'bluer' : 'yellower'} on the screen. Set the screen's white to the light's.`;
    case 'surround':
      return f.found === 'coloured'
        ? 'Coloured walls or clothes tint what is judged. Turn away from them, or hang grey round about.'
        : f.found === 'white'
          ? 'White round about makes prints look darker than they are. Take a neutral grey.'
          : 'Dark round about makes prints look lighter than they are. Take a neutral grey.';
    case 'calibration':
      return f.tone === 'good'
        ? `The screen was calibrated ${f.days} days ago; again by ${day(f.due)}.`
        : `The screen was calibrated ${f.days} days ago. Calibrate it again; it was due on ${day(f.due)}.`;
  }
}

/** What to look for on the patches of the screen. */
export const LOOK_FOR = {
  blacks:
    'Two squares in the black: both are to be told from it, the left one barely. If neither is, the screen hides shadows; prints will seem too light in them.',
  whites:
    'Two squares in the white: both are to be told from it, the right one barely. If neither is, the screen burns out lights.',
  greys:
    'A ramp of greys: no step may be redder, greener or bluer than another. If one is, the screen is to be calibrated.',
} as const;
