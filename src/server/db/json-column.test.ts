import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { jsonColumn, overUsual, UnreadableDocument } from './json-column';

const Jar = z.object({ lid: z.string(), ml: z.number() });

describe('a column of documents', () => {
  const first = jsonColumn('jar.first', z.object({ lid: z.string() }));
  const second = jsonColumn('jar.second', Jar, [(older) => ({ ...(older as object), ml: 30 })]);

  it('stores its first version as it is, and later ones with their number', () => {
    expect(first.write({ lid: 'cork' })).toBe('{"lid":"cork"}');
    expect(second.write({ lid: 'cork', ml: 50 })).toBe('{"version":2,"document":{"lid":"cork","ml":50}}');
  });

  it('reads what it wrote', () => {
    fc.assert(
      fc.property(fc.string(), fc.integer(), (lid, ml) => {
        expect(second.read(second.write({ lid, ml }))).toEqual({ lid, ml });
      }),
    );
  });

  it('brings older documents up to date, step by step', () => {
    expect(second.read(first.write({ lid: 'cork' }))).toEqual({ lid: 'cork', ml: 30 });
    const third = jsonColumn('jar.third', z.object({ lid: z.string(), litres: z.number() }), [
      (older) => ({ ...(older as object), ml: 30 }),
      (older) => {
        const { ml, ...rest } = Jar.parse(older);
        return { ...rest, litres: ml / 1000 };
      },
    ]);
    expect(third.read('{"lid":"cork"}')).toEqual({ lid: 'cork', litres: 0.03 });
    expect(third.read(second.write({ lid: 'wax', ml: 500 }))).toEqual({ lid: 'wax', litres: 0.5 });
  });

  it('fills settings that have grown since with what is usual', () => {
    const column = jsonColumn('house.habits', Jar, [overUsual({ lid: 'cork', ml: 30 })]);
    expect(column.read('{"ml":7}')).toEqual({ lid: 'cork', ml: 7 });
  });

  it('says where something cannot be what was written', () => {
    const trouble = (text: string) => {
      try {
        return second.read(text);
      } catch (error) {
        if (error instanceof UnreadableDocument) return [error.column, error.at];
        throw error;
      }
    };
    expect(trouble('{"lid":7}')).toEqual(['jar.second', 'lid']);
    expect(trouble('{"lid":')).toEqual(['jar.second', '']);
    expect(trouble('{"version":3,"document":{}}')).toEqual(['jar.second', 'version']);
  });
});
