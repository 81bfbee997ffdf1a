import { foreshortening } from '@/core/capture/derivation';
import type { MasterCaution } from '@/core/capture';
import type { DetailReading } from '@/core/capture/detail';
import type { Corner, Evenness } from '@/core/capture/evenness';
import type { Format } from '@/shell/figures';
import type { SheetId } from './sheetNames';

export interface CautionWords {
  head: string;
  meaning: string;
  /** The sheet on which it can be seen, or dealt with. */
  sheet: SheetId;
}

export const CORNERS: Record<Corner, string> = {
  topLeft: 'top left',
  topRight: 'top right',
  bottomLeft: 'bottom left',
  bottomRight: 'bottom right',
};

/** Names of the channels of a picture. */
export const channelNames = (count: number): string[] =>
  count === 1 ? ['grey'] : ['red', 'green', 'blue'];

const channelName = (channel: number, count: number): string =>
  channelNames(count)[channel] ?? 'grey';

const REMARKS = {
  otherModel: 'The profile inside is for another colour model, so it was not used.',
  wrongClass:
    'The profile inside describes no picture (it is a link or an abstract one), so it was not used.',
  unreadable: 'The profile inside cannot be read, so it was not used.',
  output:
    'The profile inside describes a printer. Was the file already converted for printing? Bring the one before.',
} as const;

const said = (head: string, meaning: string, sheet: SheetId = 'master'): CautionWords => ({
  head,
  meaning,
  sheet,
});

/** A caution about a master: a short head, what it means, and where to look. */
export function cautionWords(
  c: MasterCaution,
  format: Format,
  channels: number,
): CautionWords {
  const share = (v: number) => format.percent(v, v < 0.01 ? 2 : 1);
  const over = (sampled: number | null) =>
    sampled === null
      ? 'It is only a tag.'
      : `Only a tag. Over the original it is ${format.number(sampled)}\u202fppi.`;
  switch (c.code) {
    case 'untagged':
      return said(
        'No colour profile',
        'Its colours are unknown until you say which space it was saved in.',
      );
    case 'strangeProfile':
      return said('A strange colour profile', REMARKS[c.remark]);
    case 'eightBits':
      return said(
        '8 bits per channel',
        'Enough to print from, little to correct with. Scan at 16 bits if it was to be had.',
      );
    case 'shallow':
      return said(
        '16 bits, of which 8 are used',
        'Every value could come from an 8-bit file: it was widened afterwards. Scan at 16 bits if it is to be had.',
        'tone',
      );
    case 'ppiAbsent':
      return said('No ppi tag', over(c.sampled));
    case 'ppiWrong':
      return said(`Tagged ${format.number(c.tag)}\u202fppi`, over(c.sampled));
    case 'ppiNonsense':
      return said(
        `Tagged ${format.number(c.tag)}\u202fppi`,
        'No capture has that resolution: the tag is nonsense, and is not used for anything.',
      );
    case 'proportion':
      return said(
        'Not the original’s proportion',
        `Width to height is off by ${format.number(Math.abs(c.percent), 1)}\u202f%: bed edge left in, or cropped?`,
        'edges',
      );
    case 'small':
      return said(
        'Smaller than the original',
        `At native resolution it reaches ${format.length(c.longestMm)} on the longest side.`,
        'plan',
      );
    case 'enlarged':
      return said(
        `Detail for ${format.percent(c.fraction)} of its pixels`,
        `As if enlarged ${format.number(1 / c.fraction, 2)} times, or as soft. Sizes are judged by what it is worth.`,
        'detail',
      );
    case 'specks':
      return said(
        `${format.number(c.count)} ${c.count === 1 ? 'speck' : 'specks'} to look at`,
        'Walk them at 100\u202f%, and say of each: mended, part of the picture, or let it be.',
        'specks',
      );
    case 'lookYourself':
      return said(
        `${format.number(c.tiles)} ${c.tiles === 1 ? 'tile' : 'tiles'} to look at yourself`,
        'The ground is too busy there to tell a speck from the picture.',
        'specks',
      );
    case 'clipped':
      return said(
        `${share(c.share)} of ${channelName(c.channel, channels)} ${c.end === 'high' ? 'burnt out' : 'blocked up'}`,
        c.end === 'high'
          ? 'Nothing is left there to print but the end of the scale. Expose less if it can be captured again.'
          : 'Shadows end at the bottom of the scale. Raise the black point of the scan if they should show.',
        'tone',
      );
    case 'narrowProfile':
      return said(
        'Its profile may be too narrow',
        `One channel is at an end of the scale in ${share(c.share)} more places than another: colours beyond the profile were cut off. Capture into a wider space.`,
        'tone',
      );
    case 'unusedRange':
      return said(
        'Part of the range is unused',
        `The lightest tone is at ${format.percent(c.white)}, the darkest at ${format.percent(c.black)} of the scale.`,
        'tone',
      );
    case 'noisy':
      return said(
        `Noise of ${format.number(c.noise, 1)} in 255`,
        'It shows in smooth parts of a large print. A lower sensitivity or several exposures together are quieter.',
        'tone',
      );
    case 'askew':
      return said(
        `Askew by ${format.number(Math.abs(c.degrees), 2)}°`,
        `It lies turned ${c.degrees > 0 ? 'clockwise' : 'counter-clockwise'}. Accept the crop that is proposed, or scan again.`,
        'edges',
      );
    case 'bedEdges':
      return said(
        'Bed or board left in',
        `Seen along ${c.sides} ${c.sides === 1 ? 'side' : 'sides'}. Accept the crop that is proposed.`,
        'edges',
      );
    case 'keystone':
      return said(
        `Keystone of ${format.number(c.degrees, 2)}°`,
        'Opposite edges are not parallel: the camera was tilted. The crop that is proposed squares it up.',
        'edges',
      );
    case 'uneven':
      return said(
        `Light uneven by ${format.number(c.stops, 2)} stops`,
        `Darkest at the ${CORNERS[c.corner]}. Move the lights, or even it out by the board.`,
        'light',
      );
    case 'signatureUnknown':
      return said(
        'Signature not noted',
        'Is the artist’s signature in the picture? The sign plan wants to know.',
      );
  }
}

/** What was measured of detail, in a sentence with its figure and its reason. */
export function detailWords(d: DetailReading, format: Format): string {
  const sure = `(${format.percent(d.confidence)} sure)`;
  switch (d.because) {
    case 'sharp':
      return `Sharp at its pixel grid: its spectrum runs on to the end without a break ${sure}.`;
    case 'spectrum':
      return `Detail ends at ${format.percent(d.fraction ?? 1)} of the pixel grid: it was enlarged, is out of focus, or was worn by compression ${sure}.`;
    case 'period':
      return `Enlarged ${format.number(1 / (d.fraction ?? 1), 2)} times: the enlargement left its period behind, and detail ends where it should ${sure}.`;
    case 'flat':
      return 'Cannot tell: there is not enough texture in it to measure.';
    case 'noise':
      return 'Cannot tell: noise hides where detail ends.';
    case 'small':
      return 'Cannot tell: the picture is too small to measure.';
    case 'unclear':
      return 'Cannot tell: more than one answer fits. Judge it by a resolution proof.';
  }
}

const TILTS = [5, 8];

/** How far off the proportions of a squared-up crop can be; null where it needs no squaring up. */
export function squaredWords(keystoneDegrees: number, format: Format): string | null {
  if (keystoneDegrees === 0) return null;
  const shares = TILTS.map(
    (degrees) => `${format.percent(foreshortening(degrees), 1)} at ${degrees}°`,
  );
  return `Squared up by its corners, which do not tell how far the camera was tilted: the proportions can be off by that tilt, ${shares.join(', ')}. Hold one side against the work itself.`;
}

/** By which rule a board was read, where that is not the one of now, or was another before; null else. */
export function boardRuleWords(
  { outdated, before }: { outdated: boolean; before: number | null },
  falloff: number,
  format: Format,
): string | null {
  const stops = (value: number) => `${format.number(value, 2)} stops`;
  if (outdated)
    return 'This board was read by an earlier rule, which saw too little falloff in wide or linear profiles. It stays as it was; bring the photograph again, and it is said by how much it differs.';
  if (before === null) return null;
  return Math.abs(before - falloff) < 0.005
    ? `By the earlier rule it was ${stops(before)}, too.`
    : `By the earlier rule it was ${stops(before)}, by the one of now ${stops(falloff)}. What was evened out before stays so until you even out by this board.`;
}

/** The state of the light, and what to move. */
export function evennessWords(e: Evenness, format: Format): string {
  const { corner, stops } = e.worst;
  const under = `${CORNERS[corner]} ${format.number(Math.abs(stops), 2)} stop under the centre`;
  if (e.shape === 'even')
    return `Even: within ${format.number(e.falloff, 2)} stops all over. Nothing to move.`;
  if (e.shape === 'hollow')
    return `Falls off to all sides, ${under}: move both lights farther away.`;
  const side = e.darkSide ?? 'left';
  if (side === 'left' || side === 'right')
    return `${under[0]!.toUpperCase()}${under.slice(1)}: bring the ${side} light nearer, or flag the other.`;
  return `${under[0]!.toUpperCase()}${under.slice(1)}: ${side === 'top' ? 'raise' : 'lower'} both lights, or hang the work lying, so that this side is shorter.`;
}
