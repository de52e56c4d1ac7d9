import type { z } from 'zod';
import { isBytes, type Route } from '../../src/contracts/routes/route';

/** Requests that nobody would think of, from one seed: each is the same for the same seed, whatever ran before it. */

export interface FuzzRequest {
  readonly method: string;
  readonly path: string;
  readonly body: string | undefined;
  readonly type: string;
}

const oddTexts = [
  '',
  ' ',
  'x',
  '0',
  '-1',
  'null',
  "'; drop table client; --",
  '<script>',
  '\u0000',
  '𝒳🙂',
  '../../etc',
  'a'.repeat(5000),
];
const oddNumbers = [0, -0, 1, -1, 0.5, 1e9, -1e9, 1e308, 2 ** 53, 12.345];
const days = [
  '2026-11-25',
  '1970-01-01',
  '0001-01-01',
  '9999-12-31',
  '2026-02-30',
  '2026-11-25T08:00:00Z',
  '2026-11-25T08:00:00.000Z',
];

/** Routes that end the session of the one who asks, or exchange the house under it. */
const leftOut =
  /^(delete \/api\/session|post \/api\/session(\/(lock|hand|unlock|demo|prove))?|.* \/api\/keeping.*|post \/api\/house)$/;
export const isFuzzed = ({ method, path }: Route) => !leftOut.test(`${method} ${path}`);

export class Fuzz {
  constructor(private readonly random: () => number) {}

  request(route: Route): FuzzRequest {
    const path = route.path.replace(/\{(\w+)\}/g, () =>
      encodeURIComponent(String(this.one(['1', '2', '3', '7', '999999', 'x', '0', '-1', ...oddTexts.slice(2, 7)]))),
    );
    const query = Object.keys(route.query ?? {})
      .filter(() => this.random() < 0.6)
      .map((name) => `${name}=${encodeURIComponent(String(this.one([...days, ...oddTexts.slice(0, 9), '1', '30'])))}`);
    const isJson = route.body !== undefined && !isBytes(route.body);
    return {
      method: route.method.toUpperCase(),
      path: query.length > 0 ? `${path}?${query.join('&')}` : path,
      body: route.body === undefined ? undefined : isJson ? this.json(route.body as z.ZodType) : this.text(),
      type: isJson ? 'application/json' : 'application/octet-stream',
    };
  }

  private json(schema: z.ZodType): string {
    if (this.random() < 0.05) return this.one(['{', '[]', 'null', '"x"', '{"a":', '[[[[[[[[[[]]]]]]]]]]', '']);
    return JSON.stringify(this.valueOf(schema, 0)) ?? 'null';
  }

  /** Mostly what the schema asks for, so that many come through it; now and then something else. */
  private valueOf(schema: z.ZodType, depth: number): unknown {
    if (depth > 6 || this.random() < 0.06) return this.anything(depth);
    const { def } = schema as unknown as {
      readonly def: Readonly<Record<string, unknown>> & { readonly type: string };
    };
    const inner = (name: string) => def[name] as z.ZodType;
    switch (def.type) {
      case 'object': {
        const shape = (schema as z.ZodObject).shape;
        const entries = Object.entries(shape).filter(() => this.random() < 0.9);
        return Object.fromEntries(entries.map(([key, one]) => [key, this.valueOf(one as z.ZodType, depth + 1)]));
      }
      case 'array':
        return Array.from({ length: Math.floor(this.random() * 4) }, () => this.valueOf(inner('element'), depth + 1));
      case 'tuple':
        return (def['items'] as readonly z.ZodType[]).map((one) => this.valueOf(one, depth + 1));
      case 'enum':
        return this.one(Object.values(def['entries'] as object));
      case 'literal':
        return this.one(def['values'] as readonly unknown[]);
      case 'union':
        return this.valueOf(this.one(def['options'] as readonly z.ZodType[]), depth);
      case 'record':
        return { [this.text()]: this.valueOf(inner('valueType'), depth + 1) };
      case 'number':
        return this.random() < 0.6 ? Math.floor(this.random() * 60) : this.one(oddNumbers);
      case 'boolean':
        return this.random() < 0.5;
      case 'null':
        return null;
      case 'optional':
      case 'nullable':
        return this.random() < 0.2 ? null : this.valueOf(inner('innerType'), depth);
      case 'default':
      case 'prefault':
      case 'readonly':
      case 'catch':
        return this.valueOf(inner('innerType'), depth);
      case 'pipe':
        return this.valueOf(inner('in'), depth);
      default:
        return this.text();
    }
  }

  private anything(depth: number): unknown {
    return this.one([null, true, ...oddNumbers, ...oddTexts, [], {}, depth < 3 ? [[1]] : 0]);
  }

  private text(): string {
    return this.one([...oddTexts, ...days, 'leg.left', 'axillary.left', 'lavender', 'port', 'client', 'palm', 'face']);
  }

  private one<T>(list: readonly T[]): T {
    return list[Math.floor(this.random() * list.length)] as T;
  }
}
