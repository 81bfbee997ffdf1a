import type { AskedQuote, Parcel } from '@/core/pack';

export interface Quote extends AskedQuote {
  /** Why this service does not take the parcel; null when it does. */
  refused: 'tooLong' | 'tooHeavy' | 'tooThick' | null;
}

/** A parcel's figures, as far as a carrier asks for them. */
export type Measured = Pick<Parcel, 'total' | 'width' | 'height' | 'depth'>;

export interface Booking {
  tracking: string;
}

/**
 * What a carrier's driver offers. A booking carries a reference of ours: asked twice under one
 * reference it is one booking, and one that was cut off can be found and voided.
 */
export interface Carrier {
  name: string;
  /** Its services with what each asks; `currency` is that of the answer (ISO 4217). */
  quote(parcel: Measured, currency: string): Quote[];
  book(quote: Pick<Quote, 'service'>, reference: string): Promise<Booking>;
  /** The booking under a reference; null when there is none, or it was voided. */
  find(reference: string): Promise<Booking | null>;
  /** Takes a booking back; nothing happens where there is none. */
  void(reference: string): Promise<void>;
}
