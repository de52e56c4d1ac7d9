import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import type { HomePage, KeptSheet } from '../../contracts/home-views';
import type { HomeStep } from '../../core/homecare/sheet';
import { beatAt } from '../../core/table/progress';
import { AtHome } from '../progress/AtHome';
import { Ring } from '../table/pace';
import { asTableStep } from './as-table-step';
import { HomeStart } from './HomeStart';
import { LostLink } from './LostLink';
import { PaperLog } from './PaperLog';

const words = homeWordsOf('en');
const step = (change: Partial<HomeStep> = {}): HomeStep => ({
  ...{ id: 's1', act: 'breathe', kind: 'breathe', places: ['abdominal-deep.mid'], toward: null, via: [] },
  ...{ count: 'breaths', repetitions: 10, placements: 1, seconds: 66 },
  ...change,
});
const page = (change: Partial<HomePage> = {}): HomePage => ({
  ...{ firstName: 'Marit', house: 'Haus am Bach', therapist: 'Ida Moor', phone: '0700 12', language: 'en' },
  wish: { times: ['08:00', '20:00'], daysPerWeek: 7, note: 'The stocking comes on afterwards.' },
  sheet: { routine: 'one-leg', side: 'left', parts: [{ id: 'open', steps: [step()] }], seconds: 1080 },
  ...{ linkUntil: 'Monday 25 January', thisWeek: [], mostPerWeek: 14, today: '2026-11-25', againFrom: null },
  ...change,
});
const start = (change: Partial<HomePage> = {}) =>
  renderToStaticMarkup(<HomeStart page={page(change)} words={words} onBegin={() => undefined} />);

describe('the page behind a link', () => {
  it('says what, how long and how often, what to mind, and when to stop', () => {
    const html = start();
    for (const text of ['Hello Marit', 'For the leg', 'About 18 minutes', 'Twice a day, every day', '8:00 and 20:00'])
      expect(html).toContain(text);
    for (const line of [...words.before, ...words.stop]) expect(html).toContain(line);
    expect(html).toContain('href="tel:070012"');
    expect(html).toContain('The stocking comes on afterwards.');
  });

  it('adds what the mouth and the tool ask for, only there', () => {
    const [mouth = ''] = words.touches.mouth;
    const [tool = ''] = words.touches.tool;
    const as = (routine: HomePage['sheet']['routine']) => start({ sheet: { ...page().sheet, routine } });
    expect(as('mouth')).toContain(mouth);
    expect(as('neck-jaw-tool')).toContain(tool);
    expect(as('one-leg')).not.toContain(mouth);
  });

  it('says when it was enough, and from when on again', () => {
    expect(start()).toContain('Not yet done in the last seven days.');
    const enough = start({ thisWeek: ['2026-11-24', '2026-11-25'], mostPerWeek: 2, againFrom: '2026-12-01' });
    expect(enough).toContain('Done twice in the last seven days: enough.');
    expect(enough).toContain('Twice in seven days is enough: again from Tuesday 1 December.');
  });

  it('writes nothing of a note as markup', () => {
    expect(start({ wish: { ...page().wish, note: '<script>alert(1)</script>' } })).toContain('&lt;script&gt;');
  });

  it('looks the same for a link that has run out and one that was guessed', () => {
    expect(renderToStaticMarkup(<LostLink language="en" />)).toContain('This page is not here');
  });
});

describe('the beat at home', () => {
  const ring = (input: HomeStep, ms: number) => {
    const shown = asTableStep(input);
    return renderToStaticMarkup(<Ring step={shown} beat={beatAt(shown, ms)} isPaused={false} />);
  };

  it('swells with a breath, counts a stretch, runs a hold down', () => {
    expect(ring(step(), 8000)).toContain('data-pace="breath"');
    const drain = step({ act: 'drain', kind: 'drain', count: 'times', repetitions: 5, seconds: 13 });
    expect(ring(drain, 8500)).toContain('Repetition 3 of 5');
    const press = step({ act: 'technique:pressure-point', kind: 'close', count: 'hold', repetitions: 3, seconds: 21 });
    expect(ring(press, 7000)).toContain('4 seconds of the hold are left');
  });
});

describe('what was done at home', () => {
  const sheet: KeptSheet = {
    ...{ id: 1, title: 'For the leg', madeOn: '2026-11-20', by: 'Ida Moor', isEnded: false, mostPerWeek: 14 },
    wish: {
      ...{ routine: 'one-leg', side: 'left', minutes: 18, times: ['08:00'], daysPerWeek: 7, language: 'en', note: '' },
      reach: { bends: true, usesLeft: true, usesRight: true },
    },
    ...{ log: { asked: 6, done: 3, percent: 50 }, days: ['2026-11-20', '2026-11-21'], linkUntil: null },
  };

  it('is logged from paper only for days of the sheet, those that are known ticked', () => {
    const html = renderToStaticMarkup(
      <PaperLog sheet={sheet} today="2026-11-25" onDone={() => undefined} say={() => undefined} />,
    );
    expect(html.match(/type="checkbox"/g)).toHaveLength(6);
    expect(html.match(/disabled="" checked=""|checked="" disabled=""/g)).toHaveLength(2);
    expect(html).not.toContain('19 Nov');
  });

  it('stands in Progress as a share and as a row of days', () => {
    const days = [
      { day: '2026-11-24', times: null },
      { day: '2026-11-25', times: 2 },
    ];
    const html = renderToStaticMarkup(
      <AtHome
        home={[{ title: 'For the leg', since: '2026-11-20', isEnded: true, asked: 6, done: 3, percent: 50, days }]}
      />,
    );
    expect(html).toContain('3 of 6 times (50 %)');
    expect(html).toContain('since 20 Nov, ended');
    expect(html).toContain('25 Nov: done 2 ×');
    expect(html).toContain('24 Nov: no sheet yet');
  });
});
