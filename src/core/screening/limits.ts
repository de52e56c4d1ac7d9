import { type LimitKey, type LimitRule, type Limits, type Pressure, pressures } from './tables';

type Value = Limits[LimitKey];

/** Merges limits key by key; the strictest wins as the table of keys says. Neither argument is changed. */
export function mergeLimits(keys: Readonly<Record<string, LimitRule>>, into: Limits, more: Limits | undefined): Limits {
  if (!more) return into;
  const merged: Record<string, Value> = { ...into };
  for (const [key, value] of Object.entries(more) as [LimitKey, Value][]) {
    const rule = keys[key];
    if (!rule) throw new RangeError(`no limit is called “${key}”`);
    merged[key] = strictest(rule, merged[key], value);
  }
  return merged;
}

function strictest(rule: LimitRule, a: Value, b: Value): Value {
  if (rule.merge === 'union') return [...new Set([...((a as string[]) ?? []), ...(b as string[])])].sort();
  if (a === undefined) return b;
  switch (rule.merge) {
    case 'lowest':
      return lighterOf(a as Pressure, b as Pressure);
    case 'min':
      return Math.min(a as number, b as number);
    case 'max':
      return Math.max(a as number, b as number);
    case 'or':
      return a === true || b === true;
    case 'latest':
      return (a as string) >= (b as string) ? a : b;
    case 'last':
      return b;
  }
}

export function lighterOf(a: Pressure, b: Pressure): Pressure {
  return pressures.indexOf(a) <= pressures.indexOf(b) ? a : b;
}
