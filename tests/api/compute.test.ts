import { appUrl } from '../app-url';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../src/catalogue/anatomy';
import { DrainageCheckResponse, DrainagePlanResponse } from '../../src/contracts/drainage';
import { LimbVolumeResponse } from '../../src/contracts/limb-volume';
import { ScreeningResponse } from '../../src/contracts/screening';
import { call, post } from './client';

const groinGone = {
  focus: ['leg.left'],
  findings: [{ id: 'nodes-removed-inguinal', side: 'left' }],
  qualifications: ['lymphoedema-certified'],
};

describe('POST /api/compute/drainage-plan', () => {
  it('answers the worked case of the leg in the documented shape', async () => {
    const { status, body } = await post('/api/compute/drainage-plan', { ...groinGone, minutes: 60 });
    expect(status).toBe(200);
    expect(DrainagePlanResponse.safeParse(body).error).toBeUndefined();
    expect(body.exits.map((e: { to: string; cost: number; share: number }) => [e.to, e.cost, e.share])).toEqual([
      ['axillary.left', 5, 0.58],
      ['inguinal.right', 7, 0.42],
    ]);
    expect(Object.keys(body)).toEqual([
      'decision',
      'reasons',
      'exits',
      'rejected',
      'candidates',
      'steps',
      'turns',
      'totalSeconds',
      'fits',
      'waiting',
    ]);
  });

  it('takes the house’s defaults for a school that is left out or half given', async () => {
    const bare = await post('/api/compute/drainage-plan', { focus: ['face'] });
    const half = await post('/api/compute/drainage-plan', { focus: ['face'], school: { start: 'breath-first' } });
    expect(bare.body.steps[0].place).toBe('terminus.left');
    expect(half.body.steps[0].kind).toBe('breathe');
  });

  it.each([
    ['an unknown place', { focus: ['tail.left'] }, 'focus.0'],
    ['an empty focus', { focus: [] }, 'focus'],
    ['no focus at all', {}, 'focus'],
    ['a visit of 0 minutes', { focus: ['face'], minutes: 0 }, 'minutes'],
    ['minutes as text', { focus: ['face'], minutes: '60' }, 'minutes'],
    ['an unknown finding', { focus: ['face'], findings: [{ id: 'bad-mood' }] }, 'findings.0.id'],
    ['a finding without its side', { focus: ['face'], findings: [{ id: 'nodes-removed-neck' }] }, 'findings.0.side'],
    [
      'an unknown region',
      { focus: ['face'], findings: [{ id: 'port', regions: ['moon.left'] }] },
      'findings.0.regions.0',
    ],
    ['an unknown school', { focus: ['face'], school: { hand: 'hammer' } }, 'school.hand'],
    ['an unknown qualification', { focus: ['face'], qualifications: ['wizard'] }, 'qualifications.0'],
    [
      'contradictory findings',
      {
        focus: ['face'],
        findings: [
          { id: 'nodes-removed-axillary', side: 'left' },
          { id: 'nodes-sentinel-axillary', side: 'left' },
        ],
      },
      'findings.1',
    ],
  ])('refuses %s and names the field', async (_what, request, path) => {
    const { status, type, body } = await post('/api/compute/drainage-plan', request);
    expect([status, type]).toEqual([400, 'application/problem+json']);
    expect(body.errors.map((e: { path: string }) => e.path)).toContain(path);
    expect(body.errors.every((e: { message: string }) => e.message.length > 5)).toBe(true);
  });

  it('refuses what is not JSON', async () => {
    const { status, type } = await call('POST', '/api/compute/drainage-plan', '{"focus":');
    expect([status, type]).toEqual([400, 'application/problem+json']);
  });
});

describe('POST /api/compute/drainage-check', () => {
  it('finds nothing in a plan, and names step, rule and mend when one is moved', async () => {
    const { body: plan } = await post('/api/compute/drainage-plan', groinGone);
    const sound = await post('/api/compute/drainage-check', { ...groinGone, steps: plan.steps });
    expect(sound.body).toEqual({ violations: [] });
    const [moved] = plan.steps.filter(
      (s: { place: string; kind: string }) => s.kind === 'drain' && s.place === 'knee-outer.left',
    );
    const steps = [moved, ...plan.steps.filter((s: { id: string }) => s.id !== moved.id)];
    const broken = await post('/api/compute/drainage-check', { ...groinGone, steps });
    expect(DrainageCheckResponse.safeParse(broken.body).error).toBeUndefined();
    const rules = broken.body.violations.map((v: { rule: string }) => v.rule);
    expect(rules).toEqual(expect.arrayContaining(['start-at-terminus', 'near-before-far', 'route-before-region']));
    expect(broken.body.violations.every((v: { step: string }) => v.step === moved.id)).toBe(true);
  });

  it.each([
    [
      'into a closed group',
      { kind: 'drain', place: 'thigh-upper-outer.left', toward: 'inguinal.left' },
      'no-blocked-target',
    ],
    [
      'away from the way out',
      { kind: 'drain', place: 'thigh-upper-outer.left', toward: 'thigh-lower-outer.left' },
      'always-towards',
    ],
    ['into the knee crease', { kind: 'drain', place: 'calf-upper.left', toward: 'popliteal.left' }, 'bypass-knee'],
  ])('catches a stroke %s', async (_what, step, rule) => {
    const { body } = await post('/api/compute/drainage-check', { ...groinGone, steps: [{ id: 'x', ...step }] });
    expect(body.violations.map((v: { rule: string }) => v.rule)).toContain(rule);
  });

  it('catches a stroke across a scar and on an open wound', async () => {
    const findings = [
      ...groinGone.findings,
      { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
      { id: 'open-wound', regions: ['shin-lower.left'] },
    ];
    const steps = [
      { id: 'a', kind: 'prepare', place: 'pubic.left', toward: 'pubic.right' },
      { id: 'b', kind: 'drain', place: 'shin-lower.left', toward: 'shin-upper.left' },
    ];
    const { body } = await post('/api/compute/drainage-check', { ...groinGone, findings, steps });
    const found = body.violations.map((v: { step: string; rule: string }) => `${v.step} ${v.rule}`);
    expect(found).toEqual(expect.arrayContaining(['a no-scar-crossing', 'b closed-wound-only']));
  });

  it('refuses unknown places and ids that stand twice', async () => {
    const steps = [
      { id: 'a', kind: 'clear', place: 'terminus.left' },
      { id: 'a', kind: 'clear', place: 'nowhere.left' },
    ];
    const { status, body } = await post('/api/compute/drainage-check', { ...groinGone, steps });
    expect(status).toBe(400);
    expect(body.errors.map((e: { path: string }) => e.path)).toEqual(['steps.1.id', 'steps.1.place']);
  });
});

describe('POST /api/compute/limb-volume', () => {
  const examples = JSON.parse(readFileSync(new URL('./limb-volume.examples.json', import.meta.url), 'utf8'));

  it.each(examples as readonly { id: string }[])('answers worked example $id', async (example) => {
    const {
      request,
      response,
      status = 200,
      problem,
    } = example as unknown as { request: object; response: { affectedMl: number }; status?: number; problem?: string };
    const answer = await post('/api/compute/limb-volume', request);
    expect(answer.status).toBe(status);
    if (problem) expect([answer.body.type, answer.type]).toEqual([`/problems/${problem}`, 'application/problem+json']);
    else {
      expect(LimbVolumeResponse.safeParse(answer.body).error).toBeUndefined();
      expect(answer.body.affectedMl).toBeCloseTo(response.affectedMl, 4);
    }
  });

  it.each([
    ['a girth of 0', { affected: [17, 0] }, 'affected.1'],
    ['a girth as text', { affected: [17, '18'] }, 'affected.1'],
    ['an unknown limb', { limb: 'tail' }, 'limb'],
    ['null for a method', { method: null }, 'method'],
    ['a correction of 30 %', { dominanceCorrectionPercent: 30 }, 'dominanceCorrectionPercent'],
  ])('refuses %s', async (_what, change, path) => {
    const { status, body } = await post('/api/compute/limb-volume', {
      limb: 'arm',
      positions: [0, 4],
      affected: [17, 18],
      ...change,
    });
    expect(status).toBe(400);
    expect(body.errors.map((e: { path: string }) => e.path)).toContain(path);
  });

  it('tells which of several reasons comes first', async () => {
    const { status, body } = await post('/api/compute/limb-volume', {
      limb: 'arm',
      positions: [4, 0],
      affected: [17],
      reference: null,
    });
    expect([status, body.type]).toEqual([422, '/problems/positions-not-increasing']);
  });
});

describe('GET /api/openapi.json', () => {
  it('describes every endpoint, made from the contracts', async () => {
    const { body } = await call('GET', '/api/openapi.json');
    expect(body.openapi).toBe('3.1.0');
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining([
        '/api/compute/drainage-plan',
        '/api/compute/drainage-check',
        '/api/compute/limb-volume',
        '/api/visits/{id}/events',
      ]),
    );
    const focus =
      body.paths['/api/compute/drainage-plan'].post.requestBody.content['application/json'].schema.properties.focus;
    expect(focus).toMatchObject({ type: 'array', minItems: 1 });
  });

  it('serves the anatomy’s words in plans', async () => {
    const { body } = await post('/api/compute/drainage-plan', { focus: ['arm.left'] });
    expect(
      body.steps.every((s: { place: string }) => anatomy.territories.has(s.place) || anatomy.basins.has(s.place)),
    ).toBe(true);
  });
});

describe('problem types', () => {
  it('are pages that explain themselves', async () => {
    const { body } = await post('/api/compute/drainage-plan', { focus: [] });
    const page = await call('GET', body.type);
    expect(page.status).toBe(200);
    expect(String(page.body)).toContain('names each field by its path');
    expect((await call('GET', '/problems/no-such-problem')).status).toBe(404);
  });

  it('refuse changes that come from another site', async () => {
    const response = await fetch(`${appUrl()}/api/clients`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: 'https://elsewhere.example' },
      body: JSON.stringify({ name: 'Nobody' }),
    });
    expect(response.status).toBe(403);
  });
});

describe('POST /api/compute/screening', () => {
  const examples = JSON.parse(readFileSync(new URL('./screening.examples.json', import.meta.url), 'utf8')) as readonly {
    readonly example: number;
    readonly request: object;
    readonly expect: Readonly<Record<string, string>>;
    readonly expectRegions: readonly { region: string; modality: string; decision: string | null }[];
  }[];

  it.each(examples)('answers worked case $example', async ({ request, expect: decided, expectRegions }) => {
    const { status, body } = await post('/api/compute/screening', request);
    expect(status).toBe(200);
    expect(ScreeningResponse.safeParse(body).error).toBeUndefined();
    expect(Object.keys(body)).toEqual(['overall', 'byModality', 'regions', 'questions']);
    type Row = { readonly modality: string; readonly region: string; readonly decision: string };
    const rows = body.byModality as readonly Row[];
    expect(Object.fromEntries(rows.map((row) => [row.modality, row.decision]))).toEqual(decided);
    for (const { region, modality, decision } of expectRegions) {
      const row = (body.regions as readonly Row[]).find((r) => r.region === region && r.modality === modality);
      expect(row?.decision ?? null).toBe(decision);
    }
  });

  it.each([
    ['no day', { conditions: [] }, 'visitDate'],
    ['a day that does not exist', { visitDate: '2026-02-30', conditions: [] }, 'visitDate'],
    ['an unknown condition', { visitDate: '2026-11-25', conditions: [{ id: 'bad-mood' }] }, 'conditions.0.id'],
    ['a third side', { visitDate: '2026-11-25', conditions: [{ id: 'port', side: 'up' }] }, 'conditions.0.side'],
    [
      'a place off the body',
      { visitDate: '2026-11-25', conditions: [{ id: 'port', regions: ['moon.left'] }] },
      'conditions.0.regions.0',
    ],
    [
      'an event on a day that does not exist',
      { visitDate: '2026-11-25', conditions: [{ id: 'dvt-past', date: '2025-02-30' }] },
      'conditions.0.date',
    ],
    ['an unknown work', { visitDate: '2026-11-25', conditions: [], modalities: ['juggling'] }, 'modalities.0'],
    ['an age below nothing', { visitDate: '2026-11-25', conditions: [], age: -1 }, 'age'],
  ])('refuses %s at the field', async (_what, request, at) => {
    const { status, type, body } = await post('/api/compute/screening', request);
    expect([status, type, body.errors[0].path]).toEqual([400, 'application/problem+json', at]);
    expect(body.errors[0].message).not.toBe('');
  });
});
