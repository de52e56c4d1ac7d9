import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { pseudo, pseudoText, untranslated } from '../../../tests/pseudo';
import { clientWordsOf } from '../../catalogue/client-words/client-words';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import type { FeedbackTabletView, TabletView } from '../../contracts/ask-views';
import type { HomePage } from '../../contracts/home-views';
import { ConsentForm } from '../consent/ConsentForm';
import { HomeStart } from '../home/HomeStart';
import { FeedbackTablet } from './FeedbackTablet';
import { Tablet } from './Tablet';

const words = pseudo(clientWordsOf('en'));
const view: TabletView = {
  ...{ visitId: 1, language: 'en', firstName: 'Zoë', name: 'Zoë Ahorn', house: 'Haus am Bach', isMinor: false },
  groups: [
    {
      group: 'Skin',
      ...{ ask: pseudoText('Anything about your skin?'), suchAs: pseudoText('wounds') },
      questions: [{ id: 'eczema', ask: pseudoText('Where is it?') }],
    },
  ],
  intake: { eczema: 'yes' },
  wording: { version: 1, language: 'en', paragraphs: words.consent.paragraphs },
};
const feedback: FeedbackTabletView = {
  visitId: 1,
  language: 'en',
  firstName: 'Zoë',
  house: 'Haus am Bach',
  isScented: true,
};

describe('what a client reads, in a language that nobody speaks', () => {
  it('stands in tables to the last word', () => {
    const pages = [
      renderToStaticMarkup(<Tablet view={view} words={words} />),
      renderToStaticMarkup(<FeedbackTablet view={feedback} words={words} />),
      renderToStaticMarkup(
        <ConsentForm
          wording={view.wording}
          words={words.consent}
          clientName="Zoë Ahorn"
          isMinor={false}
          onSign={() => Promise.resolve(undefined)}
          onDone={() => undefined}
        />,
      ),
    ];
    for (const page of pages) {
      expect(page).toContain('⟦');
      expect(untranslated(page, ['Zoë', 'Haus am Bach'])).toEqual([]);
    }
  });

  it('would be found out where a sentence is written into the page', () => {
    expect(untranslated('<p>⟦Höw fâr⟧</p><button aria-label="Go on">⟦Göø⟧</button>')).toEqual(['Go on']);
    expect(untranslated('<h1>Questions</h1>')).toEqual(['Questions']);
  });

  it('stands in tables on the page behind a link too', () => {
    const sheetWords = pseudo(homeWordsOf('en'));
    const page: HomePage = {
      ...{ firstName: 'Marit', house: 'Haus am Bach', therapist: 'Ida Moor', phone: '0700 12', language: 'en' },
      wish: { times: ['08:00'], daysPerWeek: 7, note: '' },
      sheet: {
        routine: 'one-leg',
        side: 'left',
        parts: [
          {
            id: 'open',
            steps: [
              {
                ...{ id: 's1', act: 'breathe', kind: 'breathe', places: ['abdominal-deep.mid'], toward: null, via: [] },
                ...{ count: 'breaths', repetitions: 10, placements: 1, seconds: 66 },
              },
            ],
          },
        ],
        seconds: 1080,
      },
      ...{ linkUntil: '2026-12-24', thisWeek: [], mostPerWeek: 14, today: '2026-11-25', againFrom: '2026-11-26' },
    };
    const html = renderToStaticMarkup(<HomeStart page={page} words={sheetWords} onBegin={() => undefined} />);
    expect(untranslated(html, ['0700 12'])).toEqual([]);
  });
});
