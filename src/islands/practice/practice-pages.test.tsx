import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { trainingBooks as books } from '../../catalogue/training';
import type { KnownView, PracticeMarked } from '../../contracts/practice';
import { type AnswerOf, markDrill, type QuestionOf, questionOf } from '../../core/training/drills';
import { type DrillKind, drillKinds, type Level } from '../../core/training/kinds';
import { drillNames } from '../../core/training/names';
import { ChangeDrill } from './ChangeDrill';
import { CountDrill } from './CountDrill';
import { DropsAfter } from './DropsAfter';
import { DropsDrill } from './DropsDrill';
import { HeatDrill } from './HeatDrill';
import { KindTabs } from './KindTabs';
import { Known } from './Known';
import { OrderDrill } from './OrderDrill';
import { PaceDrill } from './PaceDrill';
import { ScreenDrill } from './ScreenDrill';
import { titleOf } from './step-title';
import { Verdict } from './Verdict';

const nothing = () => undefined;
const html = (element: ReactElement) => renderToStaticMarkup(element);

/** A case of a kind, with its best answer. */
function caseOf<K extends DrillKind>(kind: K, level: Level = 2, seed = 3) {
  const wish = { kind, level, seed };
  const marked = markDrill(books, wish, null);
  if (!marked.ok) throw new Error(`no case of ${kind}`);
  const question = questionOf(books, wish).question as unknown as QuestionOf<K>;
  return { question, best: marked.value.best as AnswerOf<K> };
}
const asked = { onChange: nothing, best: undefined, faults: [] } as const;

describe('a case before it is answered', () => {
  it('of an order offers each step as a button, and nothing as placed', () => {
    const { question } = caseOf('order');
    const page = html(<OrderDrill question={question} {...asked} />);
    expect(page).toContain('Press the steps in their order');
    for (const step of question.steps) expect(page).toContain(titleOf(step));
    expect(page).not.toContain('What would have been right');
  });

  it('of a change lays both runs beside each other, to a tenth', () => {
    const { question } = caseOf('change');
    const page = html(<ChangeDrill question={question} {...asked} />);
    expect(page.match(/<th scope="row">/g)).toHaveLength(question.positions.length);
    expect(page).toContain(`<td>${question.before.affected[0]?.toFixed(1)}</td>`);
    expect(page).toContain('cannot be told');
    expect(page).not.toContain(': right');
  });

  it('of screening asks for every kind of work, and for the limit that matters', () => {
    const { question } = caseOf('screen');
    const page = html(<ScreenDrill question={question} {...asked} />);
    for (const { label } of question.modalities) expect(page).toContain(label);
    expect(page).toContain('The limit that matters most');
    expect(page).toContain('none of these holds');
  });

  it('of drops begins with none of each oil', () => {
    const { question } = caseOf('drops');
    const page = html(<DropsDrill question={question} {...asked} />);
    for (const { name } of question.oils) expect(page).toContain(`Drops of ${name}`);
    expect(page.match(/<output>0<\/output>/g)).toHaveLength(question.oils.length);
    expect(page).toContain('Not for this client');
  });

  it('of a stone asks for a first touch and a time', () => {
    const page = html(<HeatDrill question={caseOf('heat').question} {...asked} />);
    expect(page).toContain('At the first touch, °C');
    expect(page).toContain('May lie, seconds');
    expect(page).not.toContain('right:');
  });

  it('of a pace says how often, and waits for the first press', () => {
    const { question } = caseOf('pace');
    const page = html(<PaceDrill question={question} {...asked} />);
    expect(page).toContain(`One every ${question.low} to ${question.high} seconds.`);
    expect(page).toContain('Press to begin');
    expect(page).toContain('0 strokes');
    expect(page).not.toContain('Your gaps over the minute');
  });

  it('of counting shows what is to be counted, as at the table', () => {
    const { question } = caseOf('count');
    const page = html(<CountDrill question={question} {...asked} />);
    expect(page.match(/<li/g)).toHaveLength(question.steps.length);
    for (const { place } of question.steps) expect(page).toContain(place);
    expect(page).toContain('Begin');
  });
});

describe('a case after it was judged', () => {
  it('of a change names the verdict that was right, and takes no other', () => {
    const { question, best } = caseOf('change');
    const page = html(<ChangeDrill question={question} {...asked} best={best} />);
    expect(page).toMatch(/(changed|cannot be told|the tape slipped): right/);
    expect(page).toContain('disabled=""');
  });

  it('of a stone shows the warmth and the time beside the fields', () => {
    const { question, best } = caseOf('heat');
    const page = html(<HeatDrill question={question} {...asked} best={best} />);
    expect(page).toContain(`right: ${best.firstC}`);
    expect(page).toContain(`right: ${best.seconds}`);
  });

  it('of drops shows the drops, or that it was not for this client', () => {
    for (const seed of [1, 2, 3, 4, 5, 6, 7, 8]) {
      const { question, best } = caseOf('drops', 3, seed);
      const page = html(<DropsDrill question={question} {...asked} best={best} />);
      if ('drops' in best && best.drops)
        for (const { id } of question.oils) expect(page).toContain(`right: ${best.drops[id]}`);
      else expect(page).toContain('that was right');
    }
  });

  it('of drops holds what was given against the limits of this client, where anything was given', () => {
    const { question } = caseOf('drops');
    const [oil] = question.oils;
    if (!oil) throw new Error('no oil');
    expect(html(<DropsAfter question={question} drops={{ [oil.id]: 2 }} />)).not.toBe('');
    expect(html(<DropsAfter question={question} drops={{ [oil.id]: 0 }} />)).toBe('');
  });

  it('of screening writes each decision behind its kind of work', () => {
    const { question, best } = caseOf('screen');
    const page = html(<ScreenDrill question={question} {...asked} best={best} />);
    for (const { label } of question.modalities) expect(page).toContain(`${label} · `);
  });

  it('of counting says how many strokes each place would have had', () => {
    const { question, best } = caseOf('count');
    const page = html(<CountDrill question={question} {...asked} best={best} />);
    for (const { count } of question.steps) expect(page).toContain(`0 of ${count}`);
  });
});

describe('a verdict', () => {
  const marked = (score: number, more: Partial<PracticeMarked> = {}) => {
    const session = { day: '2 Dec', seconds: 240, answers: 3, mean: 0.8, isOver: false };
    const all = { score, faults: [], best: {}, comesBack: [], session, ...more };
    return html(<Verdict marked={all as unknown as PracticeMarked} />);
  };

  it.each([
    [1, 'Right.', true],
    [0.7, 'Nearly.', false],
    [0.2, 'Not yet.', false],
  ])('of %d says “%s”', (score, words, isRight) => {
    expect(marked(score)).toContain(`<strong>${words}</strong> ${Math.round(100 * score)} of 100`);
    expect(marked(score).includes('data-right="true"')).toBe(isRight);
  });

  it('tells the same fault once, three at first, and the rest folded', () => {
    const faults = ['a', 'b', 'c', 'd', 'a'].map((text, i) => ({ rule: 'none', text: `fault ${text}`, step: `s${i}` }));
    const page = marked(0.5, { faults });
    expect(page.match(/fault a/g)).toHaveLength(1);
    expect(page).toContain('and 1 more');
    expect(page.indexOf('<details>')).toBeLessThan(page.indexOf('fault d'));
    expect(page.indexOf('<details>')).toBeGreaterThan(page.indexOf('fault c'));
  });

  it('names what comes back, and when ten minutes are done', () => {
    const session = { day: '2 Dec', seconds: 610, answers: 12, mean: 0.85, isOver: true };
    const page = marked(1, { comesBack: ['Openings first'], session: session as PracticeMarked['session'] });
    expect(page).toContain('Comes back: openings first.');
    expect(page).toContain('Ten minutes are done: 12 cases, 85 of 100 on the average.');
    expect(marked(1)).not.toContain('Ten minutes are done');
  });
});

describe('the kinds of drills', () => {
  it('stand beside each other, and as one field on a phone', () => {
    const page = html(<KindTabs here="heat" onChange={nothing} />);
    expect(page.match(/<button/g)).toHaveLength(drillKinds.length + 1);
    expect(page.match(/<option/g)).toHaveLength(drillKinds.length + 1);
    expect(page).toContain(`<button type="button" aria-pressed="true">${drillNames.heat}</button>`);
    expect(page).toContain('as it comes');
  });
});

describe('what one knows', () => {
  const skill = (id: string, sure: number | null, isDue = false) => ({
    ...{ kind: 'order' as const, id, title: `Rule ${id}`, sure, isDue },
  });
  const view: KnownView = {
    skills: [skill('one', 0.9), skill('two', 0.25, true), skill('three', null), skill('four', null)],
    ...{ dueToday: 1, session: null, sessions: [], sets: [] },
  };
  const page = (known: KnownView, isTrainer = false) =>
    html(
      <Known known={known} isTrainer={isTrainer} pane={{ 'data-pane': 'here' }} onTake={nothing} onErased={nothing} />,
    );

  it('begins with what is least sure, and counts what was never asked', () => {
    const shown = page(view);
    expect(shown.indexOf('Rule two')).toBeLessThan(shown.indexOf('Rule one'));
    expect(shown).toContain('Rule two: 25 of 100 sure');
    expect(shown).toContain('One rule comes back today.');
    expect(shown).toContain('2 rules not asked yet');
    expect(shown).not.toContain('Rule three');
  });

  it('offers to erase only what is there', () => {
    expect(page(view)).toContain('Erase my results');
    const fresh = page({ ...view, skills: [skill('three', null)], dueToday: 0 });
    expect(fresh).not.toContain('Erase my results …');
    expect(fresh).toContain('Nothing is due today.');
  });

  it('names what a trainer has set: by when, before which work, and how it stands', () => {
    const set = { id: 4, kind: 'drops' as const, level: 3 as const, seed: 12, dueOn: '2026-12-20', due: '20 Dec' };
    const shown = page({ ...view, sets: [{ ...set, work: 'aromatherapy', best: 0.62 }] });
    expect(shown).toContain(`${drillNames.drops}, level 3, case 12`);
    expect(shown).toContain('by 20 Dec · before aromatherapy · 62 of 100 so far');
    expect(page({ ...view, sets: [{ ...set, work: null, best: null }] })).toContain('<small>by 20 Dec</small>');
  });

  it('tells each session in words, the newest first', () => {
    const session = (day: string, mean: number) => ({ day, seconds: 600, answers: 9, mean, isOver: true });
    const shown = page({ ...view, sessions: [session('1 Dec', 0.5), session('2 Dec', 0.75)] });
    expect(shown.indexOf('2 Dec: 10 min, 9 cases, 75 of 100')).toBeLessThan(shown.indexOf('1 Dec: 10 min'));
    expect(shown).toContain('height:75%');
  });

  it('shows the house only to a trainer', () => {
    expect(page(view)).not.toContain('The house practises');
    expect(page(view, true)).toContain('The house practises');
  });
});

describe('a step of a case', () => {
  it('is called by its name, and by its place alone where the name is not told', () => {
    const [step] = caseOf('order', 1).question.steps;
    if (!step) throw new Error('no step');
    expect(titleOf({ ...step, label: 'Left armpit nodes' })).toBe('Left armpit nodes');
    expect(titleOf({ ...step, label: undefined, kind: 'close', place: 'calf-upper.left' } as never)).toContain(
      'a closing at the left',
    );
    expect(titleOf({ ...step, label: undefined, kind: 'drain', place: 'calf-upper.left' } as never)).toContain(
      'a stroke at the left',
    );
  });
});
