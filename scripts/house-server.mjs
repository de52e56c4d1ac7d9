/**
 * The process that a house runs in: the built program behind a server of Node's own, which sees to what comes before it:
 * headers on every file, limits on time and headers, and an end in which what was begun is finished.
 */
import { createServer } from 'node:http';
import compression from 'compression';
import path from 'node:path';
import process from 'node:process';
import { pathToFileURL } from 'node:url';
import { root } from './setup.mjs';

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
process.umask(0o077);
const { handler } = await import(pathToFileURL(path.join(root, 'dist/server/entry.mjs')).href);

const headers = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
};
const headersMs = 20_000;
const requestMs = 120_000;
const goodbyeMs = 5_000;

/** Pages are made anew for whoever asks: quickly packed rather than to the last byte. */
const packLevel = 4;

/** Text goes packed; who asks from elsewhere brings no cookie, so that nothing secret can be guessed by its size. */
const pack = compression({ level: packLevel });

const server = createServer({ headersTimeout: headersMs, requestTimeout: requestMs }, (request, response) => {
  for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
  pack(request, response, () => handler(request, response));
});
server.listen(Number(process.env.PORT ?? 4321), process.env.HOST ?? '127.0.0.1');

for (const signal of ['SIGINT', 'SIGTERM'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), goodbyeMs).unref();
  });
