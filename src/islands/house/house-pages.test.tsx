import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { wordsOfPage } from '../../../tests/page-text';
import { readHouse } from '../../server/house/read-house';
import { insertAudit } from '../../server/house/audit.repository';
import { findStaff } from '../../server/people/people.repository';
import { actor, book, openHouse, type TestHouse } from '../../server/shared/test-house';
import { pack } from '../../ui/frame/packed';
import { HouseIsland } from './House';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

type Part = 'people' | 'measuring' | 'consent' | 'keeping' | 'together' | 'audit';
interface Asked {
  readonly by?: number;
  readonly about?: string;
  readonly action?: string;
  readonly page?: number;
}

async function htmlOf(part: Part, { by, about = '', action = '', page = 1 }: Asked = {}): Promise<string> {
  const view = await readHouse(house.db, { by, about, action, until: undefined, page });
  const filter = { by: String(by ?? ''), about, action, until: '' };
  return renderToStaticMarkup(<HouseIsland packed={pack({ view, part, filter, page })} />);
}
const shown = async (part: Part, asked?: Asked) => wordsOfPage(await htmlOf(part, asked));

describe('the house', () => {
  it('says its name and which version it runs, whatever is looked at', async () => {
    for (const part of ['people', 'measuring', 'consent', 'keeping', 'together', 'audit'] as const)
      expect(await shown(part), part).toMatch(/Haus am Bach .*Velvet Stone \d+\.\d+\.\d+, licences/);
  });
});

describe('people of the house', () => {
  it('are listed with their room, what they may and what they have learned', async () => {
    const text = await shown('people');
    expect(text).toMatch(/Ida Moor Owner · Room 1 · Owner: everything, and the house itself/);
    expect(text).toMatch(/Bo Farn Massage therapist · Room 2 · Therapist: all records Massage/);
    expect(text).toContain('signs in as ida');
  });

  it('say who cannot come in yet, and why', async () => {
    expect(await shown('people')).toContain('no password yet no PIN');
  });

  it('stay on the list when they have left, told apart from those who work', async () => {
    const bo = await findStaff(house.db, 2);
    if (!bo) throw new Error('nobody');
    await house.db.updateTable('therapist').set({ left_at: '2026-11-01T10:00:00.000Z' }).where('id', '=', 2).execute();
    const text = await shown('people');
    expect(text).toContain('Bo Farn');
    expect(text).toMatch(/left|has left|until/i);
  });
});

describe('what counts as swelling', () => {
  it('gives each definition with what it needs, where it comes from and how sure it is', async () => {
    const text = await shown('measuring');
    expect(text).toMatch(/Volume 10 % above the other limb needs both limbs\. .*\d{4}.* Well established\./);
    expect(text).toMatch(/from baseline needs a baseline and both limbs/);
  });

  it('names the method of each choice, and whose own error takes the table’s place', async () => {
    const text = await shown('measuring');
    expect(text).toMatch(/frustum disc Simpson/);
    expect(text).toContain('ten pairs of readings');
  });
});

describe('what clients read', () => {
  it('shows the wording in its version, and that a lawyer of the country has to read it', async () => {
    const text = await shown('consent');
    expect(text).toMatch(/version 1, since 25 Nov 2026/);
    expect(text).toContain('Have a lawyer of your country read it.');
    expect(text).toContain('what was signed keeps its own words');
  });

  it('promises no cure', async () => {
    expect(await shown('consent')).toContain('no cure or lasting result is promised');
  });
});

describe('the book of who did what', () => {
  it('begins with the newest and says who, what and of whom', async () => {
    const text = await shown('audit');
    expect(text).toMatch(/When Who What Of whom 25 Nov 2026, 8:00 Ida Moor visit booked Zoë Ahorn/);
    expect(text.indexOf('visit booked')).toBeLessThan(text.lastIndexOf('client added'));
  });

  it('names what was found as people do, not as it is stored', async () => {
    const text = await shown('audit');
    expect(text).toMatch(/finding placed .*nodes.* Zoë Ahorn/i);
    expect(text).not.toContain('nodes-removed-inguinal');
  });

  it('is searched by person, by act and by client, and says when nothing is found', async () => {
    await insertAudit(house.db, {
      ...{ at: actor.now.toISOString(), by: 2, action: 'record seen', subject: `client ${house.client}` },
    });
    const rows = (text: string) => text.slice(text.indexOf('Of whom'));
    expect(rows(await shown('audit', { by: 2 }))).toContain('Bo Farn record seen');
    expect(rows(await shown('audit', { by: 2 }))).not.toContain('visit booked');
    expect(rows(await shown('audit', { action: 'client added' }))).not.toContain('visit booked');
    const nothing = await shown('audit', { about: 'Nobody Such' });
    expect(nothing).not.toContain('Ida Moor visit booked');
  });

  it('goes on by pages, and offers the next one only where there is more', async () => {
    expect(await htmlOf('audit')).not.toContain('page=2');
    for (let day = 1; day <= 70; day += 1) await book(house, day);
    expect(await htmlOf('audit')).toContain('page=2');
    expect(await shown('audit', { page: 2 })).toContain('client added');
  });
});
