import { inject } from 'vitest';

export interface Answer {
  readonly status: number;
  readonly type: string;
  // The shape is what each test is about.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
}

export async function call(
  method: string,
  path: string,
  body?: unknown,
  base: string = inject('appUrl'),
): Promise<Answer> {
  const response = await fetch(`${base}${path}`, {
    method,
    headers: { origin: base, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  const text = await response.text();
  let parsed: unknown = text;
  try {
    parsed = JSON.parse(text);
  } catch {
    // Pages answer with HTML.
  }
  return { status: response.status, type: response.headers.get('content-type') ?? '', body: parsed };
}

export const post = (path: string, body: unknown, base?: string) => call('POST', path, body, base);

/** The id of a demo client's visit of today. */
export async function visitOf(name: string): Promise<number> {
  const day = await call('GET', '/');
  const match = new RegExp(`href="/visits/(\\d+)/\\w+"[^>]*>${name}`).exec(String(day.body));
  if (!match) throw new Error(`no visit of ${name} today`);
  return Number(match[1]);
}

export async function clientOf(name: string): Promise<number> {
  const found = await call('GET', `/api/clients?q=${encodeURIComponent(name)}`);
  return found.body[0].id;
}
