import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { saveClosing, finishVisit } from '../../server/visits/close-visit';
import { actor, book, closing, now, openHouse, taping, type TestHouse } from '../../server/shared/test-house';
import { readClient, readContact } from '../../server/clients/read-client';
import { correctClient } from '../../server/clients/save-client';
import { saveTaping } from '../../server/measures/save-taping';
import { ClientPage } from './ClientPage';
import { ContactPage } from './ContactPage';
import { EditClient } from './EditClient';
import { Files } from './Files';
import { Visits } from './Visits';
import { inMl } from '../../core/volume-units';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const today = '2026-11-25';
const viewOf = async () => {
  const view = await readClient(house.db, house.client, now);
  if (!view) throw new Error('no client');
  return view;
};
const page = async (isOwner = true) =>
  renderToStaticMarkup(<ClientPage view={await viewOf()} today={today} isOwner={isOwner} />);

describe('a client’s page', () => {
  it('shows cautions before everything else, likes after them', async () => {
    const { data } = await viewOf();
    await correctClient(
      house.db,
      house.client,
      { ...data, likes: { ...data.likes, music: 'off', scentsDisliked: 'lavender' }, basedOn: 1 },
      actor,
    );
    const html = await page();
    const caution = html.indexOf('never into closed nodes');
    const like = html.indexOf('music off');
    expect(caution).toBeGreaterThan(0);
    expect(like).toBeGreaterThan(caution);
    expect(html).toContain('lavender');
  });

  it('offers erasure to the owner only', async () => {
    expect(await page(true)).toContain('Erase for good');
    expect(await page(false)).not.toContain('Erase for good');
  });

  it('lists what is booked, with moving and cancelling', async () => {
    const html = await page();
    expect(html).toContain('Wednesday 25 November, 9:00');
    expect(html).toContain('aria-label="Move: Wednesday 25 November, 9:00"');
  });
});

describe('the thread of visits', () => {
  it('says so when there is none', () => {
    expect(renderToStaticMarkup(<Visits history={[]} volumes={inMl} />)).toContain('No visit yet.');
  });

  it('gives each visit its excess with the change, and how it closed', async () => {
    const earlier = await book(house, -14);
    const legs = {
      phase: 'before' as const,
      limb: 'leg' as const,
      side: 'left' as const,
      unit: 'cm' as const,
      method: 'frustum' as const,
      positions: [0, 4, 8, 12],
      reference: [22, 24, 27, 30],
      basedOn: 0,
    };
    await saveTaping(house.db, earlier, taping({ ...legs, affected: [24, 26, 30, 34] }), actor);
    await saveTaping(house.db, house.visit, taping({ ...legs, affected: [23, 25, 28, 32] }), actor);
    await saveClosing(
      house.db,
      earlier,
      closing({ pressure: 0, comfort: 8, redness: 1, note: 'calm', basedOn: 0 }),
      actor,
    );
    await finishVisit(house.db, earlier, actor);
    const html = renderToStaticMarkup(<Visits history={(await viewOf()).history} volumes={inMl} />);
    expect(html).toContain('comfort 8 of 10');
    expect(html).toMatch(/within measuring error|beyond measuring error/i);
    expect(html).toContain('aria-busy="true"');
  });
});

describe('the page of the front desk', () => {
  const contact = async () => {
    const view = await readContact(house.db, house.client, now);
    if (!view) throw new Error('no client');
    return renderToStaticMarkup(<ContactPage view={view} today={today} />);
  };

  it('has contact and bookings, nothing of findings', async () => {
    const html = await contact();
    expect(html).toContain('Zoë Ahorn');
    expect(html).toContain('Book a visit');
    expect(html).not.toMatch(/groin|Likes and dislikes|Medicines/);
  });
});

describe('the form of a client’s data', () => {
  it('asks the desk only for contact data', async () => {
    const { data } = await viewOf();
    const form = (isContactOnly: boolean) =>
      renderToStaticMarkup(
        <EditClient
          clientId={1}
          data={data}
          version={1}
          messagesSaidOn=""
          isContactOnly={isContactOnly}
          onSaved={() => undefined}
        />,
      );
    expect(form(true)).not.toContain('Likes and dislikes');
    expect(form(false)).toContain('Scents disliked');
    expect(form(true)).toContain('value="0700 1"');
  });
});

describe('files and consent', () => {
  it('say what may be kept, and who signed what', () => {
    const shown = (consent: Parameters<typeof Files>[0]['consent']) =>
      renderToStaticMarkup(
        <Files
          clientId={1}
          initial={[
            {
              id: 1,
              name: 'letter.pdf',
              mediaType: 'application/pdf',
              bytes: 2_400_000,
              addedAt: '2026-11-01T09:00:00Z',
            },
          ]}
          consent={consent}
          say={() => undefined}
          onRemove={() => Promise.resolve()}
        />,
      );
    expect(shown(null)).toContain('Not signed yet');
    expect(shown(null)).toContain('2.4 MB');
    const signed = {
      signedAt: '2026-10-01T09:00:00Z',
      name: 'Zoë',
      signer: 'client' as const,
      areas: ['groin'],
      wordingVersion: 2,
      isDue: true,
    };
    expect(shown(signed)).toContain('Areas agreed to: groin.');
    expect(shown(signed)).toContain('Due again.');
  });
});
