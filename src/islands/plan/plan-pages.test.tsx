import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import type { StageOrEnd } from '../../contracts/people-views';
import type { PlanView, VisitLookedBack } from '../../contracts/visit-views';
import { defaultSchool } from '../../core/drainage/case';
import { makeCase, planOf, type Wish } from '../../core/drainage/fixtures';
import { VisitHead } from '../visit-head/VisitHead';
import { usualVolume } from '../../core/swelling/settings';
import { NoPlan } from './NoPlan';
import { paperMarks } from './plan-marks';
import { PrintPlan } from './PrintPlan';

const visitAt = (stage: StageOrEnd, change: Partial<VisitLookedBack> = {}): VisitLookedBack => ({
  id: 5,
  startsAt: '2026-11-25T14:00:00.000Z',
  time: '14:00',
  date: 'Wednesday 25 November',
  minutes: 45,
  stage,
  focus: ['leg.left'],
  purpose: 'swelling',
  work: 'drainage, left leg · swelling',
  holds: null,
  missing: [],
  client: { id: 3, name: 'Zoë Ahorn', age: 56, about: '' },
  therapist: {
    id: 1,
    name: 'Ida Moor',
    initials: 'IM',
    title: 'Owner',
    room: 'Room 1',
    qualifications: ['lymphoedema-certified'],
  },
  findings: [],
  school: defaultSchool,
  isFirst: false,
  answers: {},
  blends: {},
  volumeSettings: usualVolume,
  volumeUnit: 'ml',
  before: null,
  after: null,
  lastTime: null,
  plan: null,
  remembered: [],
  events: [],
  lead: null,
  signatures: [],
  asideCount: 0,
  closing: null,
  ...change,
});

const planView = (wish: Wish): PlanView => {
  const plan = planOf(anatomy, ['leg.left'], wish);
  return {
    version: 1,
    drainageCase: makeCase(['leg.left'], wish),
    plan,
    steps: plan.steps,
    isRearranged: false,
    reason: '',
    treatment: null,
    isStale: false,
    madeOn: '2026-11-25',
  };
};
const groinGone: Wish = { findings: [{ id: 'nodes-removed-inguinal', side: 'left' }] };

describe('the head of a visit', () => {
  const states = (stage: StageOrEnd, here: 'ask' | 'plan' | 'close', change: Partial<VisitLookedBack> = {}) =>
    [
      ...renderToStaticMarkup(<VisitHead visit={visitAt(stage, change)} here={here} />).matchAll(/data-state="(\w+)"/g),
    ].map(([, state]) => state);

  it('shows where the visit stands', () => {
    expect(states('ask', 'ask')).toEqual(['here', 'ahead', 'ahead', 'ahead', 'ahead', 'ahead']);
    expect(states('table', 'plan')).toEqual(['done', 'ahead', 'here', 'done', 'ahead', 'ahead']);
  });

  it('counts measuring as done only when there is a taping', () => {
    const taping = { version: 1 } as VisitLookedBack['before'];
    expect(states('close', 'close', { before: taping })).toEqual(['done', 'done', 'done', 'done', 'done', 'here']);
    expect(states('close', 'close')[1]).toBe('ahead');
  });

  it('leads nowhere but back to the questions once the check has stopped it', () => {
    const html = renderToStaticMarkup(<VisitHead visit={visitAt('stopped')} here="plan" />);
    expect(html).toContain('href="/visits/5/ask"');
    expect(html).not.toContain('href="/visits/5/table"');
  });
});

describe('in place of a plan', () => {
  it('says what has to come first', () => {
    expect(renderToStaticMarkup(<NoPlan visit={visitAt('ask')} trouble={[]} />)).toContain(
      'The questions before a visit take a minute',
    );
    expect(renderToStaticMarkup(<NoPlan visit={visitAt('stopped')} trouble={[]} />)).toContain(
      'One answer speaks against any work today',
    );
    const trouble = renderToStaticMarkup(<NoPlan visit={visitAt('measure')} trouble={['Say on which side.']} />);
    expect(trouble).toContain('Say on which side.');
    expect(trouble).toContain('href="/clients/3"');
  });
});

describe('the plan on paper', () => {
  it('has every step with its number, times and clock, and the usual caution', () => {
    const plan = planView(groinGone);
    const html = renderToStaticMarkup(<PrintPlan visit={visitAt('plan')} plan={plan} />);
    expect(html.match(/<tr/g)).toHaveLength(plan.steps.length + 1);
    expect(html).toContain('Left armpit nodes, 58 %.');
    expect(html).toContain('Not the left groin nodes.');
    expect(html).toContain('Pain is a sign to stop.');
    expect(html).not.toContain('Not to be carried out');
  });

  it('says in front when it is not to be carried out, and what has to wait', () => {
    const referred = renderToStaticMarkup(
      <PrintPlan visit={visitAt('plan')} plan={planView({ ...groinGone, qualifications: ['massage'] })} />,
    );
    expect(referred).toContain('Not to be carried out');
    const short = renderToStaticMarkup(
      <PrintPlan visit={visitAt('plan')} plan={planView({ ...groinGone, minutes: 10 })} />,
    );
    expect(short).toContain('Has to wait:');
  });

  it('carries no drainage when none is given', () => {
    const plan = planView(groinGone);
    const told = { title: 'Contour strokes', how: '', cue: '', note: '', block: 'face', count: 'repetitions' } as const;
    const steps = plan.steps.slice(0, 2).map((one) => ({ ...one, told: { ...told, places: ['cheek.left'] } }));
    const html = renderToStaticMarkup(<PrintPlan visit={visitAt('plan')} plan={{ ...plan, steps }} />);
    expect(html).toContain('Contour strokes');
    for (const words of ['groin nodes', 'Ways out', 'Mind', 'Has to wait', '58 %']) expect(html).not.toContain(words);
    expect(paperMarks([], plan.plan, plan.steps).routes.length).toBeGreaterThan(0);
    expect(paperMarks([], plan.plan, steps).routes).toEqual([]);
  });

  it('says a cue and a note as sentences, and what both say only once', () => {
    const plan = planView(groinGone);
    const [first] = plan.steps;
    if (!first) throw new Error('no step');
    const words = { cue: 'Move the scalp, not the hair.', note: 'move the scalp, not the hair' };
    const told = {
      title: 'Scalp circles',
      how: 'crown',
      block: 'head',
      count: 'repetitions',
      places: [],
      ...words,
    } as const;
    const html = renderToStaticMarkup(
      <PrintPlan visit={visitAt('plan')} plan={{ ...plan, steps: [{ ...first, told }] }} />,
    );
    expect(html.match(/Move the scalp, not the hair\./g)).toHaveLength(1);
    expect(html).not.toContain('move the scalp');
  });
});

describe('the stepping stones', () => {
  const missing = [{ gate: 'check', open: 15 }] as const;

  it('name what is missing, and do not call it done', () => {
    const at = (change: Partial<VisitLookedBack>) =>
      renderToStaticMarkup(<VisitHead visit={visitAt('plan', change)} here="plan" />);
    expect(at({ missing })).toContain('check missing');
    expect(at({ missing })).not.toMatch(/Ask<\/span><span class="visually-hidden">, done/);
    expect(at({})).toMatch(/Ask<\/span><span class="visually-hidden">, done/);
  });
});
