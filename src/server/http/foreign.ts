/** A request that changes something must come from our own pages; programs that send no origin bring no cookie either. */
export function isForeign(request: Request, sessionCookie: string): boolean {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return false;
  if (request.headers.get('sec-fetch-site') === 'cross-site') return true;
  const origin = request.headers.get('origin');
  if (origin === null) return request.headers.get('cookie')?.includes(`${sessionCookie}=`) ?? false;
  return hostOf(origin) !== request.headers.get('host');
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
