import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { beforeAll, describe, expect, it } from 'vitest';
import { AskView } from '../islands/ask/AskView';
import { StoneBench } from '../islands/bench/StoneBench';
import { ClientPage } from '../islands/client/ClientPage';
import { ContactPage } from '../islands/client/ContactPage';
import { CloseView } from '../islands/close/CloseView';
import { DayThread } from '../islands/day/DayThread';
import { LibraryView } from '../islands/library/LibraryView';
import { MeasureView } from '../islands/measure/MeasureView';
import { Bottles } from '../islands/oils/Bottles';
import { OilBench } from '../islands/oils/OilBench';
import { Details } from '../islands/progress/Details';
import { ProgressView } from '../islands/progress/ProgressView';
import { RoomList } from '../islands/room/RoomList';
import { Tablet } from '../islands/tablet/Tablet';
import { readClient, readContact } from '../server/clients/read-client';
import { type Db, openDatabase } from '../server/db/connection';
import { readLibrary } from '../server/library/read-library';
import { readMeasure } from '../server/measures/read-measure';
import { readProgress } from '../server/measures/read-progress';
import { readOilBench, readStock } from '../server/oils/read-oils';
import { readAsk } from '../server/screening/read-ask';
import { readStoneBench } from '../server/stones/read-stones';
import { readRoom } from '../server/treatments/read-room';
import { readClose } from '../server/visits/read-close';
import { readDay } from '../server/visits/read-day';
import { readTablet } from '../server/visits/read-tablet';
import { demoClients } from './clients.data';
import { ensureDemoHouse } from './demo-house';

/** Every view of the demo house, as it first comes to a browser: whatever the data, nothing odd stands in a page. */

const now = new Date(2026, 10, 25, 9, 30);
const today = '2026-11-25';
const training = ['massage', 'lymphoedema-certified', 'clinical-aromatherapy'];

let db: Db;
let visits: readonly number[];
const clients = demoClients.map((_, i) => i + 1);
beforeAll(async () => {
  db = openDatabase(':memory:');
  await ensureDemoHouse(db, now);
  visits = (await readDay(db, now, now)).visits.map(({ id }) => id);
});

const markup = (view: ReactElement) => renderToStaticMarkup(view);

/** What a reader sees, without tags. */
const textOf = (html: string) =>
  html
    .replace(/<(style|script)[^>]*>.*?<\/\1>/gs, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&[a-z#0-9]+;/g, ' ');

/** Values that slipped into a sentence, and sentences that were put together badly. */
function oddities(html: string): readonly string[] {
  const text = textOf(html);
  const found = [
    /\bundefined\b/,
    /(?<!says )\bNaN\b/,
    /\[object /,
    /\bInfinity\b/,
    /\bnull\b/,
    /\.\./,
    /\b1 (visits|clients|drops|steps|minutes)\b/,
  ]
    .flatMap((odd) => odd.exec(text)?.[0] ?? [])
    .map((odd) => `“${odd}”: …${text.slice(Math.max(0, text.indexOf(odd) - 40), text.indexOf(odd) + 40)}…`);
  const ids = [...html.matchAll(/ id="([^"]+)"/g)].flatMap(([, id]) => id ?? []);
  const twice = ids.filter((id, i) => ids.indexOf(id) !== i).map((id) => `the id ${id} stands twice`);
  const unnamed = [...html.matchAll(/<button([^>]*)>(.*?)<\/button>/gs)]
    .filter(([, attributes = '', inner = '']) => !attributes.includes('aria-label') && textOf(inner).trim() === '')
    .map(([whole]) => `a button without a name: ${whole.slice(0, 120)}`);
  const pictures = [...html.matchAll(/<img([^>]*)>/g)]
    .filter(([, a = '']) => !/ alt=/.test(a))
    .map(() => 'a picture without words');
  return [...found, ...twice, ...unnamed, ...pictures];
}

async function expectSound<T>(views: readonly T[], make: (one: T) => Promise<ReactElement | undefined>): Promise<void> {
  let shown = 0;
  for (const one of views) {
    const view = await make(one);
    if (!view) continue;
    const html = markup(view);
    expect(oddities(html), String(one)).toEqual([]);
    expect(textOf(html).trim().length, String(one)).toBeGreaterThan(60);
    shown += 1;
  }
  expect(shown).toBeGreaterThan(0);
}

describe('nothing odd stands in', () => {
  it('the day, today and on other days, for those who treat and for the front desk', () =>
    expectSound([-30, -7, -1, 0, 1, 7, 60], async (ahead) => {
      const day = new Date(now.getTime() + ahead * 86_400_000);
      const view = await readDay(db, day, now, ahead % 2 === 0);
      return <DayThread day={view} isToday={ahead === 0} currentId={view.visits[0]?.id ?? null} />;
    }));

  it('the record of any client', () =>
    expectSound(clients, async (id) => {
      const view = await readClient(db, id, now);
      return view && <ClientPage view={view} today={today} isOwner={id % 2 === 0} />;
    }));

  it('what the front desk sees of a client', () =>
    expectSound(clients, async (id) => {
      const view = await readContact(db, id, now);
      return view && <ContactPage view={view} today={today} />;
    }));

  it('the consultation of any visit', () =>
    expectSound(visits, async (id) => {
      const view = await readAsk(db, id);
      return view && <AskView view={view} today={today} />;
    }));

  it('the tablet of any visit', () =>
    expectSound(visits, async (id) => {
      const view = await readTablet(db, id);
      return view && <Tablet view={view} />;
    }));

  it.each(['tape', 'skin', 'feel', 'face', 'lines', 'belly', 'pictures'] as const)('measuring: %s', (sheet) =>
    expectSound(visits, async (id) => {
      const view = await readMeasure(db, id);
      return view && <MeasureView view={view} phase="before" sheet={sheet} />;
    }),
  );

  it('measuring after the work', () =>
    expectSound(visits, async (id) => {
      const view = await readMeasure(db, id);
      return view && <MeasureView view={view} phase="after" sheet="tape" />;
    }));

  it('the room list of any visit that is planned', () =>
    expectSound(visits, async (id) => {
      const room = await readRoom(db, id);
      return room && <RoomList room={room} now={now.toISOString()} />;
    }));

  it('the closing of any visit', () =>
    expectSound(visits, async (id) => {
      const view = await readClose(db, id);
      return view && <CloseView view={view} />;
    }));

  it('the progress of any client', () =>
    expectSound(clients, async (id) => {
      const view = await readProgress(db, id, now);
      return (
        view && (
          <>
            <ProgressView head={view} />
            <Details clientId={view.client.id} details={view} />
          </>
        )
      );
    }));

  it('the oil bench, for the house and for any visit of the day', () =>
    expectSound([null, ...visits], async (visitId) => (
      <OilBench first={await readOilBench(db, { visitId, clientId: null }, training, now)} />
    )));

  it('the oil bench of a therapist who may only pour what is ready', () =>
    expectSound([null, ...visits], async (visitId) => (
      <OilBench first={await readOilBench(db, { visitId, clientId: null }, ['massage'], now)} />
    )));

  it('the bottles', () => expectSound(['bottles'], async () => <Bottles first={await readStock(db, now)} />));

  it('the stone bench, for the house and for any visit of the day', () =>
    expectSound([null, ...visits], async (visitId) => <StoneBench first={await readStoneBench(db, visitId, now)} />));

  it('the library, opened at any technique and any protocol', async () => {
    const first = await readLibrary(db, training);
    await expectSound([null, ...first.techniques.map(({ value }) => value.id)], (id) =>
      Promise.resolve(<LibraryView first={first} opened={id === null ? null : { of: 'technique', id }} />),
    );
    await expectSound(
      first.protocols.map(({ value }) => value.id),
      (id) => Promise.resolve(<LibraryView first={first} opened={{ of: 'protocol', id }} />),
    );
  }, 120_000);
});
