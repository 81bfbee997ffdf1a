import { currencyDigits } from '@/core/units';

/** What the form of a price starts with: the price that was kept, or usual figures. */
export function startPrice(
  kept: Record<string, unknown> | undefined,
  known: { proofCost: number; editionSize: number; currency: string },
): Record<string, string> {
  const usual: Record<string, string> = {
    printing: '0',
    paper: '0',
    capture: '0',
    proofs: String(known.proofCost / 10 ** currencyDigits(known.currency)),
    expectedImpressions: String(known.editionSize || 10),
    spoilage: '4',
    finishing: '0',
    packing: '4.50',
    postage: '0',
    hours: '0.5',
    hourlyRate: '24',
    channel: 'own site',
    commission: '0',
    payment: '2.9',
    fixed: '0.30',
    margin: '40',
    step: '1',
  };
  return Object.fromEntries(
    Object.entries(usual).map(([key, value]) => {
      const before = kept?.[key];
      return [key, typeof before === 'string' ? before : value];
    }),
  );
}
