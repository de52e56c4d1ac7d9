import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { wordsOfPage } from '../../../tests/page-text';
import { BlendInput } from '../../contracts/oil-house';
import { keepBlend } from '../../server/oils/choose-blend';
import { abandonMix, countMix, finishMix, readMix, startMix } from '../../server/oils/mix-oils';
import { bottle, clinical, fillShelf } from '../../server/oils/oil-fixtures';
import { readOilBench, readStock } from '../../server/oils/read-oils';
import { addBottle } from '../../server/oils/save-oils';
import { addFinding } from '../../server/screening/save-finding';
import { actor, finding, now, openHouse, type TestHouse } from '../../server/shared/test-house';
import { mayAll } from '../../server/treatments/treatment-fixtures';
import { pack } from '../../ui/frame/packed';
import { BottlesIsland } from './Bottles';
import { MixingCard } from './MixingCard';
import { OilsIsland } from './OilBench';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
});

const night = BlendInput.parse({
  ...{ name: 'Quiet night', area: 'body', volumeMl: 30, carrier: 'grapeseed', uses: ['sleep'] },
  parts: [
    { oil: 'lavender', drops: 9 },
    { oil: 'vetiver', drops: 3 },
  ],
});

async function benchHtml(of: { readonly visitId?: number; readonly clientId?: number } = {}): Promise<string> {
  const whole = { visitId: of.visitId ?? null, clientId: of.clientId ?? null };
  const first = await readOilBench(house.db, whole, clinical, now);
  return renderToStaticMarkup(<OilsIsland packed={pack({ first })} />);
}

describe('the bench of oils', () => {
  it('says what to do first where no bottle stands on the shelf', async () => {
    const text = wordsOfPage(await benchHtml());
    expect(text).toContain('No bottles yet. Put the house’s own on the shelf.');
    expect(text).toContain('None yet: keep one with K.');
    expect(text).toContain('0 drops of essential oil');
  });

  it('shows each oil once, by its name, its Latin one and its place in the scent', async () => {
    await fillShelf(house);
    await addBottle(house.db, bottle({ lot: 'A2' }), actor);
    const text = wordsOfPage(await benchHtml());
    expect(text).toContain('Shelf 3 oils');
    expect(text.match(/Lavandula angustifolia/g)).toHaveLength(1);
    expect(text).toMatch(/Lavender Lavandula angustifolia middle Mandarin Citrus reticulata top Vetiver .* base/);
  });

  it('marks an oil whose every bottle is too old', async () => {
    await addBottle(house.db, bottle({ oil: 'mandarin', openedOn: '2023-06-01' }), actor);
    await addBottle(house.db, bottle(), actor);
    const text = wordsOfPage(await benchHtml());
    expect(text).toContain('Citrus reticulata discard');
    expect(text).not.toContain('Lavandula angustifolia discard');
  });

  it('is for the house, for a client, or for a visit, with what only a visit can take', async () => {
    await fillShelf(house);
    expect(wordsOfPage(await benchHtml())).toContain('for the house');
    const ofClient = wordsOfPage(await benchHtml({ clientId: house.client }));
    expect(ofClient).toContain('for Zoë Ahorn');
    expect(ofClient).not.toContain('Take for the visit');
    const ofVisit = wordsOfPage(await benchHtml({ visitId: house.visit }));
    expect(ofVisit).toMatch(/for Zoë Ahorn · 9:00 · .*left leg/);
    expect(ofVisit).toContain('Take for the visit');
    expect(ofVisit).toContain('by nose');
  });

  it('lowers the limit for whoever is pregnant, and names it beside the blend', async () => {
    await fillShelf(house);
    const before = wordsOfPage(await benchHtml({ visitId: house.visit }));
    await addFinding(house.db, house.client, finding({ id: 'pregnancy-2' }), actor);
    const after = wordsOfPage(await benchHtml({ visitId: house.visit }));
    const limit = (text: string) => Number(/usual here: up to ([\d.]+) %/.exec(text)?.[1]);
    expect(limit(before)).toBe(3);
    expect(limit(after)).toBeLessThan(limit(before));
  });

  it('offers a blend that the house has kept', async () => {
    await fillShelf(house);
    expect((await keepBlend(house.db, night, clinical, actor)).kind).toBe('saved');
    const text = wordsOfPage(await benchHtml());
    expect(text).toContain('Quiet night');
    expect(text).not.toContain('None yet');
  });
});

describe('the list of bottles', () => {
  const bottlesText = async () =>
    wordsOfPage(renderToStaticMarkup(<BottlesIsland packed={pack({ first: await readStock(house.db, now) })} />));

  it('begins with what must be thrown away, and says until when the others are good', async () => {
    await fillShelf(house);
    await addBottle(house.db, bottle({ oil: 'mandarin', lot: 'OLD', openedOn: '2023-06-01' }), actor);
    const text = await bottlesText();
    expect(text).toContain('5 on the shelf, worth €48 as bought');
    expect(text).toMatch(/Mandarin OLD 1 Jun 2023 1 Dec 2024 .* Throw away .*Lavender A1 1 Jun 2026 1 Jun 2029/);
    expect(text).toMatch(/Grape seed A1 .* 400 mL of 500 mL €0\.02 a mL fresh/);
  });

  it('counts what is left in drops, as many to the mL as the oil has', async () => {
    await addBottle(house.db, bottle({ oil: 'vetiver', leftMl: 5 }), actor);
    expect(await bottlesText()).toMatch(/Vetiver .* 90 drops of 10 mL €0\.056/);
  });

  it('says how oils are stored, and that nothing is mixed or to be ordered', async () => {
    const text = await bottlesText();
    expect(text).toContain('locked from children');
    expect(text).toContain('No bottle is mixed.');
    expect(text).toContain('Nothing for the next four weeks.');
  });
});

describe('the mixing card', () => {
  async function startOne(): Promise<number> {
    await fillShelf(house);
    const wish = { blend: night, visitId: house.visit, clientId: null };
    const started = await startMix(house.db, wish, clinical, actor);
    if (!('id' in started)) throw new Error(JSON.stringify(started));
    return started.id;
  }
  async function card(id: number): Promise<string> {
    const mix = await readMix(house.db, id, now);
    if (!mix) throw new Error('no mix');
    return renderToStaticMarkup(<MixingCard first={mix} />);
  }

  it('goes oil by oil with its lot, and ends with the carrier', async () => {
    const html = await card(await startOne());
    const text = wordsOfPage(html);
    expect(text).toContain('Quiet night for Zoë Ahorn · 30 mL · costs €1.09');
    expect(text).toMatch(/Lavender 0 of 9 lot A1 Vetiver 0 of 3 lot A1 Grape seed 29\.5 mL fills up to 30 mL/);
    expect(html).toMatch(/aria-current="step"[^>]*>\s*<button[^>]*><span>Lavender/);
    expect(text).toContain('all 9 are in');
  });

  it('takes a count from the scale and has nothing to drive it with', async () => {
    const text = wordsOfPage(await card(await startOne()));
    expect(text).toContain('Take its count');
    expect(text).not.toMatch(/falls|Switch it/);
  });

  it('goes on where it was left', async () => {
    const id = await startOne();
    await countMix(house.db, id, { counted: { lavender: 9 } });
    const html = await card(id);
    expect(wordsOfPage(html)).toContain('Lavender 9 of 9');
    expect(html).toMatch(/aria-current="step"[^>]*>\s*<button[^>]*><span>Vetiver/);
  });

  it('shows the label with its lots and its day once it is mixed, and prints it', async () => {
    const id = await startOne();
    await countMix(house.db, id, { counted: { lavender: 9, vetiver: 3 } });
    expect((await finishMix(house.db, id, actor)).kind).toBe('saved');
    const html = await card(id);
    const text = wordsOfPage(html);
    expect(text).toContain('Zoë Ahorn');
    expect(text).toMatch(/Lavender|lavender/);
    expect(html).toContain(`/api/oils/mixes/${id}/label.pdf?size=`);
    expect(html).toContain(`/api/oils/mixes/${id}/aftercare.pdf`);
    expect(html).toContain(`href="/visits/${house.visit}/prepare"`);
    expect(text).not.toContain('Give this bottle up');
  });

  it('says that a bottle was given up, and counts no more', async () => {
    const id = await startOne();
    await abandonMix(house.db, id);
    const text = wordsOfPage(await card(id));
    expect(text).toContain('This bottle was given up');
    expect(text).not.toContain('Take its count');
  });
});
