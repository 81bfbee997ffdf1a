import type { CapturePlan, MediumCaution } from '@/core/capture/plan';
import type { Format } from '@/shell/figures';

const PIECE = {
  flatbed: 'tile',
  camera: 'frame',
  film: 'frame',
  digital: 'canvas',
} as const;

/** How a device meets the wish, with its figure and its reason. */
export function planWords(plan: CapturePlan, format: Format): string {
  const { device, needs, reached, count } = plan;
  const needed = `${format.number(Math.ceil(needs.ppi))}\u202fppi`;
  const gives = `${format.number(Math.floor(reached))}\u202fppi`;
  if (device.kind === 'digital' && plan.canvas) {
    const { layers, width, height } = plan.canvas;
    return plan.verdict === 'fallsShort'
      ? `A canvas of ${width} × ${height} px does not fit into its memory even once.`
      : `Set the canvas up at ${width} × ${height} px, bleed included: about ${format.number(layers.eight)} layers at 8 bits, ${format.number(layers.sixteen)} at 16.`;
  }
  if (plan.verdict === 'oneGo')
    return `In one ${device.kind === 'flatbed' ? 'scan' : 'frame'}: ${needed} are needed over the work, ${gives} are to be had.`;
  const pieces = plan.flatbed?.pieces ?? plan.camera?.pieces;
  const grid = pieces ? `${pieces.across} × ${pieces.down}` : '';
  const word = PIECE[device.kind];
  if (plan.verdict === 'inPieces')
    return `In ${count} ${word}s, ${grid}${pieces?.turned ? `, ${device.kind === 'flatbed' ? 'the work turned on the bed' : 'camera upright'}` : ''}: ${needed} are needed.`;
  return plan.because === 'pieces' && Number.isFinite(count)
    ? `Falls short: it would take more ${word}s than one is ready to join. With the most, ${gives}.`
    : `Falls short: ${needed} are needed, it resolves ${gives}. ${device.kind === 'flatbed' ? 'More tiles do not help.' : ''}`;
}

export const verdictWord = (plan: CapturePlan): string =>
  ({
    oneGo: 'in one go',
    inPieces: `${plan.count} pieces`,
    fallsShort: 'falls short',
  })[plan.verdict];

export const MEDIUM_WORDS: Record<MediumCaution, string> = {
  friable:
    'Friable: it must not be pressed or rubbed. Place it on the glass yourself, face not dragged, or do not scan it at all.',
  glare:
    'Glossy or textured: it throws glare. Light it from both sides, and if glare stays, polarise the lights and turn a second polariser before the lens.',
};
