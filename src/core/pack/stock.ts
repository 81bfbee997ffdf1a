import type { Grams, Millimetres, Minor, Size } from '../units';

/** Packing material kept in the studio. Sizes of mailers, tubes and sleeves are inside sizes. */
export interface FlatMaterial extends Size {
  id: number;
  kind: 'sleeve' | 'board' | 'mailer';
  name: string;
  mass: Grams;
  thickness: Millimetres;
  cost: Minor;
  stock: number;
}

export interface Tube {
  id: number;
  kind: 'tube';
  name: string;
  diameter: Millimetres;
  length: Millimetres;
  mass: Grams;
  wall: Millimetres;
  cost: Minor;
  stock: number;
}

export type PackingMaterial = FlatMaterial | Tube;
