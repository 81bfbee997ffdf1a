/**
 * A channel of sale: what it usually takes. Rules of thumb to begin with; what the studio keeps
 * of its own channels takes their place. Shares 0..1 of the price, money in hundredths of the
 * currency's main unit.
 */
export interface Channel {
  id: string;
  /** Share of the price, 0..1. */
  commission: number;
  /** Share of the price that whoever moves the money takes, 0..1. */
  payment: number;
  /** Fixed fee of a sale. */
  fixedHundredths: number;
  /** Share of the price that goes into its advertising. */
  advertising?: number;
  /** Paid for each piece that is listed, again after so many months until it is sold. */
  listing?: { hundredths: number; months: number };
  /** Paid whether anything is sold or not. */
  perMonthHundredths?: number;
  /** Paid for a day that it is held: stall, travel; and hours of work. */
  day?: { hundredths: number; hours: number };
  /** What hangs there is the studio's until it is sold, and comes back if it is not. */
  saleOrReturn?: boolean;
  daysUntilPaid?: number;
  /** The channel prints and sends: its base price is what a print costs. */
  makes?: boolean;
}
