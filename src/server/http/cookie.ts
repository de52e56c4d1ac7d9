import type { APIContext } from 'astro';
import { sessionCookie } from '../auth/sessions';

/** Hands the session's token to the browser, out of reach of scripts and of other sites. */
export function setSessionCookie({ cookies, url, request }: APIContext, token: string): void {
  const isSecure = url.protocol === 'https:' || request.headers.get('x-forwarded-proto') === 'https';
  cookies.set(sessionCookie, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: isSecure,
    maxAge: 14 * 86_400,
  });
}

export function clearSessionCookie({ cookies }: APIContext): void {
  cookies.delete(sessionCookie, { path: '/' });
}
