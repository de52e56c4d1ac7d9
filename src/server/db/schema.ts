import type { Selectable } from 'kysely';
import type { ClientTable, ClientsTables, ConsentTable, FindingTable } from './schema/clients';
import type { HomeTables } from './schema/home';
import type { HouseTables, LibraryEntryTable, SessionTable, TherapistTable } from './schema/house';
import type {
  MeasuresTables,
  ObservationTable,
  ReferralFlagTable,
  TapeProtocolTable,
  TapingTable,
} from './schema/measures';
import type { OilMixTable, OilsTables } from './schema/oils';
import type { PicturesTables } from './schema/pictures';
import type { PracticeTables } from './schema/practice';
import type { StonesTables } from './schema/stones';
import type { ClosingTable, PlanTable, VisitTable, VisitsTables } from './schema/visits';

/** All tables, as the migrations make them. */
export interface Database
  extends
    HouseTables,
    ClientsTables,
    VisitsTables,
    MeasuresTables,
    HomeTables,
    StonesTables,
    OilsTables,
    PicturesTables,
    PracticeTables {}

export type TherapistRow = Selectable<TherapistTable>;
export type LibraryEntryRow = Selectable<LibraryEntryTable>;
export type ConsentRow = Selectable<ConsentTable>;
export type SessionRow = Selectable<SessionTable>;
export type TapingRow = Selectable<TapingTable>;
export type ObservationRow = Selectable<ObservationTable>;
export type ReferralFlagRow = Selectable<ReferralFlagTable>;
export type TapeProtocolRow = Selectable<TapeProtocolTable>;
export type OilMixRow = Selectable<OilMixTable>;
export type PlanRow = Selectable<PlanTable>;
export type VisitRow = Selectable<VisitTable>;
export type ClientRow = Selectable<ClientTable>;
export type FindingRow = Selectable<FindingTable>;
export type ClosingRow = Selectable<ClosingTable>;
