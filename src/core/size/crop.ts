/** A part of the picture, as fractions of its width and height. */
export interface CropRect {
  left: number;
  top: number;
  width: number;
  height: number;
}

/**
 * How a crop was chosen for a ratio: its middle as fractions of the picture, and its size
 * against the largest crop of that ratio (1: the largest).
 */
export interface CropChoice {
  x: number;
  y: number;
  zoom: number;
}

export const WHOLE: CropRect = { left: 0, top: 0, width: 1, height: 1 };
export const MIDDLE: CropChoice = { x: 0.5, y: 0.5, zoom: 1 };
/** No crop smaller than this share of the largest one, along its edge. */
export const LEAST_ZOOM = 0.1;

const { max, min } = Math;
const between = (least: number, value: number, most: number) =>
  max(least, min(most, value));

/**
 * The largest part of a picture of proportion `picture` that has the proportion `wanted` (width / height).
 * @example largestCrop(1.5, 1) // { width: 0.667, height: 1 }
 */
export const largestCrop = (picture: number, wanted: number) => ({
  width: min(1, wanted / picture),
  height: min(1, picture / wanted),
});

/** The part of the picture that a choice takes at a proportion; never beyond the picture's edges. */
export function cropAt(
  picture: number,
  wanted: number,
  { x, y, zoom }: CropChoice = MIDDLE,
): CropRect {
  const most = largestCrop(picture, wanted);
  const share = between(LEAST_ZOOM, zoom, 1);
  const width = most.width * share;
  const height = most.height * share;
  return {
    left: between(0, x - width / 2, 1 - width),
    top: between(0, y - height / 2, 1 - height),
    width,
    height,
  };
}

/**
 * Share of the picture's area that a crop loses, 0..1.
 * @example cropLoss({ left: 0, top: 0.1, width: 1, height: 0.8 }) // 0.2
 */
export const cropLoss = ({ width, height }: CropRect): number => 1 - width * height;

/**
 * What is lost at each edge, as fractions of the picture's height (above, below) and width.
 * @example lostEdges({ left: 0, top: 0.1, width: 1, height: 0.8 }) // { above: 0.1, below: 0.1, left: 0, right: 0 }
 */
export const lostEdges = ({ left, top, width, height }: CropRect) => ({
  above: top,
  below: max(0, 1 - top - height),
  left,
  right: max(0, 1 - left - width),
});

/** The choice that gives that part of a picture at that proportion. */
export function choiceOf(picture: number, wanted: number, part: CropRect): CropChoice {
  const most = largestCrop(picture, wanted);
  return {
    x: part.left + part.width / 2,
    y: part.top + part.height / 2,
    zoom: between(LEAST_ZOOM, part.width / most.width, 1),
  };
}

/** Slides a part of the picture by fractions of its width and height, up to its edges. */
export const slid = (part: CropRect, across: number, down: number): CropRect => ({
  ...part,
  left: between(0, part.left + across, 1 - part.width),
  top: between(0, part.top + down, 1 - part.height),
});

/** Scales a part about its middle; not beyond the picture, nor under the least zoom. */
export function scaled(
  picture: number,
  wanted: number,
  part: CropRect,
  factor: number,
): CropRect {
  const choice = choiceOf(picture, wanted, part);
  return cropAt(picture, wanted, {
    ...choice,
    zoom: between(LEAST_ZOOM, choice.zoom * factor, 1),
  });
}

/** Whether a part holds all of an area that must stay; a hair's breadth is forgiven. */
export const holds = (part: CropRect, area: CropRect): boolean =>
  area.left >= part.left - 1e-9 &&
  area.top >= part.top - 1e-9 &&
  area.left + area.width <= part.left + part.width + 1e-9 &&
  area.top + area.height <= part.top + part.height + 1e-9;

/**
 * The part moved no farther than it must to hold the area that must stay; grown to its
 * largest first where it is too small. Null when no crop of that proportion holds it.
 */
export function heldInside(
  picture: number,
  wanted: number,
  part: CropRect,
  area: CropRect,
): CropRect | null {
  const most = largestCrop(picture, wanted);
  if (area.width > most.width + 1e-9 || area.height > most.height + 1e-9) return null;
  const grow = max(1, area.width / part.width, area.height / part.height);
  const from = grow > 1 ? scaled(picture, wanted, part, grow) : part;
  return {
    ...from,
    left: between(
      max(0, area.left + area.width - from.width),
      from.left,
      min(area.left, 1 - from.width),
    ),
    top: between(
      max(0, area.top + area.height - from.height),
      from.top,
      min(area.top, 1 - from.height),
    ),
  };
}
