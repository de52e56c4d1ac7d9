import { z } from 'zod';
import { AskState } from '../ask-views';
import { FlagNoteInput } from '../measures';
import { PlacedFinding } from '../people-views';
import {
  ClearanceInput,
  ConsentInput,
  FindingChangeInput,
  IntakeInput,
  OverrideInput,
  PlacedFindingInput,
  VisitCheckInput,
} from '../record';
import { WordingInput } from '../sign-in';
import { ClientNumber, del, get, Id, pdf, post, put, saved, savedOnly, VisitNumber } from './route';

const asked = saved({ state: AskState });
const placed = saved({ finding: PlacedFinding });
const inVisit = { who: 'therapist', what: 'visit', params: { id: VisitNumber } } as const;
const ofFinding = { who: 'therapist', what: 'finding', params: { id: Id, key: Id } } as const;

/** What is asked before hands are laid on: findings, answers, consent and limits. */
export const screeningRoutes = {
  readAsk: get('/api/visits/{id}/ask', {
    ...inVisit,
    summary: 'Findings, answers, decisions and limits of a visit.',
    answer: asked,
  }),
  answerIntake: post('/api/visits/{id}/intake', {
    ...inVisit,
    summary: 'Stores answers of the full intake.',
    body: IntakeInput,
    answer: asked,
    audit: ['finding placed', 'finding ended', 'client data changed'],
  }),
  answerCheck: post('/api/visits/{id}/check', {
    ...inVisit,
    summary: 'Stores answers of the check before the visit.',
    body: VisitCheckInput,
    answer: asked,
    audit: ['visit stopped by the check'],
  }),
  signConsent: post('/api/visits/{id}/consent', {
    ...inVisit,
    summary: 'Stores a signed consent.',
    body: ConsentInput,
    answer: asked,
    audit: ['consent signed'],
  }),
  setLimitAside: post('/api/visits/{id}/overrides', {
    ...inVisit,
    summary: 'Sets a limit aside for this visit, with a reason.',
    body: OverrideInput,
    answer: asked,
    audit: ['limit set aside'],
  }),
  restoreLimit: del('/api/visits/{id}/overrides/{key}', {
    who: 'therapist',
    what: 'limit',
    params: { id: VisitNumber, key: Id },
    summary: 'The limit holds again.',
    answer: asked,
    audit: ['limit restored'],
  }),
  referralNote: get('/api/visits/{id}/referral.pdf', {
    ...inVisit,
    summary: 'The note to the treating professional.',
    answer: pdf,
    audit: ['referral note made'],
  }),
  placeFinding: post('/api/clients/{id}/findings', {
    who: 'therapist',
    what: 'client',
    params: { id: ClientNumber },
    summary: 'Places a finding on the body map.',
    body: PlacedFindingInput,
    answer: placed,
    audit: ['finding placed'],
  }),
  correctFinding: put('/api/clients/{id}/findings/{key}', {
    ...ofFinding,
    summary: 'Corrects a finding; the old one stays in the history.',
    body: FindingChangeInput,
    answer: placed,
    audit: ['finding corrected'],
  }),
  endFinding: del('/api/clients/{id}/findings/{key}', {
    ...ofFinding,
    summary: 'Ends a finding; it stays in the history.',
    answer: savedOnly,
    audit: ['finding ended'],
  }),
  takeBackFinding: post('/api/clients/{id}/findings/{key}/back', {
    ...ofFinding,
    summary: 'Takes back that a finding was ended.',
    answer: savedOnly,
    audit: ['finding taken back'],
  }),
  addClearance: post('/api/clients/{id}/findings/{key}/clearance', {
    ...ofFinding,
    summary: 'Adds a written note to a finding.',
    body: ClearanceInput,
    answer: placed,
    audit: ['clearance note added'],
  }),
  closeFlag: post('/api/clients/{id}/flags/{key}', {
    who: 'therapist',
    what: 'flag',
    params: { id: ClientNumber, key: Id },
    summary: 'Closes a flag with what was done.',
    body: FlagNoteInput,
    answer: savedOnly,
    audit: ['referral flag closed'],
  }),
  changeWording: post('/api/wording', {
    who: 'owner',
    what: 'wording',
    summary: 'A new version of what clients consent to.',
    body: WordingInput,
    answer: saved({ version: z.number() }),
    refusals: [409],
    audit: ['consent wording changed'],
  }),
} as const;
