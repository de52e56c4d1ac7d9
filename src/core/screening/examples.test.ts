import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { screeningBook } from '../../catalogue/screening/screening';
import { readScreening, type ScreeningRequest } from './read-request';
import { screen } from './screen';
import type { Limits } from './tables';

interface Example {
  readonly example: number;
  readonly request: ScreeningRequest;
  readonly expect: Readonly<Record<string, string>>;
  readonly expectOverall?: string;
  readonly expectLimits?: Readonly<Record<string, Limits>>;
  readonly expectQuestions?: readonly string[];
  readonly expectRegions: readonly { region: string; modality: string; decision: string | null }[];
}

const examples = JSON.parse(
  readFileSync(new URL('../../../tests/api/screening.examples.json', import.meta.url), 'utf8'),
) as readonly Example[];

describe.each(examples)('worked example $example', (example) => {
  const read = readScreening(screeningBook, example.request);
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  const answer = screen(screeningBook, read.value);

  it('decides each modality, in the order asked', () => {
    expect(Object.fromEntries(answer.byModality.map((row) => [row.modality, row.decision]))).toEqual(example.expect);
    expect(answer.byModality.map((row) => row.modality)).toEqual(example.request.modalities);
    if (example.expectOverall) expect(answer.overall).toBe(example.expectOverall);
  });

  it('keeps the strictest limits', () => {
    for (const [modality, limits] of Object.entries(example.expectLimits ?? {}))
      expect(answer.byModality.find((row) => row.modality === modality)?.limits).toMatchObject(limits);
  });

  it('decides the places', () => {
    for (const { region, modality, decision } of example.expectRegions) {
      const row = answer.regions.find((r) => r.region === region && r.modality === modality);
      expect([region, modality, row?.decision ?? null]).toEqual([region, modality, decision]);
    }
    if (example.expectRegions.length === 0) expect(answer.regions).toEqual([]);
  });

  it('asks what is still open', () => {
    const asked = answer.questions.map((question) => question.id);
    const wanted = example.expectQuestions ?? [];
    expect(asked.filter((id) => wanted.includes(id))).toEqual(wanted);
  });
});
