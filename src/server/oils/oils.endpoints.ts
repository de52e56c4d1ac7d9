import { oilRoutes as routes } from '../../contracts/routes/oils';
import type { DropScaleView } from '../../contracts/oil-views';
import { readGrams } from '../../core/oils/drop-scale';
import { labelSizes } from '../../core/oils/label';
import { houseScale } from '../devices/drop-scale';
import { print } from '../paper/print';
import { endpoints, fileAnswer } from '../http/endpoint';
import { unfeasible } from '../http/problem';
import { readHouseFacts } from '../people/read-facts';
import { chooseBlend, dropBlend, importBlends, keepBlend, recordSmell, writeBlends } from './choose-blend';
import { importShelf } from './import-shelf';
import { abandonMix, countMix, finishMix, readMix, startMix } from './mix-oils';
import { placePatchTest, readPatchTest } from './patch-tests';
import { readOilBench, readStock } from './read-oils';
import { addBottle, changeBottle } from './save-oils';
import { exportShelf } from './shelf-csv';
import { oilsAnswers } from './oils.answers';

function scaleNow(): DropScaleView {
  const reading = houseScale().reading();
  const grams = readGrams(reading);
  return {
    isOn: reading.isOn,
    grams,
    words: grams === null ? oilsAnswers.theScaleDoesNotAnswerCount : reading.text,
  };
}

export const oilEndpoints = endpoints(routes, {
  readBench: ({ db, query, staff, actor }) =>
    readOilBench(db, { visitId: query.visit ?? null, clientId: query.client ?? null }, staff.qualifications, actor.now),
  readStock: ({ db, actor }) => readStock(db, actor.now),
  addBottle: ({ db, body, actor }) => addBottle(db, body, actor),
  changeBottle: ({ db, params, body, actor }) => changeBottle(db, params.key, body, actor),
  exportShelf: async ({ db }) => fileAnswer(routes.exportShelf.answer, await exportShelf(db), 'shelf.csv'),
  importShelf: ({ db, body, actor }) => importShelf(db, body, actor),
  exportBlends: async ({ db }) =>
    fileAnswer(routes.exportBlends.answer, JSON.stringify(await writeBlends(db)), 'blends.json'),
  keepBlend: ({ db, body, staff, actor }) => keepBlend(db, body, staff.qualifications, actor),
  importBlends: ({ db, body, staff, actor }) => importBlends(db, body.blends, staff.qualifications, actor),
  dropBlend: ({ db, params, actor }) => dropBlend(db, params.key, actor),
  startMix: ({ db, body, staff, actor }) => startMix(db, body, staff.qualifications, actor),
  readMix: ({ db, params, actor }) => readMix(db, params.id, actor.now),
  countMix: ({ db, params, body }) => countMix(db, params.id, body),
  finishMix: ({ db, params, actor }) => finishMix(db, params.id, actor),
  abandonMix: ({ db, params }) => abandonMix(db, params.id),
  mixLabel: async ({ db, params, query, actor }) => {
    const mix = await readMix(db, params.id, actor.now);
    const size = labelSizes.find(({ id }) => id === query.size);
    if (!mix || !size) return undefined;
    if (mix.fits.includes(size.id))
      return fileAnswer(routes.mixLabel.answer, await print('label', mix.label, size), 'label.pdf', 'inline');
    const message = oilsAnswers.theTextDoesNotFitOn;
    return unfeasible([{ path: 'size', message }]);
  },
  mixAftercare: async ({ db, params, actor }) => {
    const [mix, house] = await Promise.all([readMix(db, params.id, actor.now), readHouseFacts(db)]);
    if (!mix) return undefined;
    const care = await print('bottleCare', mix, house?.name ?? '');
    return fileAnswer(routes.mixAftercare.answer, care, 'for-the-way-home.pdf', 'inline');
  },
  recordSmell: ({ db, body, staff, actor }) => recordSmell(db, body, staff.qualifications, actor),
  chooseBlend: ({ db, params, body, staff, actor }) => chooseBlend(db, params.id, body, staff.qualifications, actor),
  placePatchTest: ({ db, body, actor }) => placePatchTest(db, body, actor),
  readPatchTest: ({ db, params, body, actor }) => readPatchTest(db, params.id, body, actor),
  readScale: () => scaleNow(),
  driveScale: ({ body }) => {
    houseScale().drive(body);
    return scaleNow();
  },
});
