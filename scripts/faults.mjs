/**
 * Kills the server a hundred times at random moments of a scripted visit and looks whether anything that it had
 * acknowledged is gone. `npm run faults`; SEED and KILLS may be set.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { signInDemo, startServer } from './served.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';
import { checkWithoutFindings, withSource } from './source.mjs';

ensureInstalled();
ensureBuilt();

const kills = Number(process.env.KILLS ?? 100);
let seed = Number(process.env.SEED ?? 20_261_125);
/** Numbers in [0, 1), the same for the same seed (mulberry32). */
const random = () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
};
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-faults-'));
let server = await startServer({ data });
const { port } = server;
const token = await signInDemo(server.url);
const call = async (method, to, body) => {
  const answer = await fetch(`${server.url}${to}`, {
    method,
    headers: { origin: server.url, cookie: `velvet-stone=${token}`, 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  return { status: answer.status, body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text };
};

/** Marit's visit of today, planned and ready for the table: its check is answered as the page would. */
async function prepareVisit() {
  const visit = Number(/href="\/visits\/(\d+)\/\w+"[^>]*>Marit/.exec((await call('GET', '/')).body)?.[1]);
  const answers = await withSource(checkWithoutFindings);
  const { status } = await call('POST', `/api/visits/${visit}/check`, { answers });
  await call('GET', `/visits/${visit}/plan`);
  const { plan } = (await call('GET', `/api/visits/${visit}`)).body;
  if (!plan) throw new Error(`the visit cannot be planned: its check was answered with ${status}`);
  return { visit, steps: plan.steps, planVersion: plan.version };
}

const { visit, steps, planVersion } = await prepareVisit();
const begin = Date.now();
let number = 0;
/** The next press: every step is begun, paused, marked and ended, round after round until the kills are over. */
function nextEvent() {
  const kinds = ['start', 'pause', 'mark', 'resume', 'end'];
  const kind = kinds[number % kinds.length];
  const step = steps[Math.floor(number / kinds.length) % steps.length];
  number += 1;
  return {
    ...{
      id: `fault-${String(number).padStart(6, '0')}`,
      kind,
      stepId: step.id,
      planVersion,
      at: new Date(begin + 250 * number).toISOString(),
    },
    ...(kind === 'mark' ? { mark: 'tighter' } : {}),
  };
}

const acknowledged = [];
let waiting = [];
let lost = 0;
let sentTwice = 0;
console.log(`${steps.length} steps, ${kills} kills`);
for (let kill = 1; kill <= kills; kill += 1) {
  const killAt = Date.now() + 20 + random() * 180;
  const killing = (async () => {
    await wait(Math.max(0, killAt - Date.now()));
    await server.kill();
  })();
  let isUp = true;
  while (isUp) {
    if (waiting.length === 0) waiting = Array.from({ length: 1 + Math.floor(random() * 3) }, nextEvent);
    try {
      const { status } = await call('POST', `/api/visits/${visit}/events`, {
        deviceId: 'the-scripted-table',
        events: waiting,
      });
      if (status !== 200) throw new Error(`the server answered ${status}`);
      acknowledged.push(...waiting);
      waiting = [];
    } catch (error) {
      if (String(error).includes('answered')) throw error;
      isUp = false;
    }
  }
  await killing;
  server = await startServer({ data, port });
  const { events } = (await call('GET', `/api/visits/${visit}`)).body;
  const stored = events.map(({ id }) => id);
  const known = new Set(stored);
  lost += acknowledged.filter(({ id }) => !known.has(id)).length;
  sentTwice += waiting.filter(({ id }) => known.has(id)).length;
  if (known.size !== stored.length) throw new Error('an event is stored twice');
  const order = acknowledged.map(({ id }) => stored.indexOf(id));
  if (order.some((at, i) => i > 0 && at < (order[i - 1] ?? 0))) throw new Error('events have changed their order');
  if (kill % 10 === 0) console.log(`${kill} kills, ${acknowledged.length} acknowledged, ${lost} lost`);
}
await server.stop();
rmSync(data, { recursive: true, force: true });
console.log(
  `${kills} kills: ${acknowledged.length} events acknowledged, ${lost} lost; ${sentTwice} were stored before their answer was cut off and sent again.`,
);
if (lost > 0) process.exit(1);
