import type { ProfileClass, ProfileFault } from '@/core/colour';

/** What a profile that cannot serve describes, and why it does not help here. */
const CLASSES: Record<ProfileClass, string> = {
  output: 'it describes a printer, not a screen',
  display: 'it describes a screen',
  space: 'it describes a colour space',
  input:
    'it describes a scanner or camera: it tells where colours come from, not where they go',
  link: 'it joins two devices (a device link) and is no profile of one',
  abstract: 'it describes a change of colours (an abstract profile), not a printer',
  named: 'it names single colours',
};

const WANTED = {
  print: 'Ask the printer or the paper’s maker for the profile of this printer and paper.',
  screen: 'Bring the profile that the calibration of your screen wrote.',
} as const;

/** Why a file is not taken as a profile, and what to do. */
export function profileFaultWords(
  name: string,
  fault: ProfileFault,
  use: keyof typeof WANTED = 'print',
): string {
  const wanted = WANTED[use];
  switch (fault.code) {
    case 'tooLarge':
      return `${name}: ${(fault.bytes / 1e6).toFixed(1)} MB; profiles end at ${fault.most / 1e6} MB. ${wanted}`;
    case 'noProfile':
      return `${name}: by its content this is no ICC profile. ${wanted}`;
    case 'truncated':
      return `${name}: it breaks off: ${fault.bytes} of ${fault.says} bytes are there. Copy or download it again.`;
    case 'damaged':
      return `${name}: this profile is damaged: its tables are missing or lead outside the file. Copy or download it again.`;
    case 'class':
      return `${name}: ${fault.class === null ? 'it is of a class that is not known' : CLASSES[fault.class]}. ${wanted}`;
    case 'space':
      return use === 'print'
        ? `${name}: it is for ${fault.space || 'unknown'} colours. Print files are written in RGB or CMYK; ask for such a profile.`
        : `${name}: it is for ${fault.space || 'unknown'} colours; a screen shows RGB. ${wanted}`;
  }
}
