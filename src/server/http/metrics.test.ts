import { afterEach, describe, expect, it } from 'vitest';
import { mayReadMetrics, metricsText, noteAnswer } from './metrics';

const state = { isWritable: true, databaseBytes: 4096, freeBytes: 5e9, freeShare: 0.5, backupHours: 2 };
afterEach(() => {
  delete process.env['VELVET_STONE_METRICS_TOKEN'];
});

describe('what a monitor reads', () => {
  it('asks for the token of the environment, and nobody reads without one', () => {
    expect(mayReadMetrics('Bearer ')).toBe(false);
    process.env['VELVET_STONE_METRICS_TOKEN'] = 'wet pebbles';
    expect(mayReadMetrics('Bearer wet pebbles')).toBe(true);
    for (const wrong of [null, '', 'Bearer wet pebble', 'Basic wet pebbles', 'Bearer wet pebbles!'])
      expect(mayReadMetrics(wrong), String(wrong)).toBe(false);
  });

  it('is counted by the pattern of addresses, with the state of the house beside', async () => {
    noteAnswer('/uncounted', 'GET', 200, 1);
    process.env['VELVET_STONE_METRICS_TOKEN'] = 'wet pebbles';
    noteAnswer('/clients/{id}', 'GET', 200, 12);
    noteAnswer(undefined, 'GET', 404, 1);
    const { text, mediaType } = await metricsText(state);
    expect(mediaType).toContain('text/plain');
    expect(text).not.toContain('/uncounted');
    expect(text).toContain('velvet_stone_request_seconds_count{route="/clients/{id}",method="GET",status="200"} 1');
    expect(text).toContain('route="unknown"');
    expect(text).toContain('velvet_stone_backup_age_seconds 7200');
    expect(text).toContain('velvet_stone_database_writable 1');
    expect(text).toContain('process_resident_memory_bytes');
  });

  it('says plainly when there is no backup', async () => {
    for (const backupHours of [null, undefined])
      expect((await metricsText({ ...state, backupHours })).text).toContain('velvet_stone_backup_age_seconds Nan');
  });
});
