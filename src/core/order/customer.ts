/** Who an order goes to. */
export interface Addressee {
  name: string;
  street: string;
  town: string;
  country: string;
}

const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/**
 * What makes two customers one: name and address, whatever their case, accents, spaces and
 * dots. Two people of one name at two addresses stay two; only a hand merges them.
 * @example customerKey({ name: 'ORLA  Brandt', street: '3, Weir Lane', town: 'Staithe', country: 'W' })
 * // 'orla brandt|3 weir lane|staithe|w'
 */
export const customerKey = ({ name, street, town, country }: Addressee): string =>
  [name, street, town, country].map(plain).join('|');
