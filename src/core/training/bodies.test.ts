import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { trainingBooks as books } from '../../catalogue/training';
import { type DrainageCase, defaultSchool } from '../drainage/case';
import { bodyOf, bodyOfCourse, courseCaseOf } from './bodies';
import { drawOf } from './draw';
import { markDrill, NoSoundCase, questionOf } from './drills';
import { courseKinds, levels } from './kinds';

const planned: DrainageCase = {
  focus: ['arm.left'],
  purpose: 'swelling',
  findings: [
    { id: 'nodes-removed-axillary', side: 'left' },
    { id: 'port', regions: ['chest-upper.right'] },
  ],
  school: defaultSchool,
  minutes: 40,
  fill: false,
  qualifications: ['massage'],
  screened: {
    drainage: { decision: 'modify', reasons: ['A reason that names her illness.'] },
    rerouting: { decision: 'ok', reasons: [] },
    keptOff: [],
    lighterAt: {},
  },
};

describe('a course that is taken from a plan', () => {
  it('leaves behind who it is for: nothing names, dates or ages anybody', () => {
    const taken = courseCaseOf({
      ...planned,
      findings: planned.findings.map((finding) => ({ ...finding, note: 'Told by her sister.', sinceOn: '2024-03' })),
    });
    expect(Object.keys(taken).sort()).toEqual(['fill', 'findings', 'focus', 'minutes', 'purpose', 'school']);
    expect(JSON.stringify(taken)).not.toMatch(/sister|2024|illness/);
  });

  it.each(courseKinds)('is asked for and judged as any other case of “%s”', (kind) => {
    const body = bodyOfCourse(anatomy, courseCaseOf(planned));
    if (!body.ok) throw new Error(body.errors[0]?.message);
    const wish = { kind, level: 2, seed: 3, body: body.value } as const;
    const { question } = questionOf(books, wish);
    expect((question as { readonly words: string }).words).toContain('arm');
    const givenUp = markDrill(books, wish, null);
    if (!givenUp.ok) throw new Error('given up is no error');
    expect(markDrill(books, wish, givenUp.value.best)).toMatchObject({ ok: true, value: { score: 1, faults: [] } });
  });

  it('has no way round in it where nothing is in the way', () => {
    const body = bodyOfCourse(anatomy, courseCaseOf({ ...planned, findings: [] }));
    if (!body.ok) throw new Error(body.errors[0]?.message);
    const wish = { kind: 'route', level: 2, seed: 3, body: body.value } as const;
    expect(() => questionOf(books, wish)).toThrow(NoSoundCase);
  });

  it('is refused as the planner refuses it', () => {
    expect(bodyOfCourse(anatomy, courseCaseOf({ ...planned, focus: ['elbow.middle'] }))).toMatchObject({
      ok: false,
      errors: [{ path: 'focus.0' }],
    });
  });
});

describe('a body that is drawn', () => {
  it('has the more in the way the higher the level', () => {
    const findings = (level: (typeof levels)[number]) => {
      const bodies = Array.from({ length: 40 }, (_, seed) => bodyOf(anatomy, drawOf('body', level, seed), level));
      const counts = bodies.flatMap((body) => (body ? [body.read.findings.length] : []));
      return counts.reduce((sum, one) => sum + one, 0) / counts.length;
    };
    const means = levels.map(findings);
    expect(means[0]).toBe(0);
    expect(means).toEqual([...means].sort((a, b) => a - b));
  });

  it('is told with its side and its minutes', () => {
    for (const level of levels) {
      const body = bodyOf(anatomy, drawOf('told', level), level);
      expect(body?.words).toContain(`in ${body?.read.minutes} minutes`);
      expect(body?.words).toMatch(/left|right/);
    }
  });
});
