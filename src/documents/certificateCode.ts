import type { Series } from '@/core/edition';

export interface CertificateCode {
  editionId: number;
  series: Series;
  number: number;
  /** First 20 digits of the ledger entry that gave the number. */
  proof: string;
}

/** What the code on a certificate says; it can be held against the edition ledger. */
export const writeCertificateCode = (c: CertificateCode): string =>
  ['PRINT', c.editionId, c.series, c.number, c.proof.slice(0, 20)].join('/');

/** Reads a code back; null when it is none of ours. */
export function readCertificateCode(text: string): CertificateCode | null {
  const match = /^PRINT\/(\d+)\/(number|ap)\/(\d+)\/([0-9a-f]{20})$/.exec(text.trim());
  if (!match) return null;
  const [, editionId, series, number, proof] = match;
  return {
    editionId: Number(editionId),
    series: series === 'ap' ? 'ap' : 'number',
    number: Number(number),
    proof: proof ?? '',
  };
}
