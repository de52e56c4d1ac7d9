import { describe, expect, it } from 'vitest';
import { anatomy } from '../src/catalogue/anatomy';
import { problemsOfLibrary, shippedLibrary } from '../src/catalogue/library/library';
import { oilBook } from '../src/catalogue/oils/oils';
import { readRows } from '../src/catalogue/read-table';
import { TechniqueSchema } from '../src/contracts/library';
import { EssentialOilRow } from '../src/catalogue/oils/schemas';
import { ConditionSchema } from '../src/catalogue/screening/schemas';
import { screeningBook } from '../src/catalogue/screening/screening';
import { planOf } from '../src/core/drainage/fixtures';
import { drainageFindings } from '../src/core/drainage/from-screening';
import type { OilBook } from '../src/core/oils/book';
import { checkBlend } from '../src/core/oils/check';
import { adult } from '../src/core/oils/client';
import { makeBook } from '../src/core/screening/book';
import { readScreening } from '../src/core/screening/read-request';
import { screen } from '../src/core/screening/screen';

/** What the guides promise: one row of data, and everything that follows from it follows. */
describe('a newcomer adds one row', () => {
  it('of an essential oil, and blends with it are judged', () => {
    const lavender = oilBook.oils.get('lavender');
    if (!lavender) throw new Error('no lavender');
    const row = {
      ...lavender,
      id: 'bog-rose',
      name: 'Bog rose',
      otherNames: { de: 'Moorrose' },
      dermalMaxPercent: 0.1,
    };
    const [oil] = readRows('essential oils', EssentialOilRow, [row]);
    if (!oil) throw new Error('no row');
    const book: OilBook = { ...oilBook, oils: new Map([...oilBook.oils, [oil.id, oil]]) };
    const blend = { area: 'body', volumeMl: 20, carrier: 'jojoba', client: adult, basis: 'max' } as const;
    const check = (drops: number) => checkBlend(book, { ...blend, parts: [{ oil: 'bog-rose', drops }] });
    expect(check(6)?.findings.some(({ severity, text }) => severity === 'over' && text.includes('Bog rose'))).toBe(
      true,
    );
  });

  it('of a technique, and the library takes it with its own rules', () => {
    const glide = shippedLibrary.techniques.get('lymph-sweep');
    if (!glide) throw new Error('no sweep');
    const with1 = (change: object) => {
      const [row] = readRows('techniques', TechniqueSchema, [
        { ...glide, id: 'reed-sweep', name: 'Reed sweep', ...change },
      ]);
      if (!row) throw new Error('no row');
      return problemsOfLibrary({
        ...shippedLibrary,
        techniques: new Map([...shippedLibrary.techniques, [row.id, row]]),
      });
    };
    expect(with1({})).toEqual([]);
    expect(with1({ pressure: 'firm' }).map(({ path }) => path)).toEqual(['techniques.reed-sweep.pressure']);
  });

  it('of a condition, and it is screened; with its drainage finding the plan obeys it', () => {
    const wound = screeningBook.conditions.get('open-wound');
    if (!wound) throw new Error('no wound');
    const { group, groupId, ...like } = wound;
    const [row] = readRows('skin', ConditionSchema, [{ ...like, id: 'nettle-burn', label: 'Nettle burn' }]);
    if (!row) throw new Error('no row');
    const { conditions, modalities, anatomy: _, ...tables } = screeningBook;
    const book = makeBook(
      {
        ...tables,
        conditions: [...conditions.values(), { ...row, group, groupId }],
        modalities: [...modalities.values()],
      },
      anatomy,
    );
    const regions = ['thigh-upper-inner.left'];
    const read = readScreening(book, {
      conditions: [{ id: 'nettle-burn', regions }],
      modalities: ['lymph-drainage'],
      visitDate: '2026-11-25',
    });
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    const screening = screen(book, read.value);
    expect(screening.regions.some(({ region, decision }) => region === regions[0] && decision !== 'ok')).toBe(true);

    const findings = drainageFindings(book, [{ id: 'nettle-burn', regions }]);
    expect(findings).toEqual([{ id: 'open-wound', regions }]);
    const plan = planOf(anatomy, ['leg.left'], { findings, minutes: 45 });
    expect(plan.steps.length).toBeGreaterThan(5);
    expect(plan.steps.filter(({ place }) => place === regions[0])).toEqual([]);
  });
});
