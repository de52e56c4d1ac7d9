import fc from 'fast-check';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { pack, type Packed, unpack, unpacked } from './packed';

/** As the browser gets it: a text that nobody here has packed. */
const elsewhere = <P extends object>(packed: Packed<P>) => {
  for (let i = 0; i < 8; i += 1) pack({ i });
  return packed;
};

describe('the props of an island', () => {
  it('come out as they went in', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (props) => {
        expect(unpack(elsewhere(pack(props)))).toEqual(JSON.parse(JSON.stringify(props)));
      }),
    );
  });

  it('hold quotation marks, backticks and what looks like neither', () => {
    const props = { said: '“no”, "maybe" or `later`', path: 'C:\\`"\\', nothing: '\u0000' };
    expect(unpack(elsewhere(pack(props)))).toEqual(props);
    expect(unpack(pack(props))).toBe(props);
  });

  it('cost a page one character for each mark of a name or a text', () => {
    const packed = pack({ name: 'Marit', answers: ['yes', 'no'] });
    expect(packed).not.toContain('"');
    expect(packed).toHaveLength(JSON.stringify({ name: 'Marit', answers: ['yes', 'no'] }).length);
  });

  it('come out as they went in, lists of alike records too', () => {
    const record = fc.record({ day: fc.string(), ml: fc.double({ noNaN: true }), parts: fc.array(fc.jsonValue()) });
    const loose = fc.record(
      { day: fc.string(), ml: fc.option(fc.integer(), { nil: undefined }) },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(fc.array(record), fc.array(loose), fc.array(fc.jsonValue()), (points, visits, others) => {
        const props = { points, visits, others, nested: [[points], { points }] };
        expect(unpack(elsewhere(pack(props)))).toEqual(JSON.parse(JSON.stringify(props)));
      }),
    );
  });

  it('write the names of a list of alike records once', () => {
    const points = Array.from({ length: 60 }, (_, i) => ({ affectedMl: i, referenceMl: 2 * i }));
    expect(pack({ points }).match(/affectedMl/g)).toHaveLength(1);
    // One that has another field is a list as any other.
    expect(pack({ points: [...points, { affectedMl: 1 }] }).match(/affectedMl/g)).toHaveLength(61);
  });

  it('are those of the view that is shown', () => {
    const Island = unpacked(({ name }: { readonly name: string }) => <p>{name}</p>);
    expect(renderToStaticMarkup(<Island packed={pack({ name: 'Marit "the swift"' })} />)).toBe(
      '<p>Marit &quot;the swift&quot;</p>',
    );
  });
});
