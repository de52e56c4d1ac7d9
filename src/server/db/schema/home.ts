import type { ClientId, VisitId } from '../../../core/ids';
import type { Generated } from 'kysely';

export interface HomeSheetTable {
  id: Generated<number>;
  client_id: ClientId;
  visit_id: VisitId | null;
  routine: string;
  language: string;
  wish_json: string;
  sheet_json: string;
  made_by: number | null;
  made_at: string;
  ended_at: string | null;
}

export interface HomeLinkTable {
  token_hash: string;
  sheet_id: number;
  made_at: string;
  expires_at: string;
  revoked_at: string | null;
}

export interface HomeTickTable {
  id: string;
  client_id: ClientId;
  sheet_id: number;
  modality: string;
  day: string;
  origin: string;
  ticked_at: string;
}

/** Sheets for home, the links to them and the ticks on them. */
export interface HomeTables {
  home_sheet: HomeSheetTable;
  home_link: HomeLinkTable;
  home_tick: HomeTickTable;
}
