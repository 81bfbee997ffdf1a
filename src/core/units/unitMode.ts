/** How the reader's lengths are shown, and read where no unit is typed. */
export type UnitMode = 'metric' | 'inch';

/** The units that a print size is named in. */
export type SizeUnit = 'mm' | 'cm' | 'in';
