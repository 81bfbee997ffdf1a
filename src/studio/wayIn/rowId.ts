/** The number of a row as it stands in an address; 0, which no row has, for anything else. */
export const rowId = (text: string): number => (/^\d{1,15}$/.test(text) ? Number(text) : 0);
