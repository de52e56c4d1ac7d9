import type { Nominal } from './nominal';

/** What stands in the rows of a house, by number. */
export type ClientId = Nominal<number, 'client'>;
export type VisitId = Nominal<number, 'visit'>;
export type TherapistId = Nominal<number, 'therapist'>;

/** What stands in the catalogue and in a house's own library, by name. */
export type TechniqueId = Nominal<string, 'technique'>;
export type ProtocolId = Nominal<string, 'protocol'>;
export type ConditionId = Nominal<string, 'condition'>;
export type OilId = Nominal<string, 'oil'>;
