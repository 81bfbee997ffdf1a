import type { Minor } from '../units';
import { inMinor, usualFees } from './channels';
import type { PriceValues } from './priceValues';

/** What the studio knows of a size when its price is made; null: not known. Minor units. */
export interface KnownCosts {
  currency: string;
  /** The ink of one print, where it is printed here. */
  printing: Minor | null;
  /** The paper of one print: what the last one took of its lot, else its part of a sheet. */
  paper: Minor | null;
  /** What hiring or doing its capture comes to, once. */
  capture: Minor | null;
  /** What its proof rounds cost. */
  proofs: Minor | null;
  /** N of its edition; null for an open one or none. */
  editionSize: number | null;
  /** What packs one by the studio's rules, from its shelf. */
  packing?: Minor | null;
  /** The share of all prints that was spoiled, 0..1. */
  spoilage?: number | null;
  /** Mat and frame as kept at Finish, where every print is sold so; and its hours. */
  finishing?: Minor | null;
  finishingHours?: number | null;
  /** What an hour of work was said to be worth. */
  hourlyRate?: Minor | null;
}

/** Rule of thumb, where nothing was measured. */
const USUAL_SPOILAGE = 0.04;

/**
 * What a price starts with: what is known, and usual figures (rules of thumb) for the rest.
 * @example with nothing known, in EUR: packing 4.50, half an hour at 24.00, a margin of 40 %
 */
export function startPrice(known: KnownCosts): PriceValues {
  const of = (hundredths: number) => inMinor(hundredths, known.currency);
  const none = of(0);
  return {
    printing: known.printing ?? none,
    paper: known.paper ?? none,
    capture: known.capture ?? none,
    proofs: known.proofs ?? none,
    expectedImpressions: known.editionSize ?? 10,
    spoilage: known.spoilage ?? USUAL_SPOILAGE,
    finishing: known.finishing ?? none,
    packing: known.packing ?? of(450),
    postage: none,
    hours: 0.5,
    signingHours: 0,
    finishingHours: known.finishingHours ?? 0,
    packingHours: 0,
    wear: none,
    donation: none,
    hourlyRate: known.hourlyRate ?? of(2400),
    channel: 'own site',
    ...usualFees('own site', known.currency)!,
    margin: 0.4,
    step: of(100),
    asked: null,
  };
}
