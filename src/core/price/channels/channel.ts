/** A channel of sale: what it usually takes of each. Rule of thumb; a price that was kept has its own. */
export interface Channel {
  id: string;
  /** Share of the price, 0..1. */
  commission: number;
  /** Share of the price that whoever moves the money takes, 0..1. */
  payment: number;
  /** Fixed fee of a sale, in hundredths of the currency's main unit. */
  fixedHundredths: number;
}
