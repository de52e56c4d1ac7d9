import { beforeEach, describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { LibraryFile } from '../../contracts/library';
import type { Protocol } from '../../core/library/protocol';
import type { Technique } from '../../core/library/technique';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { plainLibrary } from './plain-library';
import { exportLibrary, labelOfRegion, readHouseLibrary, readLibrary } from './read-library';
import { importLibrary, restoreEntry, saveProtocol, saveTechnique } from './save-library';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const technique = (id: string): Technique => {
  const found = shippedLibrary.techniques.get(id);
  if (!found) throw new Error(id);
  return found;
};
const protocol = (id: string): Protocol => {
  const found = shippedLibrary.protocols.get(id);
  if (!found) throw new Error(id);
  return found;
};
const file = (techniques: readonly Technique[], protocols: readonly Protocol[] = []): LibraryFile =>
  LibraryFile.parse({ format: 'velvet-stone-library', version: 1, techniques, protocols });

describe('own versions', () => {
  it('stand before what ships, show what differs, and give way again', async () => {
    const slower = { ...technique('effleurage'), secondsPerRepetition: 9 };
    expect(await saveTechnique(house.db, slower, 0, actor)).toEqual({ kind: 'saved', version: 1 });
    const view = await readLibrary(house.db, ['massage']);
    const entry = view.techniques.find(({ value }) => value.id === 'effleurage');
    expect(entry).toMatchObject({
      origin: 'changed',
      version: 1,
      differences: [{ field: 'secondsPerRepetition', shipped: '6', own: '9' }],
    });
    expect(await restoreEntry(house.db, 'technique', 'effleurage', actor)).toEqual({ kind: 'saved' });
    expect((await readHouseLibrary(house.db)).techniques.get('effleurage')?.secondsPerRepetition).toBe(6);
    expect(await restoreEntry(house.db, 'technique', 'effleurage', actor)).toEqual({ kind: 'not-found' });
    // The numbers go on, so that an old window does not overwrite.
    expect(await saveTechnique(house.db, slower, 0, actor)).toEqual({ kind: 'saved', version: 2 });
  });

  it('are not overwritten by a window that has not seen them', async () => {
    await saveProtocol(house.db, { ...protocol('belly'), usualMinutes: 8 }, 0, actor);
    expect(await saveProtocol(house.db, protocol('belly'), 0, actor)).toEqual({ kind: 'edited-elsewhere' });
    expect(await saveProtocol(house.db, protocol('belly'), 1, actor)).toMatchObject({ kind: 'saved' });
  });

  it('may not break what drains, nor what comes after something intense', async () => {
    const hard = await saveTechnique(house.db, { ...technique('skin-stretch'), pressure: 'firm' }, 0, actor);
    expect(hard).toMatchObject({ errors: [{ path: 'pressure', message: 'Drainage is never firmer than light.' }] });
    const [block] = protocol('neck-release').blocks.filter(({ id }) => id === 'work-left');
    if (!block) throw new Error('no block');
    const bare = { ...protocol('neck-release'), blocks: [{ ...block, steps: block.steps.slice(0, 1) }] };
    const result = await saveProtocol(house.db, bare, 0, actor);
    expect(result.kind).toBe('refused');
  });

  it('cannot be taken away while a protocol uses them', async () => {
    const own = { ...technique('effleurage'), id: 'our-glide', name: 'Our glide' };
    await saveTechnique(house.db, own, 0, actor);
    const uses: Protocol = {
      ...protocol('belly'),
      id: 'our-belly',
      name: 'Our belly',
      blocks: [
        {
          id: 'one',
          position: 'supine',
          hands: 'oiled',
          therapist: 'right',
          steps: [{ technique: 'our-glide', regions: ['abdomen-upper'], side: 'both' }],
        },
      ],
    };
    expect((await saveProtocol(house.db, uses, 0, actor)).kind).toBe('saved');
    expect(await restoreEntry(house.db, 'technique', 'our-glide', actor)).toMatchObject({
      errors: [{ message: 'It is used in “Our belly”: take it out there first.' }],
    });
    await restoreEntry(house.db, 'protocol', 'our-belly', actor);
    expect((await restoreEntry(house.db, 'technique', 'our-glide', actor)).kind).toBe('saved');
  });
});

describe('library files', () => {
  it('say what they would bring, then bring it in one piece, and come out again', async () => {
    const own = { ...technique('effleurage'), id: 'our-glide', name: 'Our glide' };
    const brought = file([own, technique('skin-stretch')], [{ ...protocol('belly'), usualMinutes: 9 }]);
    const preview = await importLibrary(house.db, brought, false, actor);
    expect(preview).toMatchObject({
      isStored: false,
      entries: [{ what: 'new' }, { what: 'same' }, { what: 'changed' }],
    });
    expect((await readHouseLibrary(house.db)).own.size).toBe(0);
    await importLibrary(house.db, brought, true, actor);
    const out = await exportLibrary(house.db, false);
    expect(out.techniques.map(({ id }) => id)).toEqual(['our-glide']);
    expect(out.protocols.map(({ usualMinutes }) => usualMinutes)).toEqual([9]);
    expect((await exportLibrary(house.db, true)).techniques).toHaveLength(209);
    expect(LibraryFile.safeParse(JSON.parse(JSON.stringify(out))).success).toBe(true);
  });

  it.each([
    ['a ring of blocks', { after: ['belly'] }, 'These blocks wait for each other: belly → belly.'],
    ['a block after nobody', { after: ['nobody'] }, 'There is no block “nobody” to come after.'],
    ['no steps', { steps: [] }, 'has no steps'],
    [
      'a region that does not exist',
      { steps: [{ technique: 'effleurage', regions: ['tail'], side: 'both' }] },
      'There is no region “tail” on the body.',
    ],
    [
      'repetitions of 500',
      { steps: [{ technique: 'effleurage', regions: ['calf-lower'], side: 'both', repetitions: 500 }] },
      'Between 1 and 100 repetitions, not 500.',
    ],
    [
      'a technique that nobody knows',
      { steps: [{ technique: 'moonwalk', regions: ['calf-lower'], side: 'both' }] },
      'There is no technique “moonwalk”.',
    ],
  ])('with %s are refused with the place and what to do', async (_, change, message) => {
    const base = protocol('belly');
    const broken = { ...base, blocks: base.blocks.map((block) => ({ ...block, ...change })) } as Protocol;
    const brought = {
      format: 'velvet-stone-library',
      version: 1,
      techniques: [],
      protocols: [broken],
    } as unknown as LibraryFile;
    const result = await importLibrary(house.db, brought, true, actor);
    expect(result.kind === 'refused' ? result.errors.map((one) => one.message).join(' ') : '').toContain(message);
    expect((await readHouseLibrary(house.db)).own.size).toBe(0);
  });

  it('of an earlier version come in with their gaps named, and an unknown trait is refused at its row', async () => {
    const { judgedAs: _, why: __, never: ___, feel: ____, words: _____, ...old } = technique('effleurage');
    const brought = LibraryFile.parse({
      ...file([], []),
      techniques: [{ ...old, id: 'our-glide', name: 'Our glide' }],
    });
    const preview = await importLibrary(house.db, brought, false, actor);
    expect(preview).toMatchObject({ entries: [{ id: 'our-glide', gaps: ['why', 'never', 'feel', 'words'] }] });
    const odd = { ...technique('effleurage'), id: 'odd', traits: ['draining', 'glowing'] };
    const refused = LibraryFile.safeParse({ ...file([], []), techniques: [technique('belly-breath'), odd] });
    const at = refused.error?.issues.find(({ path }) => path.join('.') === 'techniques.1.traits.1');
    expect(at?.message).toBe('There is no trait “glowing”: take it out, or choose another.');
  });

  it('of a newer version say so', () => {
    const newer = LibraryFile.safeParse({ format: 'velvet-stone-library', version: 2, techniques: [], protocols: [] });
    expect(newer.error?.issues[0]?.message).toContain('written by a newer program');
  });
});

describe('what is shown', () => {
  it('leaves out what needs a licence that the reader does not hold', async () => {
    const ids = async (held: readonly string[]) =>
      (await readLibrary(house.db, held)).techniques.map(({ value }) => value.id);
    expect(await ids(['massage'])).not.toContain('chest-recoil');
    expect(await ids(['manual-medicine-licence'])).toContain('chest-recoil');
    expect(await ids(['lymph-basic'])).not.toContain('throat-bone-balance');
    const { withheld } = await readLibrary(house.db, ['massage']);
    expect(withheld).toMatchObject([{ needs: 'licence', secondsPerRepetition: expect.any(Number) }]);
  });

  it('is given to other programs whole, in a plain form, with the own over what ships', async () => {
    const plain = await plainLibrary(house.db);
    expect(plain).toMatchObject({ version: 2 });
    expect([plain.techniques.length, plain.protocols.length]).toEqual([208, 34]);
    expect(Object.keys(plain.homePlaces)).toHaveLength(75);
    expect(plain.homeGroups).toHaveLength(33);
    const shipped = plain.techniques.find(({ id }) => id === 'jaw-knead');
    await saveTechnique(house.db, { ...technique('jaw-knead'), why: 'Our own reason.' }, 0, actor);
    const changed = (await plainLibrary(house.db)).techniques.find(({ id }) => id === 'jaw-knead');
    expect(changed).toEqual({ ...shipped, why: 'Our own reason.' });
  });

  it('calls regions as therapists do', () => {
    expect(labelOfRegion('calf-lower')).toBe('lower calf and heel cord');
    expect(labelOfRegion('terminus')).toContain('collarbone');
  });
});
