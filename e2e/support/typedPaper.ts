import { usualPaper } from '@/drawers/papers/paperForm';

/** A paper as it is typed into its form. */
export const TYPED_PAPER = {
  ...usualPaper({ units: 'metric', currency: 'EUR', locale: 'en-GB' }),
  name: 'Estuary Rag',
  maker: 'Ragwater Mill',
  weight: '285',
  thickness: '0.46',
  sheetWidth: '42 cm',
  sheetHeight: '59.4 cm',
  price: '5.60',
  reorderPoint: '4',
};
