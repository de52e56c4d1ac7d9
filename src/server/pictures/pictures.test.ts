import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import type { PictureAnswer } from '../../core/pictures/agreement';
import { drawLimbs } from '../../demo/picture';
import { removeAttachment } from '../clients/attach-file';
import { listAttachments } from '../clients/attachments.repository';
import { eraseClient, exportClient } from '../clients/erase-client';
import { readMeasure } from '../measures/read-measure';
import { readProgress } from '../measures/read-progress';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { readClose } from '../visits/read-close';
import { answerPictures } from './answer-pictures';
import { measureLight } from './measure-light';
import { pairsForPaper } from './pairs-for-paper';
import { readPictures } from './read-pictures';
import { savePhoto } from './save-photo';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const limbs = drawLimbs(
  [0, 10, 20],
  [
    [20, 25, 30],
    [22, 28, 33],
  ],
);
const photo = (content: Uint8Array = limbs, phase: 'before' | 'after' = 'before') =>
  savePhoto(house.db, house.visit, { pose: 'front', phase, content }, actor);
const answer = (given: PictureAnswer, isErasing = false) =>
  answerPictures(house.db, house.client, { answer: given, isErasing }, actor);
const onRecord = async () => (await readPictures(house.db, house.client)).photos.length;

describe('what a client says about pictures', () => {
  it('is nothing until somebody asks, and then none is kept', async () => {
    expect(await readPictures(house.db, house.client)).toEqual({ answer: null, answeredOn: null, photos: [] });
    expect(await photo()).toMatchObject({ kind: 'refused', errors: [{ path: 'pictures' }] });
    expect(await listAttachments(house.db, house.client)).toEqual([]);
  });

  it('is the newest answer, and stays in the book of the house', async () => {
    await answer('letters');
    await answer('record');
    expect((await readPictures(house.db, house.client)).answer).toBe('record');
    const trail = await house.db.selectFrom('audit').select('detail').where('action', 'like', 'pictures%').execute();
    expect(trail.map(({ detail }) => detail)).toEqual([
      'for the record, and in letters and reports',
      'for the record only',
    ]);
  });

  it('is obeyed when it is no: nothing more is kept, and what was kept stays until it is removed', async () => {
    await answer('record');
    await photo();
    await answer('refused');
    expect(await photo()).toMatchObject({
      kind: 'refused',
      errors: [{ message: expect.stringContaining('no pictures') }],
    });
    expect(await onRecord()).toBe(1);
    await answer('refused', true);
    expect(await onRecord()).toBe(0);
    expect(await listAttachments(house.db, house.client)).toEqual([]);
  });

  it('removes pictures only with a refusal, and only of somebody who is here', async () => {
    await answer('record');
    await photo();
    expect(await answer('letters', true)).toMatchObject({ kind: 'refused', errors: [{ path: 'isErasing' }] });
    expect(await onRecord()).toBe(1);
    const nobody = { answer: 'record', isErasing: false } as const;
    expect(await answerPictures(house.db, 999, nobody, actor)).toEqual({ kind: 'not-found' });
  });

  it('goes with the whole record, and with its erasure', async () => {
    await answer('letters');
    await photo();
    const whole = await exportClient(house.db, house.client, actor);
    expect(JSON.stringify(whole)).toContain('"picture_answer":[{');
    const { name } = await house.db
      .selectFrom('client')
      .select('name')
      .where('id', '=', house.client)
      .executeTakeFirstOrThrow();
    expect((await eraseClient(house.db, house.client, name, actor)).kind).toBe('saved');
    expect(await house.db.selectFrom('picture_answer').selectAll().execute()).toEqual([]);
  });
});

describe('a picture', () => {
  beforeEach(() => answer('record'));

  it('is kept with its view and the visit, and goes with its file', async () => {
    expect((await photo()).kind).toBe('saved');
    const { pictures } = (await readMeasure(house.db, house.visit)) ?? {};
    expect(pictures?.photos).toMatchObject([{ pose: 'front', phase: 'before', visitId: house.visit }]);
    const [file] = await listAttachments(house.db, house.client);
    await removeAttachment(house.db, house.client, file?.id ?? 0, actor);
    expect(await onRecord()).toBe(0);
  });

  it('is refused when empty, or no picture, with nothing kept', async () => {
    expect(await photo(new Uint8Array())).toMatchObject({ errors: [{ message: 'That file is empty.' }] });
    expect(await photo(new TextEncoder().encode('%PDF-1.7\n'))).toMatchObject({ kind: 'refused' });
    expect(await listAttachments(house.db, house.client)).toEqual([]);
  });

  it('is handed on to closing and to progress', async () => {
    await photo();
    await photo(limbs, 'after');
    const close = await readClose(house.db, house.visit);
    const progress = await readProgress(house.db, house.client, actor.now);
    for (const view of [close, progress])
      expect(view?.pictures.photos.map(({ phase }) => phase)).toEqual(['before', 'after']);
  });
});

describe('the light of a picture', () => {
  const half = async (left: number, right: number) => {
    const width = 40;
    const raw = Buffer.from(
      Array.from({ length: width * 30 }, (_, i) => (i % width < width / 2 ? left : right)).flatMap((v) => [v, v, v]),
    );
    return sharp(raw, { raw: { width, height: 30, channels: 3 } })
      .png()
      .toBuffer();
  };

  it('is measured half by half', async () => {
    const light = await measureLight(await half(0, 255));
    expect(light?.leftPercent).toBeLessThan(5);
    expect(light?.rightPercent).toBeGreaterThan(95);
  });

  it('takes what can be seen through for white paper, and grey for grey', async () => {
    const clear = sharp({ create: { width: 8, height: 8, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } });
    expect((await measureLight(await clear.png().toBuffer()))?.leftPercent).toBeCloseTo(100, 6);
    const grey = sharp({ create: { width: 8, height: 8, channels: 3, background: { r: 128, g: 128, b: 128 } } });
    expect((await measureLight(await grey.greyscale().png().toBuffer()))?.rightPercent).toBeCloseTo(50.2, 0);
  });

  it('is not known of what is no picture', async () => {
    expect(await measureLight(new TextEncoder().encode('nothing to see'))).toBeNull();
  });

  it('is stored with the picture', async () => {
    await answer('record');
    const saved = await photo(await half(60, 200));
    if (saved.kind !== 'saved') throw new Error('not saved');
    expect(saved.photo.light?.rightPercent).toBeGreaterThan(saved.photo.light?.leftPercent ?? 100);
    expect((await readPictures(house.db, house.client)).photos[0]?.light).toEqual(saved.photo.light);
  });
});

describe('pictures in letters', () => {
  const twice = async () => {
    await photo();
    await photo(limbs, 'after');
  };

  it('are printed small, the first and the newest, where the client agrees', async () => {
    await answer('letters');
    await twice();
    const [pair] = await pairsForPaper(house.db, house.client);
    expect(pair).toMatchObject({ pose: 'front', light: 'Taken in the same light.' });
    expect((await sharp(pair?.earlier.jpeg).metadata()).format).toBe('jpeg');
  });

  it.each(['record', 'refused'] as const)('stay in the house with the answer "%s"', async (given) => {
    await answer('record');
    await twice();
    await answer(given);
    expect(await pairsForPaper(house.db, house.client)).toEqual([]);
  });
});
