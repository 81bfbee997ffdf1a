import { readCertificateCode, writeCertificateCode } from './certificateCode';
import { printable } from './printable';

const code = {
  editionId: 4,
  series: 'number' as const,
  number: 7,
  proof: 'ab01'.repeat(16),
};

it('a certificate’s code is read back as it was written', () => {
  const text = writeCertificateCode(code);
  expect(text).toBe('PRINT/4/number/7/ab01ab01ab01ab01ab01');
  expect(readCertificateCode(` ${text}\n`)).toEqual({
    ...code,
    proof: code.proof.slice(0, 20),
  });
  expect(readCertificateCode(writeCertificateCode({ ...code, series: 'ap' }))?.series).toBe(
    'ap',
  );
});

it.each([
  '',
  'PRINT/4/number/7',
  'PRINT/4/number/7/xyz',
  'PRINT/x/number/7/ab01ab01ab01ab01ab01',
])('reads %j as no code of ours', (text) => expect(readCertificateCode(text)).toBeNull());

it('leaves no thin space for fonts that have none', () =>
  expect(printable('30\u202fcm, ΔE00')).toBe('30\u00a0cm, dE00'));
