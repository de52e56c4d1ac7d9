import type { Millilitres } from '../../../core/quantities';
import type { ClientId, OilId, VisitId } from '../../../core/ids';
import type { Generated } from 'kysely';

export interface OilBottleTable {
  id: Generated<number>;
  kind: 'essential' | 'carrier';
  oil: OilId;
  lot: Generated<string>;
  opened_on: string | null;
  printed_on: string | null;
  size_ml: number;
  left_ml: number;
  cost_cents: Generated<number>;
  drops_per_ml: number | null;
  state: Generated<'in-use' | 'empty' | 'discarded'>;
  note: Generated<string>;
  added_at: string;
}

export interface OilBlendTable {
  id: Generated<number>;
  name: string;
  blend_json: string;
  made_at: string;
  made_by: number | null;
  removed_at: string | null;
}

export interface OilMixTable {
  id: Generated<number>;
  client_id: ClientId | null;
  visit_id: VisitId | null;
  blend_json: string;
  counted_json: Generated<string>;
  state: Generated<'mixing' | 'mixed' | 'given-up'>;
  left_ml: Generated<number>;
  cost_cents: Generated<number>;
  use_by: string | null;
  started_at: string;
  mixed_at: string | null;
  mixed_by: number | null;
}

export interface OilDrawTable {
  id: Generated<number>;
  bottle_id: number;
  ml: Millilitres;
  why: 'mixed' | 'corrected' | 'discarded';
  mix_id: number | null;
  done_at: string;
  done_by: number | null;
}

export interface VisitBlendTable {
  visit_id: VisitId;
  area: 'body' | 'face';
  blend_json: string;
  mix_id: number | null;
  poured_from: number | null;
  chosen_at: string;
  chosen_by: number | null;
}

export interface SmellChoiceTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  strips_json: string;
  chosen: number | null;
  done_at: string;
  done_by: number | null;
}

export interface PatchTestTable {
  id: Generated<number>;
  client_id: ClientId;
  what: string;
  placed_at: string;
  placed_by: number | null;
  readings_json: Generated<string>;
  ended_at: string | null;
}

/** Bottles, blends, mixes and what a nose or a skin said of them. */
export interface OilsTables {
  oil_bottle: OilBottleTable;
  oil_blend: OilBlendTable;
  oil_mix: OilMixTable;
  oil_draw: OilDrawTable;
  visit_blend: VisitBlendTable;
  smell_choice: SmellChoiceTable;
  patch_test: PatchTestTable;
}
