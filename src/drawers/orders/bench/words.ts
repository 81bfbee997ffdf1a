import type {
  ChosenPacking,
  Lacking,
  NoPacking,
  Part,
  PartKind,
  ScaleCheck,
  SealedParcel,
} from '@/core/pack';
import type { Format } from '@/shell/figures';

const PARTS: Record<PartKind, string> = {
  print: 'the print',
  goods: 'the goods',
  extra: 'what is put in as well',
  sleeve: 'the sleeve',
  board: 'the backing board',
  mailer: 'the mailer',
  tube: 'the tube',
  tissue: 'the tissue',
  certificate: 'the certificate in its folder',
  note: 'the note',
};

/** A line, as far as a part's words need it. */
interface NamedLine {
  id: number;
  work: string;
  label: string | null;
  sizeLabel: string;
  paper: string;
  name: string | null;
}

const times = (copies: number) => (copies > 1 ? `${copies} × ` : '');

/** The line that a part belongs to, in a few words. */
const ofLine = (line: NamedLine | undefined): string =>
  line ? [line.work || line.name, line.label].filter(Boolean).join(' ') : '';

/** One part as it is gathered: what it is, and of what. */
export function partWords(part: Part, lines: readonly NamedLine[]): string {
  const line = lines.find((l) => l.id === part.line);
  const many = lines.length > 1 ? ` of ${ofLine(line)}` : '';
  switch (part.part) {
    case 'print':
      return line?.label
        ? `print ${ofLine(line)}, numbered and signed, on ${line.paper}`
        : `${times(part.copies)}print ${ofLine(line)}, ${line?.sizeLabel ?? ''}, on ${line?.paper ?? ''}`;
    case 'sleeve':
      return `${times(part.copies)}${part.name ?? 'sleeve'}${many}`;
    case 'tissue':
      return `interleaving tissue${many}`;
    case 'certificate':
      return `certificate in its folder${many}`;
    case 'note':
      return 'note, handwritten';
    default:
      return `${times(part.copies)}${part.name ?? PARTS[part.part]}`;
  }
}

/** What the scales say against the computation. */
export function scaleWords(check: ScaleCheck, format: Format): string {
  const off = format.mass(Math.abs(check.difference));
  if (check.agrees)
    return `The scales agree: ${off} apart, ${format.mass(check.tolerance)} are allowed.`;
  const suspect = check.suspects[0];
  if (check.difference < 0)
    return `${off} too light.${suspect ? ` That is what ${PARTS[suspect.part]} weighs: is it in?` : ' Something is missing: look again before sealing.'}`;
  return `${off} too heavy. Something is in that does not belong: look again before sealing.`;
}

export const REFUSED: Record<string, string> = {
  tooLong: 'too long',
  tooHeavy: 'too heavy',
  tooThick: 'too thick',
};

const LACKING: Record<Lacking, string> = {
  sleeve: 'no sleeve takes it',
  board: 'no backing board takes it',
  mailer: 'no flat mailer in stock takes it',
  tube: 'no tube takes it',
  tooLarge: 'too large to travel flat',
  tooThick: 'too thick for a mailer',
  tooMany: 'too many prints for one',
  goodsDoNotRoll: 'goods are not rolled',
  nothingToRoll: 'there is nothing to roll',
};

/** Why it does not go flat: what the thing is comes before what the shelf lacks. */
const whyRolled = (notFlat: readonly Lacking[]): string => {
  const first =
    notFlat.find((l) => l === 'tooLarge' || l === 'tooThick' || l === 'tooMany') ??
    (notFlat.includes('mailer') ? 'mailer' : notFlat[0]);
  return first ? LACKING[first] : '';
};

const missingWords = (p: NoPacking, format: Format): string => {
  if (p.lacking.rolled.includes('goodsDoNotRoll'))
    return `${[...new Set(p.lacking.flat.map((l) => LACKING[l]))].join(', ')}: lay it into another parcel, or take in other material.`;
  const parted = p.lacking.rolled.filter((l) => l === 'tooMany');
  if (parted.length > 0) return 'Too many prints for one parcel: lay some into another.';
  const flat = p.lacking.flat.filter((l) => ['sleeve', 'board', 'mailer'].includes(l));
  const orFlat =
    flat.length > 0 && p.needed.flat && !p.lacking.flat.includes('tooLarge')
      ? `; or flat: ${flat.join(', ')} for ${format.size(p.needed.flat)}`
      : '';
  return `Order a tube of ${format.length(p.needed.tubeDiameter)} or more, ${format.length(p.needed.tubeLength)} long${orFlat}.`;
};

/** How an open parcel is packed, and why so. */
export function packingWords(
  chosen: ChosenPacking | NoPacking,
  format: Format,
): [string, string] {
  const { packing } = chosen;
  if (!packing) return ['Nothing in stock takes it', missingWords(chosen, format)];
  if (packing.way === 'flat')
    return [
      `Flat, ${packing.mailer.name}`,
      packing.board
        ? `fits with ${format.length(packing.spare)} to spare on the short side`
        : 'goods alone: how long they are is not known, so the largest mailer is proposed',
    ];
  return [
    `Rolled, ${packing.tube.name}`,
    `${whyRolled(chosen.notFlat)}; ${format.length(packing.spare)} end play`,
  ];
}

/** How a sealed parcel was packed. */
export function sealedWords(sealed: SealedParcel, format: Format): [string, string] {
  if (sealed.way === 'inHand')
    return ['Given in hand', 'nothing was packed, weighed or booked'];
  const wrap = sealed.parts?.find(
    (p) => p.part === (sealed.way === 'flat' ? 'mailer' : 'tube'),
  );
  const way = sealed.way === 'flat' ? 'Flat' : 'Rolled';
  return [
    `${way}${wrap?.name ? `, ${wrap.name}` : ''}`,
    sealed.parts === null
      ? 'sealed before parts were written down: its packing slip has them'
      : sealed.spare === null
        ? 'as it was sealed'
        : `as it was sealed, with ${format.length(sealed.spare)} to spare`,
  ];
}
