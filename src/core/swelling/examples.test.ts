import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { limbVolume, type LimbVolumeInput } from './limb-volume';

interface Example {
  readonly id: string;
  readonly note: string;
  readonly request: Partial<LimbVolumeInput>;
  readonly response: Record<string, unknown> & {
    readonly warnings?: readonly { readonly code: string; readonly position: number | null }[];
  };
  readonly status?: number;
  readonly problem?: string;
}

const examples = JSON.parse(
  readFileSync(new URL('../../../tests/api/limb-volume.examples.json', import.meta.url), 'utf8'),
) as readonly Example[];
const defaults = {
  unit: 'cm',
  method: 'frustum',
  reference: null,
  dominant: 'none',
  dominanceCorrectionPercent: 0,
  tapeSigmaCm: 0.2,
} as const;

it.each(examples.map((example) => [example.id, example] as const))(
  'worked example %s',
  (_id, { request, response, problem }) => {
    const result = limbVolume({ ...defaults, ...request } as LimbVolumeInput);
    if (!result.ok) {
      expect(result.refusal.kind).toBe(problem);
      return;
    }
    const { warnings, ...numbers } = result.value;
    expect(warnings.map(({ code, position }) => [code, position])).toEqual(
      (response.warnings ?? []).map(({ code, position }) => [code, position]),
    );
    for (const [key, value] of Object.entries(numbers)) {
      const expected = response[key];
      if (typeof value === 'number') expect(value, key).toBeCloseTo(expected as number, 5);
      else if (!Array.isArray(value)) expect(value, key).toBe(expected);
    }
    expect(result.value.segments.map((s) => [s.from, s.to])).toEqual(
      (response['segments'] as { from: number; to: number }[]).map((s) => [s.from, s.to]),
    );
  },
);
