import type { APIContext } from 'astro';
import { httpAnswers } from './http.answers';

/** Where a request comes from; '' where there is no connection, as in tests. */
export function addressOf(context: Pick<APIContext, 'clientAddress'>): string {
  try {
    return context.clientAddress;
  } catch {
    return '';
  }
}

const systems = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android.*Mobile/, httpAnswers.androidPhone],
  [/Android/, httpAnswers.androidTablet],
  [/Windows/, 'Windows'],
  [/Macintosh/, 'Mac'],
  [/Linux/, 'Linux'],
] as const;

const browsers = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const;

/** `Chrome on Android tablet`: enough to tell one’s own devices apart in a list. */
export function deviceNameOf(request: Request): string {
  const agent = request.headers.get('user-agent') ?? '';
  const first = (names: readonly (readonly [RegExp, string])[]) => names.find(([sign]) => sign.test(agent))?.[1];
  return [first(browsers) ?? 'A browser', first(systems)].filter(Boolean).join(' on ');
}

/**
 * Hosts that the house answers to: this machine, addresses, plain names of the house’s own network, and what
 * `VELVET_STONE_HOSTS` lists. A page of another site that points its own name here is turned away.
 */
export function isOwnHost(host: string | null, listed: string | undefined): boolean {
  if (host === null) return false;
  const name = host.toLowerCase().replace(/:\d+$/, '');
  const isAddress = /^\d{1,3}(\.\d{1,3}){3}$/.test(name) || /^\[[0-9a-f:.]+\]$/.test(name);
  const isNear = !name.includes('.') || name.endsWith('.local') || name.endsWith('.localhost');
  const own = (listed ?? '')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
  return isAddress || isNear || own.includes(name);
}
