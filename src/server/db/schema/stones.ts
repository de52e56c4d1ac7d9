import type { Generated } from 'kysely';

export interface StoneTable {
  id: Generated<number>;
  size: string;
  material: string;
  length_mm: number;
  width_mm: number;
  thickness_mm: number;
  mass_g: number | null;
  state: Generated<'in-use' | 'chipped' | 'retired'>;
  note: Generated<string>;
  added_at: string;
  retired_at: string | null;
}

export interface StoneCareTable {
  id: Generated<number>;
  stone_id: number | null;
  what: string;
  done_at: string;
  done_by: number | null;
}

/** Stones and how they are looked after. */
export interface StonesTables {
  stone: StoneTable;
  stone_care: StoneCareTable;
}
