import { z } from 'zod';
import { HouseFactsInput } from '../home';
import { HouseInput } from '../record';
import { file, get, post, put, saved } from './route';

/** The house itself, and what programs ask of it. */
export const houseRoutes = {
  health: get('/api/health', {
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'house',
    summary:
      'Whether the server is up and a house is set up, which version and build answer, and whether data, disk and backups need somebody.',
    answer: z.object({
      ok: z.boolean(),
      isSetUp: z.boolean(),
      version: z.string(),
      build: z.string(),
      database: z.enum(['ok', 'read-only']),
      disk: z.enum(['ok', 'low']),
      /** `none`: the house has not said where they go. */
      backup: z.enum(['ok', 'late', 'none']),
    }),
  }),
  metrics: get('/metrics', {
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'page',
    summary:
      'Counters for a monitor, in the text format of Prometheus. Asks for the token of VELVET_STONE_METRICS_TOKEN (`Authorization: Bearer …`); without one in the environment there is no such page.',
    answer: file('text/plain'),
    refusals: [404],
  }),
  openApi: get('/api/openapi.json', {
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'document',
    cache: 'an-hour',
    summary: 'This document.',
    answer: z.record(z.string(), z.unknown()),
  }),
  setUp: post('/api/house', {
    who: 'first-run',
    what: 'house',
    summary: 'Sets up the house and its owner on an empty data folder.',
    body: HouseInput,
    answer: saved({ ownerId: z.number(), code: z.string() }),
    audit: ['recovery code made'],
    refusals: [409],
  }),
  changeFacts: put('/api/house', {
    who: 'owner',
    what: 'house',
    summary: 'Whom clients ring, and in which language they read.',
    body: HouseFactsInput,
    answer: HouseFactsInput,
  }),
} as const;
