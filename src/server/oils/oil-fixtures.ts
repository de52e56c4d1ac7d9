import { BottleInput } from '../../contracts/oil-house';
import { actor, type TestHouse } from '../shared/test-house';
import { addBottle } from './save-oils';

/** Made-up bottles for specs of oils. */

export const clinical = ['massage', 'aromatherapy-clinical'];

export const bottle = (change: object = {}): BottleInput =>
  BottleInput.parse({
    ...{ kind: 'essential', oil: 'lavender', lot: 'A1', openedOn: '2026-06-01', sizeMl: 10, leftMl: 10 },
    costCents: 1000,
    ...change,
  });

/** Three oils and a carrier. */
export async function fillShelf({ db }: Pick<TestHouse, 'db'>): Promise<void> {
  for (const oil of ['lavender', 'vetiver', 'mandarin']) await addBottle(db, bottle({ oil }), actor);
  await addBottle(db, bottle({ kind: 'carrier', oil: 'grapeseed', sizeMl: 500, leftMl: 400 }), actor);
}
