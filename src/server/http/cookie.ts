import type { APIContext } from 'astro';
import { deviceCookie, longestHours, sessionCookie } from '../auth/sessions';

/** Hands the session's token to the browser, out of reach of scripts and of other sites. */
export function setSessionCookie({ cookies, url, request }: APIContext, token: string): void {
  const isSecure = url.protocol === 'https:' || request.headers.get('x-forwarded-proto') === 'https';
  cookies.set(sessionCookie, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: isSecure,
    maxAge: longestHours * 3600,
  });
}

/** Hands over what makes this browser known as a device of somebody; it opens nothing by itself. */
export function setDeviceCookie({ cookies, url, request }: APIContext, token: string): void {
  const isSecure = url.protocol === 'https:' || request.headers.get('x-forwarded-proto') === 'https';
  cookies.set(deviceCookie, token, {
    ...{ path: '/api/session', httpOnly: true, sameSite: 'strict', secure: isSecure, maxAge: 400 * 86_400 },
  });
}

export function clearSessionCookie({ cookies }: APIContext): void {
  cookies.delete(sessionCookie, { path: '/' });
}
