/** A title as a file name can carry it on any system: ascii letters, digits, hyphens. */
export function slug(title: string): string {
  const plain = title
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/ß/g, 'ss')
    .replace(/[øØ]/g, 'o')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 48);
  return plain === '' ? 'untitled' : plain;
}

/** Name of a print file: the size comes first, so that no one orders the wrong one. */
export const printFileName = (
  sizeLabel: string,
  title: string,
  ppi: number,
  version: number,
): string =>
  `${sizeLabel.replace(/\s*×\s*/g, 'x').replace(/\s+/g, '')}_${slug(title)}_${ppi}ppi_v${version}.tif`;
