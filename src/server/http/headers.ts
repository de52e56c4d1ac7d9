import { httpAnswers } from './http.answers';

const fixed: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'permissions-policy': 'camera=(self), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin',
};

/**
 * Puts on every answer what browsers should hold to. Scripts run only from our own files or by the hashes that the
 * build knows, which Astro puts into the header of a page; nothing written into a page by anybody else runs.
 * Styles may be inline: components set sizes that way, and a style runs nothing.
 */
export function secureHeaders(response: Response, context?: { readonly request: Request }): Response {
  const scripts = /script-src ([^;]+)/.exec(response.headers.get('content-security-policy') ?? '')?.[1]?.trim();
  const policy = [
    "default-src 'self'",
    httpAnswers.imgSrcSelfDataBlob,
    httpAnswers.styleSrcSelfUnsafeInline,
    httpAnswers.scriptSrc(scripts ?? "'self'"),
    httpAnswers.workerSrcSelf,
    httpAnswers.objectSrcNone,
    httpAnswers.baseUriNone,
    httpAnswers.formActionSelf,
    httpAnswers.frameAncestorsNone,
  ].join('; ');
  for (const [name, value] of Object.entries(fixed)) response.headers.set(name, value);
  // Behind a proxy with TLS browsers are to come that way from then on.
  if (context?.request.headers.get('x-forwarded-proto') === 'https')
    response.headers.set('strict-transport-security', 'max-age=31536000');
  response.headers.set('content-security-policy', policy);
  return response;
}
