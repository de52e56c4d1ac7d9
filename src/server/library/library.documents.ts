import { ProtocolSchema, TechniqueSchema } from '../../contracts/library';
import type { Protocol } from '../../core/library/protocol';
import type { Technique } from '../../core/library/technique';
import { upgradeTechnique } from '../../core/library/upgrade';
import { type JsonColumn, jsonColumn } from '../db/json-column';

/** Techniques of the first version were judged by their family, and say now what they are judged as. */
export const techniqueColumn: JsonColumn<Technique> = jsonColumn<Technique>(
  'library_entry.document_json of a technique',
  TechniqueSchema,
  [upgradeTechnique],
);
export const protocolColumn: JsonColumn<Protocol> = jsonColumn<Protocol>(
  'library_entry.document_json of a protocol',
  ProtocolSchema,
);
