import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { DayView, DayVisit } from '../../contracts/day-views';
import { countdownInWords } from './Countdown';
import { DayThread } from './DayThread';

const visit = (id: number, stage: DayVisit['stage']): DayVisit => ({
  id,
  time: '14:00',
  startsAt: '2026-11-25T14:00:00.000Z',
  minutes: 45,
  stage,
  client: { id, name: `Client ${id}`, age: 50, about: 'Left groin nodes removed' },
  therapist: { id: 1, name: 'Ida Moor', initials: 'IM', title: 'Owner', room: 'Room 1', qualifications: [] },
  work: 'drainage, left leg · swelling',
  line: 'visit 3',
  tasks: [
    { text: 'Ask first', when: 'at the door', done: stage !== 'ask', stage: 'ask', isPressing: true },
    { text: 'Lay out', when: 'set out', done: false, stage: 'plan', isPressing: false },
  ],
});

const day = (visits: readonly DayVisit[]): DayView => ({
  title: 'Wednesday 25 November',
  date: '2026-11-25',
  now: '2026-11-25T13:00:00.000Z',
  house: 'Haus am Bach',
  week: [{ date: '2026-11-25', weekday: 'Wed', day: '25', visits: visits.length, isToday: true }],
  visits,
  looseEnds: [],
  mayTreat: true,
  outbox: { due: 0, failed: 0 },
  before: '2026-11-18',
  after: '2026-12-02',
  therapists: [],
});

const shown = (visits: readonly DayVisit[], currentId: number | null = null) =>
  renderToStaticMarkup(<DayThread day={day(visits)} isToday currentId={currentId} />);

describe('the day as a thread', () => {
  it('says what to do on an empty day', () => {
    const html = shown([]);
    expect(html).toContain('no visits');
    expect(html).toContain('find a client');
    expect(html).toContain('Every record before today is closed.');
  });

  it('leads each visit to where it stands', () => {
    expect(shown([visit(1, 'ask')])).toContain('href="/visits/1/ask"');
    expect(shown([visit(1, 'prepare')])).toContain('href="/visits/1/prepare"');
    expect(shown([visit(1, 'table')])).toContain('Back to the table');
    expect(shown([visit(1, 'stopped')])).toContain('See why');
    expect(shown([visit(1, 'done')])).toContain('href="/clients/1"');
  });

  it('has one filled button, at the visit whose turn it is', () => {
    const html = shown([visit(1, 'done'), visit(2, 'measure'), visit(3, 'ask')], 2);
    expect(html.match(/data-look="filled"/g)).toHaveLength(1);
    expect(html).toContain('3 visits · 1 closed');
  });

  it('does not show what is located on the body of a client who has left', () => {
    expect(shown([visit(1, 'done')])).not.toContain('groin');
    expect(shown([visit(1, 'ask')])).toContain('Left groin nodes removed');
  });

  it('says in words what is done', () => {
    expect(shown([visit(1, 'measure')], 1)).toContain(', done');
  });

  it('leads the front desk to the client, never into a visit', () => {
    const html = renderToStaticMarkup(
      <DayThread day={{ ...day([visit(1, 'ask')]), mayTreat: false }} isToday currentId={1} />,
    );
    expect(html).toContain('href="/clients/1"');
    expect(html).not.toContain('/visits/');
    expect(html).not.toContain('Loose ends');
  });

  it('says what waits in the outbox, and what went wrong before that', () => {
    const html = (outbox: DayView['outbox']) =>
      renderToStaticMarkup(<DayThread day={{ ...day([]), outbox }} isToday currentId={null} />);
    expect(html({ due: 0, failed: 0 })).toContain('none due');
    expect(html({ due: 2, failed: 0 })).toContain('2 to send');
    expect(html({ due: 2, failed: 1 })).toContain('1 not delivered');
  });
});

describe('the countdown', () => {
  it('speaks only when it matters', () => {
    expect([121, 120, 1, 0, -4, -61].map(countdownInWords)).toEqual([
      '',
      'in 120 min',
      'in 1 min',
      'now',
      '4 min late',
      '',
    ]);
  });
});
